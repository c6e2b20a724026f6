import type { BodyGraph, LaidRoute, Passage, Spot } from '@lucky-thread/core/build';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { Circle, G, Line, Rect, Text as SvgText } from 'react-native-svg';
import { usePalette } from '../../ui/ThemeProvider';
import { FACES, SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { BodyOutline, EDGE, WHEEL_PX } from './BodyOutline';

/** Props of {@link RouteDrawing}. */
export interface RouteDrawingProps {
  /** The vehicle's body as spots and passages. */
  readonly body: BodyGraph;
  /** The way that was found. */
  readonly laid: LaidRoute;
  /** Spot that the device is mounted at. */
  readonly mount: string;
  /** Passages in the order in which they are listed; numbered from 1. */
  readonly passages: readonly Passage[];
}

/** Widest that the drawing gets, px. */
const WIDEST = 620;

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
        <BodyOutline
          width={size.width}
          height={size.height}
          side={props.side === true}
          body={body}
        />
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
