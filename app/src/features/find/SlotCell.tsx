import { screenSlot } from '@lucky-thread/core/choose';
import type { Verdict } from '@lucky-thread/core/identify';
import { describeStitch } from '@lucky-thread/core/identify';
import type { Slot } from '@lucky-thread/core/vehicle';
import { FUNCTION_NAMES } from '@lucky-thread/core/vehicle';
import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import Svg, { Path, Rect } from 'react-native-svg';
import { HatchFill } from '../../ui/Caution';
import { Stitch } from '../../ui/Stitch';
import { usePalette } from '../../ui/ThemeProvider';
import { Words } from '../../ui/Words';

/** Size of a slot's cell at zoom 1, px. */
export const CELL = { tall: { width: 66, height: 96 }, wide: { width: 84, height: 78 } } as const;

/** Props of {@link SlotCell}. */
export interface SlotCellProps {
  readonly slot: Slot;
  readonly verdict: Verdict | undefined;
  readonly selected: boolean;
  /** The plan wants this slot read next. */
  readonly wanted: boolean;
  /** The model's log names it. */
  readonly logged: boolean;
  readonly zoom: number;
  readonly onPress: () => void;
}

/** One slot on the panel: position, rating, legend, and the stitch of what is known. */
export function SlotCell(props: SlotCellProps) {
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
      aria-label={spokenSlot(slot, verdict, blocked)}
      aria-pressed={props.selected}
      onPress={props.onPress}
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
        {blocked && (
          <View style={styles.hatch}>
            <HatchFill ground={palette.danger} stripe={palette.onDanger} />
          </View>
        )}
        <View style={styles.top}>
          <Words kind="code">{slot.position}</Words>
          <Words kind="code" soft>
            {slot.ratingA === undefined ? '–' : slot.ratingA}
          </Words>
        </View>
        <Words kind="label" lines={1} style={styles.legend}>
          {slot.legend ?? '· · ·'}
        </Words>
        {blocked ? (
          <Words kind="code" style={styles.never}>
            NEVER TAP
          </Words>
        ) : (
          <View style={styles.evidence}>
            {verdict !== undefined && (
              <Stitch
                stitch={verdict.stitch.slice(0, 5)}
                step={Math.max(9, (width - 18) / 5.6)}
                colour={verdict.status === 'unread' ? palette.inkSoft : palette.ink}
              />
            )}
            <Words kind="code" lines={1} style={styles.codeLine}>
              {code ?? (props.logged ? 'IN LOG' : ' ')}
            </Words>
          </View>
        )}
        {props.wanted && <WantedCorner colour={palette.accent} />}
      </View>
    </TouchableRipple>
  );
}

/** A folded corner: the plan's next probe goes here. */
function WantedCorner({ colour }: { readonly colour: string }) {
  return (
    <Svg width={18} height={18} style={styles.corner} aria-hidden>
      <Path d="M18 18 L18 0 L0 18 Z" fill={colour} />
      <Rect x={11} y={11} width={4} height={4} fill="#fff" />
    </Svg>
  );
}

function spokenSlot(slot: Slot, verdict: Verdict | undefined, blocked: boolean): string {
  const rating = slot.ratingA === undefined ? 'no fuse' : `${slot.ratingA} ampere`;
  const known = blocked
    ? 'never tap'
    : verdict === undefined
      ? ''
      : `${verdict.headline}; ${describeStitch(verdict.stitch)}`;
  return `Slot ${slot.position}, ${slot.legend ?? 'no legend'}, ${rating}. ${known}`;
}

const styles = StyleSheet.create({
  cell: { margin: 2, borderRadius: 5, overflow: 'hidden' },
  inside: { flex: 1, paddingHorizontal: 5, paddingVertical: 3 },
  top: { flexDirection: 'row', justifyContent: 'space-between' },
  legend: { letterSpacing: 0 },
  evidence: { flex: 1, justifyContent: 'flex-end', alignItems: 'center' },
  codeLine: { textAlign: 'center' },
  never: { position: 'absolute', left: 5, bottom: 16, right: 0, fontSize: 13 },
  hatch: { position: 'absolute', left: 0, right: 0, bottom: 0, height: 12 },
  corner: { position: 'absolute', right: 0, bottom: 0 },
});
