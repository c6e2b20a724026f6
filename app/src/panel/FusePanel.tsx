import type { Verdict } from '@lucky-thread/core/identify';
import type { Panel, Slot } from '@lucky-thread/core/vehicle';
import { memo, useEffect, useRef, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import Svg, { Rect } from 'react-native-svg';
import { ActionButton } from '../ui/ActionButton';
import { usePalette } from '../ui/ThemeProvider';
import { SPACE } from '../ui/tokens';
import { Words } from '../ui/Words';
import type { SlotCellProps } from './SlotCell';
import { CELL, SlotCell } from './SlotCell';

/** Props of {@link FusePanel}. */
export interface FusePanelProps {
  /** The panel that it is about. */
  readonly panel: Panel;
  /** What is known of each source, by its id. */
  readonly verdicts: ReadonlyMap<string, Verdict>;
  /** Id of the one in hand; undefined when none is. */
  readonly selectedId: string | undefined;
  /** Ids of those that the next step is about. */
  readonly wantedIds: ReadonlySet<string>;
  /** Ids of those with a tap point in the log. */
  readonly loggedIds: ReadonlySet<string>;
  /** Called with the id of the touched source. */
  readonly onTouch: (sourceId: string) => void;
  /** Its name and location stand above it already. */
  readonly bare?: boolean;
}

/** Below this a legend can't be read at arm's length; the panel scrolls instead. */
const SMALLEST_ZOOM = 0.86;
const LARGEST_ZOOM = 1.7;
/** One step of the zoom buttons. */
const ZOOM_STEP = 1.25;
const FRAME = 8;

/** A fuse panel drawn from its data; it zooms in steps and keeps the touched slot in sight. */
export const FusePanel = memo(function FusePanel(props: FusePanelProps) {
  const palette = usePalette();
  const { panel, selectedId } = props;
  const lie = panel.slots[0]?.lie ?? 'tall';
  const [available, setAvailable] = useState(0);
  const [factor, setFactor] = useState(1);
  const natural = panel.columns * CELL[lie].width;
  const fitted = clampZoom((available - 2 * FRAME) / natural, 1.25);
  const zoom = clampZoom(fitted * factor, LARGEST_ZOOM);
  const cell = { width: CELL[lie].width * zoom, height: CELL[lie].height * zoom };
  const width = panel.columns * cell.width + 2 * FRAME;
  const height = panel.rows * cell.height + 2 * FRAME;
  const scroll = useRef<ScrollView>(null);
  const selected = panel.slots.find((slot) => slot.id === selectedId);
  const column = selected?.column;
  useEffect(() => {
    if (column === undefined) return;
    const x = FRAME + (column + 0.5) * cell.width - available / 2;
    scroll.current?.scrollTo({ x: Math.max(0, x), animated: true });
  }, [column, cell.width, available]);

  return (
    <View style={styles.panel} testID={`panel-${panel.id}`}>
      <View style={styles.head}>
        <View style={styles.where}>
          {props.bare !== true && (
            <>
              <Words kind="heading">{panel.name}</Words>
              <Words kind="small" soft>
                {panel.location}
              </Words>
            </>
          )}
        </View>
        <ActionButton
          label="−"
          spoken="Smaller"
          kind="quiet"
          disabled={zoom <= SMALLEST_ZOOM}
          onPress={() => setFactor(factor / ZOOM_STEP)}
        />
        <ActionButton
          label="+"
          spoken="Larger"
          kind="quiet"
          disabled={zoom >= LARGEST_ZOOM}
          onPress={() => setFactor(factor * ZOOM_STEP)}
        />
      </View>
      <View onLayout={(event) => setAvailable(event.nativeEvent.layout.width)}>
        <ScrollView ref={scroll} horizontal tabIndex={0} contentContainerStyle={styles.scrolled}>
          <View style={{ width, height }}>
            <Svg width={width} height={height} style={StyleSheet.absoluteFill} aria-hidden>
              <Rect
                x={1}
                y={1}
                width={width - 2}
                height={height - 2}
                rx={12}
                fill={palette.sunken}
                stroke={palette.line}
                strokeWidth={1.5}
              />
            </Svg>
            {panel.slots.map((slot) => (
              <PlacedCell
                key={slot.id}
                grid={lie}
                slot={slot}
                verdict={props.verdicts.get(slot.id)}
                selected={slot.id === selectedId}
                wanted={props.wantedIds.has(slot.id)}
                logged={props.loggedIds.has(slot.id)}
                zoom={zoom}
                onTouch={props.onTouch}
              />
            ))}
          </View>
        </ScrollView>
      </View>
    </View>
  );
});

/** A cell at its place on the panel. */
const PlacedCell = memo(function PlacedCell({
  grid,
  ...props
}: SlotCellProps & {
  /** How the slots lie that the grid is made for: all of a panel share it. */
  readonly grid: Slot['lie'];
}) {
  const { slot, zoom } = props;
  const { width, height } = CELL[grid];
  return (
    <View
      style={{
        position: 'absolute',
        left: FRAME + slot.column * width * zoom,
        top: FRAME + slot.row * height * zoom,
      }}
    >
      <SlotCell {...props} />
    </View>
  );
});

function clampZoom(zoom: number, largest: number): number {
  return Math.min(largest, Math.max(SMALLEST_ZOOM, zoom));
}

const styles = StyleSheet.create({
  panel: { gap: SPACE.s },
  head: { flexDirection: 'row', alignItems: 'center' },
  where: { flex: 1 },
  scrolled: { flexGrow: 1, justifyContent: 'center' },
});
