import type { ModelView } from '@lucky-thread/contract';
import { screenSlot } from '@lucky-thread/core/choose';
import type { Place, SlotSource } from '@lucky-thread/core/vehicle';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { slotTitle } from '../../../panel/sourceTitle';
import { useShopCommand } from '../../../store/useShopCommand';
import { ActionButton } from '../../../ui/ActionButton';
import { Caution } from '../../../ui/Caution';
import { Field } from '../../../ui/Field';
import { SPACE } from '../../../ui/tokens';
import { Words } from '../../../ui/Words';

/** The handbook's list read out slot by slot, those first whose legend says least. */
export function HandbookList(props: { readonly model: ModelView; readonly place: Place }) {
  const { model, place } = props;
  const [open, setOpen] = useState(false);
  const [passed, setPassed] = useState<readonly string[]>([]);
  const slots = place.sources.filter((one) => one.kind === 'slot');
  const left = slots
    .filter((slot) => !model.handbook.some((entry) => entry.sourceId === slot.id))
    .sort((one, other) => worth(other) - worth(one));
  const next = left.find((slot) => !passed.includes(slot.id));
  if (slots.length === 0) return null;
  if (!open)
    return (
      <ActionButton
        kind="quiet"
        label={`Read the handbook’s list: ${slots.length - left.length} of ${slots.length} done…`}
        testID="handbook-list"
        onPress={() => setOpen(true)}
      />
    );
  if (next === undefined)
    return (
      <Words testID="handbook-done">
        {`${slots.length - left.length} of ${slots.length} slots have the handbook’s words.`}
      </Words>
    );
  return (
    <Entry
      key={next.id}
      modelId={model.id}
      slot={next}
      at={`${slots.length - left.length + 1} of ${slots.length}`}
      onPass={() => setPassed([...passed, next.id])}
    />
  );
}

/** What is printed there says nothing, little, or enough. */
function worth(slot: SlotSource): number {
  const { class: safety } = screenSlot(slot);
  if (safety === 'unknown') return 2;
  return safety === 'caution' ? 1 : 0;
}

function Entry(props: {
  readonly modelId: string;
  readonly slot: SlotSource;
  readonly at: string;
  readonly onPass: () => void;
}) {
  const { modelId, slot } = props;
  const [text, setText] = useState('');
  const [enter, { busy, said }] = useShopCommand('handbook');
  const send = (entry: string | null): void =>
    void enter({ modelId, sourceId: slot.id, request: { entry } });
  const words = text.trim();
  return (
    <View style={styles.stack} testID="handbook-entry-card">
      <Words kind="heading">{slotTitle(slot)}</Words>
      <Words kind="small" soft>
        {props.at}
      </Words>
      <Field
        label={`Handbook on ${slot.position}`}
        hint="in its own words"
        testID="list-entry"
        value={text}
        onChange={setText}
        onSubmit={() => {
          if (words !== '') send(words);
        }}
      />
      {said !== undefined && <Caution>{said}</Caution>}
      <View style={styles.row}>
        <ActionButton label="Later" testID="list-later" onPress={props.onPass} />
        <ActionButton
          label="Not listed"
          testID="list-none"
          disabled={busy}
          onPress={() => send(null)}
        />
        <ActionButton
          label="Keep it"
          testID="list-keep"
          style={styles.grow}
          disabled={busy || words === ''}
          onPress={() => send(words)}
        />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.s },
  row: { flexDirection: 'row', gap: SPACE.s },
  grow: { flex: 1 },
});
