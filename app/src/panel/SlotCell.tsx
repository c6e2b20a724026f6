import { screenSlot } from '@lucky-thread/core/choose';
import type { Verdict } from '@lucky-thread/core/identify';
import type { Slot } from '@lucky-thread/core/vehicle';
import { FUNCTION_NAMES } from '@lucky-thread/core/vehicle';
import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { HatchFill } from '../ui/Caution';
import { Stitch } from '../ui/Stitch';
import { usePalette } from '../ui/ThemeProvider';
import { Words } from '../ui/Words';

/** Size of a slot's cell at zoom 1, px. */
export const CELL = { tall: { width: 68, height: 104 }, wide: { width: 80, height: 92 } } as const;

/** Props of {@link SlotCell}. */
export interface SlotCellProps {
  /** The slot that it is about. */
  readonly slot: Slot;
  /** What is known of it; undefined while it was not touched. */
  readonly verdict: Verdict | undefined;
  /** Whether it is the one in hand. */
  readonly selected: boolean;
  /** The plan wants this slot read next. */
  readonly wanted: boolean;
  /** The model's log names it. */
  readonly logged: boolean;
  /** How much larger than on a phone. */
  readonly zoom: number;
  /** Called with the slot's id; the same function from drawing to drawing, or every cell is drawn anew. */
  readonly onTouch: (sourceId: string) => void;
}

/** One slot on the panel: position, rating, legend, and the stitch of what is known. */
export const SlotCell = memo(function SlotCell(props: SlotCellProps) {
  const palette = usePalette();
  const { slot, verdict, zoom } = props;
  const blocked = screenSlot(slot).class === 'block';
  const size = CELL[slot.lie];
  const width = size.width * zoom;
  const height = size.height * zoom;
  const code = verdict?.function === undefined ? undefined : FUNCTION_NAMES[verdict.function].code;
  return (
    <TouchableRipple
      testID={`slot-${slot.id}`}
      role="button"
      aria-pressed={props.selected}
      onPress={() => props.onTouch(slot.id)}
      style={[
        styles.cell,
        {
          width: width - 4,
          height: height - 4,
          backgroundColor: palette.raised,
          borderColor: props.selected ? palette.accent : palette.line,
          borderWidth: props.selected ? 3 : 1,
        },
      ]}
    >
      <View style={styles.inside}>
        <View style={styles.top}>
          <Words kind="code" style={lines(14, zoom)}>
            {slot.position}
          </Words>
          <Words kind="code" soft style={lines(13, zoom)}>
            {slot.ratingA === undefined ? '–' : `${slot.ratingA}A`}
          </Words>
        </View>
        <Words
          kind="label"
          lines={2}
          style={{ ...lines(legendSize(slot.legend), zoom), letterSpacing: 0 }}
        >
          {slot.legend ?? '· · ·'}
        </Words>
        {blocked ? (
          <View style={styles.evidence}>
            <Words kind="code" style={lines(14, zoom)}>
              NEVER
            </Words>
            <View style={styles.hatch}>
              <HatchFill ground={palette.danger} stripe={palette.onDanger} />
            </View>
          </View>
        ) : (
          <View style={styles.evidence}>
            <Words kind="code" lines={1} style={lines(14, zoom)}>
              {code ?? (props.logged ? 'IN LOG' : ' ')}
            </Words>
            {verdict !== undefined && (
              <Stitch
                stitch={verdict.stitch.slice(0, 5)}
                step={(width - 18) / 5}
                colour={verdict.status === 'unread' ? palette.inkSoft : palette.ink}
              />
            )}
          </View>
        )}
        {props.wanted && <View style={[styles.wanted, { backgroundColor: palette.accent }]} />}
      </View>
    </TouchableRipple>
  );
});

/** Type of a size at a zoom; its lines shrink with it, so that two of them never reach into what stands below. */
function lines(sizePx: number, zoom: number): { fontSize: number; lineHeight: number } {
  return { fontSize: sizePx * zoom, lineHeight: Math.max(sizePx + 1, 15) * zoom };
}

/** A long word is set smaller rather than broken, px at zoom 1. */
function legendSize(legend: string | undefined): number {
  const longest = Math.max(0, ...(legend ?? '').split(/[ -]/).map((word) => word.length));
  return longest > 7 ? 13 : 15.5;
}

const styles = StyleSheet.create({
  cell: { margin: 2, borderRadius: 5, overflow: 'hidden' },
  inside: { flex: 1, paddingHorizontal: 4, paddingTop: 5, paddingBottom: 3 },
  top: { flexDirection: 'row', justifyContent: 'space-between' },
  evidence: { flex: 1, justifyContent: 'flex-end', alignItems: 'center' },
  hatch: { alignSelf: 'stretch', height: 12, marginHorizontal: -4, marginBottom: -3 },
  wanted: { position: 'absolute', left: 0, right: 0, top: 0, height: 5 },
});
