import type { HarnessAdvice, HarnessWire } from '@lucky-thread/core/identify/harness';
import { ROLE_NAMES } from '@lucky-thread/core/identify/harness/roles';
import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { usePalette } from '../ui/ThemeProvider';
import { RADIUS, SPACE, TARGET } from '../ui/tokens';
import { Words } from '../ui/Words';
import { WireSwatch } from './WireSwatch';

/** Props of {@link WireList}. */
export interface WireListProps {
  /** The wires that are spoken of, in their order. */
  readonly wires: readonly HarnessWire[];
  /** What is known of the bunch and what to do next; undefined until it was worked out. */
  readonly advice: HarnessAdvice | undefined;
  /** Ids of those that the next step is about. */
  readonly wantedIds: ReadonlySet<string>;
  /** How often a wire was read. */
  readonly readCount: (wireId: string) => number;
  /** Id of the one in hand; undefined when none is. */
  readonly selectedId: string | undefined;
  /** Called with the id of the one taken in hand. */
  readonly onSelect: (wireId: string) => void;
}

/** Every wire of the bunch with its colour, what it is taken for, and how sure that is. */
export function WireList(props: WireListProps) {
  return (
    <View role="list" aria-label="Wires" testID="wires" style={styles.list}>
      {props.wires.map((wire) => (
        <View role="listitem" key={wire.id}>
          <WireRow {...props} wire={wire} />
        </View>
      ))}
    </View>
  );
}

function WireRow(props: WireListProps & { readonly wire: HarnessWire }) {
  const palette = usePalette();
  const { wire, advice } = props;
  const verdict = advice?.wires.find((one) => one.wireId === wire.id);
  const count = props.readCount(wire.id);
  const pair = advice?.pairs.find((one) => one.plusId === wire.id || one.minusId === wire.id);
  const selected = props.selectedId === wire.id;
  return (
    <TouchableRipple
      role="button"
      aria-pressed={selected}
      testID={`wire-${wire.id}`}
      onPress={() => props.onSelect(wire.id)}
      style={[
        styles.row,
        {
          backgroundColor: palette.raised,
          borderColor: selected ? palette.accent : 'transparent',
        },
      ]}
    >
      <View style={styles.inside}>
        {props.wantedIds.has(wire.id) && (
          <View style={[styles.wanted, { backgroundColor: palette.accent }]} />
        )}
        <WireSwatch colour={wire.colour} />
        <View style={styles.name}>
          <Words kind="code">{wire.name}</Words>
          <Words kind="small" soft>
            {count === 0 ? 'not read' : `${count} reading${count === 1 ? '' : 's'}`}
          </Words>
        </View>
        <View style={styles.verdict}>
          {verdict !== undefined && count > 0 && (
            <>
              <Words kind="label">
                {verdict.told || pair !== undefined ? '' : '? '}
                {roleWords(verdict.role, pair, wire.id)}
              </Words>
              <Words kind="small" soft>
                {`${ROLE_NAMES[verdict.role].code} ${Math.min(99, Math.round(100 * verdict.certainty))} %`}
              </Words>
            </>
          )}
        </View>
      </View>
    </TouchableRipple>
  );
}

function roleWords(
  role: keyof typeof ROLE_NAMES,
  pair: HarnessAdvice['pairs'][number] | undefined,
  wireId: string,
): string {
  if (pair === undefined) return ROLE_NAMES[role].plain;
  return `Speaker ${pair.speaker ?? ''} ${pair.plusId === wireId ? '+' : '−'}`;
}

const styles = StyleSheet.create({
  list: { gap: SPACE.xs },
  row: { minHeight: TARGET, borderRadius: RADIUS, borderWidth: 2, overflow: 'hidden' },
  inside: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s, paddingHorizontal: SPACE.s },
  wanted: { position: 'absolute', left: 0, top: 0, bottom: 0, width: 5 },
  name: { width: 118 },
  verdict: { flex: 1 },
});
