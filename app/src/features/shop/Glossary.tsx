import type { GlossaryEntryView } from '@lucky-thread/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useGlossary } from '../../store/shown';
import { useShopCommand } from '../../store/useShopCommand';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { Field } from '../../ui/Field';
import { Loading } from '../../ui/States';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';

/** Entries shown before anything is looked for. */
const SHOWN = 8;

/** What the shop's people have looked up in handbooks, with who and when; a wrong entry can be taken out. */
export function Glossary() {
  const glossary = useGlossary();
  const [drop, { busy, said }] = useShopCommand('glossaryRemoval');
  const [sought, setSought] = useState('');
  const [doubted, setDoubted] = useState<string>();
  if (glossary.data === undefined)
    return glossary.isError ? (
      <Caution>The glossary could not be read.</Caution>
    ) : (
      <Loading what="the glossary" />
    );
  const found = glossary.data.filter((one) => matches(one, sought));
  const shown = sought.trim() === '' ? found.slice(0, SHOWN) : found;
  return (
    <Card testID="glossary">
      <Words kind="heading">Glossary</Words>
      {glossary.data.length === 0 ? (
        <Words soft>
          Nothing looked up yet. What you enter from a handbook at a slot in Find is kept here for
          every car of the make.
        </Words>
      ) : (
        <Field
          label={`Look through ${glossary.data.length}`}
          value={sought}
          testID="glossary-sought"
          onChange={setSought}
        />
      )}
      {said !== undefined && <Caution testID="glossary-problem">{said}</Caution>}
      {shown.map((one) => (
        <View key={one.id} style={styles.entry} testID={`glossary-${one.id}`}>
          <Said entry={one} />
          <ActionButton
            kind="quiet"
            label={doubted === one.id ? 'Really take it out' : 'Take out'}
            spoken={`Take ${one.legend ?? one.sourceId} out of the glossary`}
            testID={`drop-${one.id}`}
            disabled={busy}
            onPress={() => {
              if (doubted !== one.id) return setDoubted(one.id);
              setDoubted(undefined);
              void drop({ id: one.id });
            }}
          />
        </View>
      ))}
      <Rest more={found.length - shown.length} none={found.length === 0} sought={sought.trim()} />
    </Card>
  );
}

function Rest(props: { readonly more: number; readonly none: boolean; readonly sought: string }) {
  if (props.more > 0)
    return <Words kind="small" soft>{`${props.more} more: type to find them.`}</Words>;
  return props.none && props.sought !== '' ? (
    <Words soft>{`Nothing has “${props.sought}” in it.`}</Words>
  ) : null;
}

/** What a handbook said, where, and who looked it up. */
function Said({ entry }: { readonly entry: GlossaryEntryView }) {
  const { legend, sourceId, entry: words, make, model, by, at } = entry;
  return (
    <View style={styles.grow}>
      <Words>{`${legend ?? `${sourceId} (no legend)`}: ${words ?? 'not listed'}`}</Words>
      <Words kind="small" soft>
        {`${make} ${model}, ${by}, ${at.slice(0, 10)}`}
      </Words>
    </View>
  );
}

function matches(one: GlossaryEntryView, sought: string): boolean {
  const words = sought.trim().toLowerCase();
  return [one.legend, one.entry, one.make, one.model, one.sourceId].some((text) =>
    (text ?? '').toLowerCase().includes(words),
  );
}

const styles = StyleSheet.create({
  entry: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  grow: { flex: 1, minWidth: 0 },
});
