import type { Place, PlanSpot } from '@lucky-thread/core/vehicle';
import { planSpots } from '@lucky-thread/core/vehicle';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import Svg, { Circle, G, Line, Path, Rect } from 'react-native-svg';
import { usePalette } from '../../ui/ThemeProvider';
import { TARGET } from '../../ui/tokens';
import { Words } from '../../ui/Words';

/** Props of {@link BodyPlan}. */
export interface BodyPlanProps {
  /** The places in their order. */
  readonly places: readonly Place[];
  /** Side of the steering wheel. */
  readonly steering: 'left' | 'right';
  /** What the plan's pins are numbered as, by place. */
  readonly numbers: ReadonlyMap<string, number>;
  /** Called with the id of the place that was touched. */
  readonly onPlace: (placeId: string) => void;
}

/** Size of the drawing, px. */
const WIDTH = 190;
const HEIGHT = 380;
/** Where its middle line lies, and how far the seats are off it. */
const MIDDLE = WIDTH / 2;
const SEAT_OFF = 34;

/** A body seen from above, its front up, with a numbered pin for every place that somebody has put on it. */
export function BodyPlan({ places, steering, numbers, onPlace }: BodyPlanProps) {
  const spots = useMemo(() => planSpots(places, steering, HEIGHT / WIDTH), [places, steering]);
  return (
    <View style={styles.plan} testID="body-plan">
      <Body steering={steering} />
      {places.map((place) => (
        <Pin
          key={place.id}
          place={place}
          spot={spots.get(place.id)}
          number={numbers.get(place.id) ?? 0}
          onPlace={onPlace}
        />
      ))}
    </View>
  );
}

function Pin(props: {
  readonly place: Place;
  readonly spot: PlanSpot | undefined;
  readonly number: number;
  readonly onPlace: (placeId: string) => void;
}) {
  const palette = usePalette();
  const { place, spot, number } = props;
  if (spot === undefined) return null;
  return (
    <TouchableRipple
      role="link"
      aria-label={`${number} ${place.name}`}
      testID={`pin-${place.id}`}
      onPress={() => props.onPlace(place.id)}
      style={[
        styles.reach,
        { left: spot.x * WIDTH - TARGET / 2, top: spot.y * HEIGHT - TARGET / 2 },
      ]}
    >
      <View style={[styles.pin, { backgroundColor: palette.ink, borderColor: palette.canvas }]}>
        <Words kind="code" colour={palette.canvas}>
          {number}
        </Words>
      </View>
    </TouchableRipple>
  );
}

/** Outline, glass, seats, and the wheel on its side. */
function Body({ steering }: { readonly steering: 'left' | 'right' }) {
  const palette = usePalette();
  const wheelX = MIDDLE + (steering === 'left' ? -SEAT_OFF : SEAT_OFF);
  const line = { stroke: palette.inkSoft, strokeWidth: 1.5, fill: 'none' } as const;
  return (
    <Svg width={WIDTH} height={HEIGHT} aria-hidden>
      {[56, 268].flatMap((y) =>
        [2, WIDTH - 16].map((x) => (
          <Rect
            key={`${x} ${y}`}
            x={x}
            y={y}
            width={14}
            height={52}
            rx={5}
            fill={palette.sunken}
            {...{ stroke: palette.line }}
          />
        )),
      )}
      <Path
        d="M40 14 Q95 -6 150 14 Q176 24 178 70 L180 300 Q180 360 152 368 Q95 380 38 368 Q10 360 10 300 L12 70 Q14 24 40 14 Z"
        fill={palette.raised}
        stroke={palette.ink}
        strokeWidth={2}
      />
      <Path d="M28 132 Q95 92 162 132 L152 156 Q95 132 38 156 Z" {...line} fill={palette.sunken} />
      <Path d="M40 314 Q95 326 150 314 L158 338 Q95 352 32 338 Z" {...line} fill={palette.sunken} />
      <Line x1={22} y1={136} x2={22} y2={322} {...line} />
      <Line x1={WIDTH - 22} y1={136} x2={WIDTH - 22} y2={322} {...line} />
      {[-SEAT_OFF, SEAT_OFF].map((off) => (
        <G key={off}>
          <Rect x={MIDDLE + off - 22} y={182} width={44} height={42} rx={9} {...line} />
          <Rect x={MIDDLE + off - 20} y={220} width={40} height={12} rx={6} {...line} />
        </G>
      ))}
      <Rect x={33} y={252} width={124} height={42} rx={10} {...line} />
      <Circle cx={wheelX} cy={166} r={13} fill="none" stroke={palette.ink} strokeWidth={3.5} />
      <Line
        x1={wheelX - 11}
        y1={166}
        x2={wheelX + 11}
        y2={166}
        stroke={palette.ink}
        strokeWidth={3}
      />
    </Svg>
  );
}

const styles = StyleSheet.create({
  plan: { width: WIDTH, height: HEIGHT, alignSelf: 'center' },
  reach: {
    position: 'absolute',
    width: TARGET,
    height: TARGET,
    borderRadius: TARGET / 2,
    alignItems: 'center',
    justifyContent: 'center',
  },
  pin: {
    width: 28,
    height: 28,
    borderRadius: 14,
    borderWidth: 2,
    alignItems: 'center',
    justifyContent: 'center',
  },
});
