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
          <View style={styles.grow}>
            <Words>{`${one.legend ?? `${one.sourceId} (no legend)`}: ${one.entry ?? 'not listed'}`}</Words>
            <Words kind="small" soft>
              {`${one.make} ${one.model}, ${one.by}, ${one.at.slice(0, 10)}`}
            </Words>
          </View>
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
      {found.length > shown.length && (
        <Words kind="small" soft>{`${found.length - shown.length} more: type to find them.`}</Words>
      )}
      {found.length === 0 && sought.trim() !== '' && (
        <Words soft>{`Nothing has “${sought.trim()}” in it.`}</Words>
      )}
    </Card>
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
