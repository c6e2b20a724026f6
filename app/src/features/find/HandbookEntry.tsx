import type { HandbookEntryView, ModelView } from '@lucky-thread/contract';
import type { Slot } from '@lucky-thread/core/vehicle';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useEnterHandbookMutation } from '../../store/api';
import { problemText } from '../../store/problemText';
import { ActionButton } from '../../ui/ActionButton';
import { Field } from '../../ui/Field';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';

/** Props of {@link HandbookEntry}. */
export interface HandbookEntryProps {
  readonly model: Pick<ModelView, 'id' | 'make' | 'handbook'>;
  readonly slot: Pick<Slot, 'id' | 'position' | 'legend'>;
  /** The plan asks for it: the field is open, and its button is the one thing to do now. */
  readonly asked?: boolean;
}

/** What the handbook says of a slot: as somebody entered it, with who and when, or the field to enter it. */
export function HandbookEntry({ model, slot, asked = false }: HandbookEntryProps) {
  const known = model.handbook.find((one) => one.sourceId === slot.id);
  const [text, setText] = useState(known?.entry ?? '');
  const [open, setOpen] = useState(asked);
  const [enter, { isLoading, error }] = useEnterHandbookMutation();
  const send = async (entry: string | null): Promise<void> => {
    const answer = await enter({ modelId: model.id, sourceId: slot.id, body: { entry } });
    if (!('error' in answer)) setOpen(false);
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
            problem={error === undefined ? undefined : problemText(error)}
            onChange={setText}
            onSubmit={() => {
              if (words !== '') void send(words);
            }}
          />
          <View style={styles.row}>
            <ActionButton
              {...(asked ? { kind: 'next' as const } : {})}
              label={isLoading ? 'Keeping…' : 'Keep it'}
              testID="handbook-keep"
              style={styles.grow}
              disabled={words === '' || isLoading}
              onPress={() => void send(words)}
            />
            <ActionButton
              label="Not listed"
              spoken={`The handbook does not list ${slot.position}`}
              testID="handbook-none"
              disabled={isLoading}
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
