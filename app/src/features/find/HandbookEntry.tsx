import type { HandbookEntryView, ModelView } from '@lucky-thread/contract';
import type { Slot } from '@lucky-thread/core/vehicle';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useShopCommand } from '../../store/useShopCommand';
import { ActionButton } from '../../ui/ActionButton';
import { Field } from '../../ui/Field';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';

/** Props of {@link HandbookEntry}. */
export interface HandbookEntryProps {
  /** The vehicle model. */
  readonly model: Pick<ModelView, 'id' | 'make' | 'handbook'>;
  /** The slot that it is about. */
  readonly slot: Pick<Slot, 'id' | 'position' | 'legend'>;
  /** The plan asks for it: the field is open, and its button is the one thing to do now. */
  readonly asked?: boolean;
}

/** What the handbook says of a slot: as somebody entered it, with who and when, or the field to enter it. */
export function HandbookEntry({ model, slot, asked = false }: HandbookEntryProps) {
  const known = model.handbook.find((one) => one.sourceId === slot.id);
  const [text, setText] = useState(known?.entry ?? '');
  const [open, setOpen] = useState(asked);
  const [enter, { busy, said }] = useShopCommand('handbook');
  const send = async (entry: string | null): Promise<void> => {
    const outcome = await enter({ modelId: model.id, sourceId: slot.id, request: { entry } });
    if (outcome.kind !== 'refused') setOpen(false);
  };
  const words = text.trim();
  return (
    <View style={styles.stack} testID="handbook">
      {known !== undefined && (
        <Words kind="small" testID="handbook-known">
          {knownWords(known, model.make)}
        </Words>
      )}
      {open ? (
        <>
          <Field
            label={`Handbook on ${slot.position}`}
            value={text}
            testID="handbook-entry"
            hint={
              slot.legend === undefined
                ? 'In its own words. Kept for this slot of the model.'
                : `In its own words. Kept for “${slot.legend}” on every ${model.make}.`
            }
            problem={said}
            onChange={setText}
            onSubmit={() => {
              if (words !== '') void send(words);
            }}
          />
          <View style={styles.row}>
            <ActionButton
              {...(asked ? { kind: 'next' as const } : {})}
              label={busy ? 'Keeping…' : 'Keep it'}
              testID="handbook-keep"
              style={styles.grow}
              disabled={words === '' || busy}
              onPress={() => void send(words)}
            />
            <ActionButton
              label="Not listed"
              spoken={`The handbook does not list ${slot.position}`}
              testID="handbook-none"
              disabled={busy}
              onPress={() => void send(null)}
            />
          </View>
        </>
      ) : (
        <ActionButton
          kind="quiet"
          label={
            known === undefined ? 'What does the handbook say?' : 'Change the handbook’s words'
          }
          testID="handbook-open"
          onPress={() => setOpen(true)}
        />
      )}
    </View>
  );
}

function knownWords(known: HandbookEntryView, make: string): string {
  const who = `${known.by}, ${known.at.slice(0, 10)}`;
  if (known.entry === null) return `Handbook: not listed (${who}).`;
  const where = known.fromGlossary ? `, found on another ${make}` : '';
  return `Handbook: ${known.entry} (${who}${where}).`;
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.s },
  row: { flexDirection: 'row', gap: SPACE.s },
  grow: { flexGrow: 1 },
});
