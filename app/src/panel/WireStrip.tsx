import type { Verdict } from '@lucky-thread/core/identify';
import { readRelayBase } from '@lucky-thread/core/choose';
import type { Joinable } from '@lucky-thread/core/vehicle';
import { FUNCTION_NAMES, isConductor, markOf, nameOf } from '@lucky-thread/core/vehicle';
import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { Stitch } from '../ui/Stitch';
import { usePalette } from '../ui/ThemeProvider';
import { RADIUS, SPACE, TARGET } from '../ui/tokens';
import { Words } from '../ui/Words';
import { WireSwatch } from './WireSwatch';

/** Props of {@link WireStrip}. */
export interface WireStripProps {
  /** The place that they are at. */
  readonly name: string;
  /** The wires that are spoken of, in their order. */
  readonly wires: readonly Joinable[];
  /** What is known of each source, by its id. */
  readonly verdicts: ReadonlyMap<string, Verdict>;
  /** Id of the one in hand; undefined when none is. */
  readonly selectedId: string | undefined;
  /** Wires that the plan wants read next. */
  readonly wantedIds: ReadonlySet<string>;
  /** Called with the id of the touched source. */
  readonly onTouch: (sourceId: string) => void;
}

/** The wires of a loom beside the panel, a relay socket or a bus bar: what one goes by, and the stitch of what is known of each. */
export const WireStrip = memo(function WireStrip(props: WireStripProps) {
  const terminals = props.wires.filter((one) => one.kind === 'relayTerminal');
  return (
    <View style={styles.stack} testID="wire-strip">
      <Words kind="label">{props.name}</Words>
      {terminals.length > 0 && (
        <Words kind="small" testID="relay-base">
          {readRelayBase(terminals, props.verdicts).text}
        </Words>
      )}
      <View role="list" aria-label={props.name} style={styles.wires}>
        {props.wires.map((wire) => (
          <View role="listitem" key={wire.id} style={styles.item}>
            <WireChip
              wire={wire}
              verdict={props.verdicts.get(wire.id)}
              selected={props.selectedId === wire.id}
              wanted={props.wantedIds.has(wire.id)}
              onTouch={props.onTouch}
            />
          </View>
        ))}
      </View>
    </View>
  );
});

/** One wire; drawn anew only when something of it changes. */
const WireChip = memo(function WireChip(props: {
  readonly wire: Joinable;
  readonly verdict: Verdict | undefined;
  readonly selected: boolean;
  readonly wanted: boolean;
  readonly onTouch: (sourceId: string) => void;
}) {
  const palette = usePalette();
  const { wire, verdict, selected } = props;
  const is = verdict?.function;
  return (
    <TouchableRipple
      role="button"
      aria-pressed={selected}
      testID={`slot-${wire.id}`}
      onPress={() => props.onTouch(wire.id)}
      style={[
        styles.chip,
        {
          backgroundColor: palette.raised,
          borderColor: selected ? palette.accent : palette.line,
          borderWidth: selected ? 3 : 1,
        },
      ]}
    >
      <View style={styles.inside}>
        {props.wanted && (
          <View
            testID={`wanted-${wire.id}`}
            style={[styles.wanted, { backgroundColor: palette.accent }]}
          />
        )}
        {isConductor(wire) && <WireSwatch colour={markOf(wire)} />}
        <View>
          <Words kind="code">{chipTitle(wire)}</Words>
          {is === undefined ? (
            verdict !== undefined && <Stitch stitch={verdict.stitch} step={10} />
          ) : (
            <Words kind="code">{FUNCTION_NAMES[is].code}</Words>
          )}
        </View>
      </View>
    </TouchableRipple>
  );
});

/** A terminal’s name and number are the same. */
function chipTitle(wire: Joinable): string {
  return isConductor(wire) ? `${nameOf(wire)} ${markOf(wire) ?? ''}`.trim() : nameOf(wire);
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.xs },
  wires: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.s },
  item: { flexGrow: 1, flexBasis: 150, maxWidth: 240 },
  chip: { minHeight: TARGET, borderRadius: RADIUS, overflow: 'hidden' },
  inside: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s, padding: SPACE.s },
  wanted: { position: 'absolute', left: 0, top: 0, bottom: 0, width: 5 },
});
