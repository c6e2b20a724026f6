import type { RankedSet } from '@lucky-thread/core/choose';
import type { Source } from '@lucky-thread/core/vehicle';
import { titleOf } from '@lucky-thread/work';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { useWide } from '../../ui/Screen';
import { usePalette } from '../../ui/ThemeProvider';
import { RADIUS, SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';

/** Props of {@link SetComparison}. */
export interface SetComparisonProps {
  /** Sets of sources from best to worst. */
  readonly sets: readonly RankedSet[];
  /** The feeds in the device's order. */
  readonly feeds: readonly { readonly id: string; readonly name: string }[];
  /** The sources that are spoken of, by their id. */
  readonly sources: ReadonlyMap<string, Source>;
  /** Source chosen for each feed so far. */
  readonly chosen: Readonly<Record<string, string | undefined>>;
  /** Called with the one that is taken. */
  readonly onTake: (set: RankedSet) => void;
}

/** The best set of sources for the whole job beside the next best, with what is worse about it. */
export function SetComparison(props: SetComparisonProps) {
  const wide = useWide();
  if (props.sets.length === 0 || props.feeds.length < 2) return null;
  return (
    <Card testID="sets">
      <Words kind="title">All feeds together</Words>
      <View style={wide ? styles.beside : styles.below}>
        {props.sets.map((set, index) => (
          <SetColumn key={Object.values(set.slots).join(' ')} {...props} set={set} index={index} />
        ))}
      </View>
    </Card>
  );
}

function SetColumn(
  props: SetComparisonProps & { readonly set: RankedSet; readonly index: number },
) {
  const palette = usePalette();
  const wide = useWide();
  const { set, index, feeds, sources, chosen } = props;
  // With nothing chosen yet the best set is the thing to do.
  const untouched = feeds.every((feed) => chosen[feed.id] === undefined);
  const taken = feeds.every((feed) => chosen[feed.id] === set.slots[feed.id]);
  return (
    <View
      style={[
        styles.column,
        wide && styles.even,
        { borderColor: taken ? palette.ink : palette.line },
      ]}
      testID={`set-${index}`}
    >
      <Words kind="heading">{`${index === 0 ? 'Best set' : 'Next best'}${taken ? ' · taken' : ''}`}</Words>
      {feeds.map((feed) => {
        const source = sources.get(set.slots[feed.id] ?? '');
        const worse = set.differences.find((one) => one.feedId === feed.id);
        return (
          <View key={feed.id}>
            <View style={styles.row}>
              <Words kind="small" soft style={styles.name}>
                {feed.name}
              </Words>
              <Words kind="label">{source === undefined ? '' : titleOf(source)}</Words>
            </View>
            {worse !== undefined && <Words kind="small">{`↳ ${worse.because}`}</Words>}
          </View>
        );
      })}
      <Words kind="small" soft>
        {`${set.because}.`}
      </Words>
      {!taken && (
        <ActionButton
          kind={index === 0 && untouched ? 'next' : 'plain'}
          label={index === 0 ? 'Take the best set' : 'Take this one'}
          testID={`take-set-${index}`}
          onPress={() => props.onTake(set)}
        />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  beside: { flexDirection: 'row', gap: SPACE.m },
  below: { gap: SPACE.m },
  even: { flex: 1 },
  column: { gap: SPACE.s, borderWidth: 1.5, borderRadius: RADIUS, padding: SPACE.m },
  row: { flexDirection: 'row', justifyContent: 'space-between', gap: SPACE.s, flexWrap: 'wrap' },
  name: { flexShrink: 1 },
});
