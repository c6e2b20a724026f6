import type { Verdict } from '@lucky-thread/core/identify';
import type { Panel } from '@lucky-thread/core/vehicle';
import { useEffect, useRef, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import Svg, { Circle, Rect } from 'react-native-svg';
import { ActionButton } from '../../ui/ActionButton';
import { usePalette } from '../../ui/ThemeProvider';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { CELL, SlotCell } from './SlotCell';

/** Props of {@link FusePanel}. */
export interface FusePanelProps {
  readonly panel: Panel;
  readonly verdicts: ReadonlyMap<string, Verdict>;
  readonly selectedId: string | undefined;
  readonly wantedIds: ReadonlySet<string>;
  readonly loggedIds: ReadonlySet<string>;
  readonly onTouch: (slotId: string) => void;
}

const ZOOMS = [0.75, 0.9, 1.15, 1.5] as const;
const FRAME = 14;
const SCREW = 5;

/** A fuse panel drawn from its data; it zooms in steps and keeps the touched slot in sight. */
export function FusePanel(props: FusePanelProps) {
  const palette = usePalette();
  const { panel, selectedId } = props;
  const lie = panel.slots[0]?.lie ?? 'tall';
  const [available, setAvailable] = useState(0);
  const [zoomStep, setZoomStep] = useState<number>();
  const natural = panel.columns * CELL[lie].width + 2 * FRAME;
  const fitted = ZOOMS.findLastIndex((zoom) => natural * zoom <= available);
  const step = zoomStep ?? Math.max(0, fitted);
  const zoom = ZOOMS[step] ?? 1;
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
          <Words kind="heading">{panel.name}</Words>
          <Words kind="small" soft>
            {panel.location}
          </Words>
        </View>
        <ActionButton
          label="−"
          spoken="Smaller"
          kind="quiet"
          disabled={step === 0}
          onPress={() => setZoomStep(step - 1)}
        />
        <ActionButton
          label="+"
          spoken="Larger"
          kind="quiet"
          disabled={step === ZOOMS.length - 1}
          onPress={() => setZoomStep(step + 1)}
        />
      </View>
      <View onLayout={(event) => setAvailable(event.nativeEvent.layout.width)}>
        <ScrollView ref={scroll} horizontal contentContainerStyle={styles.scrolled}>
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
              {[SCREW + 2, width - SCREW - 2].map((x) =>
                [SCREW + 2, height - SCREW - 2].map((y) => (
                  <Circle key={`${x}-${y}`} cx={x} cy={y} r={SCREW - 2} fill={palette.line} />
                )),
              )}
            </Svg>
            {panel.slots.map((slot) => (
              <View
                key={slot.id}
                style={{
                  position: 'absolute',
                  left: FRAME + slot.column * cell.width,
                  top: FRAME + slot.row * cell.height,
                }}
              >
                <SlotCell
                  slot={slot}
                  verdict={props.verdicts.get(slot.id)}
                  selected={slot.id === selectedId}
                  wanted={props.wantedIds.has(slot.id)}
                  logged={props.loggedIds.has(slot.id)}
                  zoom={zoom}
                  onPress={() => props.onTouch(slot.id)}
                />
              </View>
            ))}
          </View>
        </ScrollView>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  panel: { gap: SPACE.s },
  head: { flexDirection: 'row', alignItems: 'center' },
  where: { flex: 1 },
  scrolled: { flexGrow: 1, justifyContent: 'center' },
});
