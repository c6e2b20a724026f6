import type { BodyGraph, LaidRoute, Passage, Spot } from '@lucky-thread/core/build';
import { BODY_SHAPES } from '@lucky-thread/core/build';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { Circle, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { usePalette } from '../../ui/ThemeProvider';
import { FACES, SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';

/** Props of {@link RouteDrawing}. */
export interface RouteDrawingProps {
  readonly body: BodyGraph;
  readonly laid: LaidRoute;
  /** Spot that the device is mounted at. */
  readonly mount: string;
  /** Passages in the order in which they are listed; numbered from 1. */
  readonly passages: readonly Passage[];
}

/** Widest that the drawing gets, px. */
const WIDEST = 620;
/** Room round the body for ends and numbers, px. */
const EDGE = 14;
/** Room for the wheels below the sill, px. */
const WHEEL_PX = 16;

/** Where the leads run, on the body seen from above and from its side, its front to the left; hazards are hatched. */
export function RouteDrawing(props: RouteDrawingProps) {
  const [roomPx, setRoomPx] = useState(340);
  const width = Math.min(roomPx, WIDEST);
  const { lengthM, widthM, heightM } = props.body.measures;
  const perM = (width - 2 * EDGE) / lengthM;
  return (
    <View onLayout={(event) => setRoomPx(event.nativeEvent.layout.width)} style={styles.views}>
      <BodyView
        {...props}
        name="From above, front to the left"
        size={{ width, height: widthM * perM + 2 * EDGE }}
        at={({ x, y }) => ({ x: EDGE + y * lengthM * perM, y: EDGE + (1 - x) * widthM * perM })}
      />
      <BodyView
        {...props}
        name="From its left side"
        size={{ width, height: heightM * perM + 2 * EDGE + WHEEL_PX }}
        at={({ y, z }) => ({ x: EDGE + y * lengthM * perM, y: EDGE + (1 - z) * heightM * perM })}
        side
      />
    </View>
  );
}

interface At {
  readonly x: number;
  readonly y: number;
}

function BodyView(
  props: RouteDrawingProps & {
    readonly name: string;
    readonly size: { readonly width: number; readonly height: number };
    readonly at: (spot: Spot) => At;
    readonly side?: boolean;
  },
) {
  const palette = usePalette();
  const { body, laid, size, at } = props;
  const ends = new Set(laid.leads.map(({ to }) => to));
  const placed = (id: string): At | undefined => {
    const spot = body.spots.get(id);
    return spot === undefined ? undefined : at(spot);
  };
  const mount = placed(props.mount);
  return (
    <View>
      <Words kind="small" soft>
        {props.name}
      </Words>
      <Svg width={size.width} height={size.height} aria-hidden>
        <Outline size={size} side={props.side === true} body={body} />
        {props.passages.map((passage, index) => (
          <Way
            key={passage.id}
            passage={passage}
            number={index + 1}
            leads={
              laid.leads.filter((one) => one.passages.some(({ id }) => id === passage.id)).length
            }
            from={placed(passage.from)}
            to={placed(passage.to)}
          />
        ))}
        {[...ends].map((id) => {
          const spot = placed(id);
          return spot === undefined ? null : (
            <Circle
              key={id}
              cx={spot.x}
              cy={spot.y}
              r={6}
              fill={palette.canvas}
              stroke={palette.ink}
              strokeWidth={3}
            />
          );
        })}
        {mount !== undefined && (
          <Rect
            x={mount.x - 7}
            y={mount.y - 7}
            width={14}
            height={14}
            fill={palette.accent}
            stroke={palette.canvas}
            strokeWidth={2}
          />
        )}
      </Svg>
    </View>
  );
}

/** The body in a few lines: enough to know which end is which, and where its pillars stand. */
function Outline(props: {
  readonly size: RouteSize;
  readonly side: boolean;
  readonly body: BodyGraph;
}) {
  const palette = usePalette();
  const { size, side, body } = props;
  const { style } = body.knowledge;
  const { anchors } = BODY_SHAPES[style];
  const right = size.width - EDGE;
  const bottom = size.height - EDGE - (side ? WHEEL_PX : 0);
  const along = (share: number): number => EDGE + (right - EDGE) * share;
  const line = { stroke: palette.line, strokeWidth: 1.5, fill: palette.sunken } as const;
  if (!side) {
    const wheelY = body.knowledge.steering === 'left' ? bottom * 0.72 : bottom * 0.32;
    return (
      <G>
        {style === 'boat' ? (
          <Path
            d={`M${EDGE} ${(EDGE + bottom) / 2} Q${along(0.2)} ${EDGE} ${along(0.45)} ${EDGE} L${right} ${EDGE} L${right} ${bottom} L${along(0.45)} ${bottom} Q${along(0.2)} ${bottom} ${EDGE} ${(EDGE + bottom) / 2} Z`}
            {...line}
          />
        ) : (
          <Rect x={EDGE} y={EDGE} width={right - EDGE} height={bottom - EDGE} rx={22} {...line} />
        )}
        {anchors !== undefined &&
          [anchors.bulkhead, anchors.screenTop, anchors.bPillar, anchors.rearTop].map((share) => (
            <Line
              key={share}
              x1={along(share)}
              x2={along(share)}
              y1={EDGE + 8}
              y2={bottom - 8}
              stroke={palette.line}
              strokeWidth={1.5}
            />
          ))}
        {anchors !== undefined && (
          <Circle
            cx={along(anchors.dash + 0.05)}
            cy={wheelY}
            r={9}
            fill="none"
            stroke={palette.inkSoft}
            strokeWidth={2.5}
          />
        )}
      </G>
    );
  }
  if (style === 'boat')
    return (
      <Path
        d={`M${EDGE} ${EDGE + (bottom - EDGE) * 0.4} L${right} ${EDGE + (bottom - EDGE) * 0.4} L${right} ${bottom} L${along(0.25)} ${bottom} Z`}
        {...line}
      />
    );
  const wheels = [0.17, 0.8].map((share) => (
    <Circle
      key={share}
      cx={along(share)}
      cy={bottom}
      r={WHEEL_PX + EDGE - 4}
      fill={palette.canvas}
      stroke={palette.line}
      strokeWidth={1.5}
    />
  ));
  if (style === 'twoWheeler') return <G>{wheels}</G>;
  const hood = EDGE + (bottom - EDGE) * 0.42;
  const [screen, top] = [along(anchors?.bulkhead ?? 0.25), along(anchors?.screenTop ?? 0.4)];
  return (
    <G>
      <Path
        d={`M${EDGE} ${bottom} L${EDGE} ${hood + 8} L${screen} ${hood} L${top} ${EDGE} L${right - 14} ${EDGE} Q${right} ${EDGE} ${right} ${EDGE + 18} L${right} ${bottom} Z`}
        {...line}
      />
      {wheels}
    </G>
  );
}

interface RouteSize {
  readonly width: number;
  readonly height: number;
}

function Way(props: {
  readonly passage: Passage;
  readonly number: number;
  readonly leads: number;
  readonly from: At | undefined;
  readonly to: At | undefined;
}) {
  const palette = usePalette();
  const { passage, from, to } = props;
  if (from === undefined || to === undefined) return null;
  const ends = { x1: from.x, y1: from.y, x2: to.x, y2: to.y } as const;
  const [x, y] = [(from.x + to.x) / 2, (from.y + to.y) / 2];
  return (
    <G>
      {passage.hazards.length > 0 && (
        <Line {...ends} stroke={palette.danger} strokeWidth={14} strokeDasharray="4 4" />
      )}
      <Line {...ends} stroke={palette.ink} strokeWidth={1.5 + props.leads} strokeLinecap="round" />
      <Circle cx={x} cy={y} r={8} fill={palette.ink} />
      <SvgText
        x={x}
        y={y + 4}
        fontSize={11}
        fontFamily={FACES.strong}
        fill={palette.canvas}
        textAnchor="middle"
      >
        {String(props.number)}
      </SvgText>
    </G>
  );
}

const styles = StyleSheet.create({ views: { gap: SPACE.s } });
