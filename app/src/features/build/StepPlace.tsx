import type { BodyGraph } from '@lucky-thread/core/build';
import { StyleSheet } from 'react-native';
import Svg, { Circle, Polyline } from 'react-native-svg';
import { usePalette } from '../../ui/ThemeProvider';
import { BodyOutline, EDGE } from './BodyOutline';

/** Props of {@link StepPlace}. */
export interface StepPlaceProps {
  /** The vehicle's body as spots and passages. */
  readonly body: BodyGraph;
  /** Spots of the step, along its way where it has one. */
  readonly spots: readonly string[];
}

/** Width of the drawing, px. */
const WIDTH = 124;

/** Where a step is done: the body from above, its front to the left, with the step’s spots on it. */
export function StepPlace({ body, spots }: StepPlaceProps) {
  const palette = usePalette();
  const { lengthM, widthM } = body.measures;
  const perM = (WIDTH - 2 * EDGE) / lengthM;
  const size = { width: WIDTH, height: widthM * perM + 2 * EDGE };
  const places = spots.flatMap((id) => {
    const spot = body.spots.get(id);
    if (spot === undefined) return [];
    return [{ id, x: EDGE + spot.y * lengthM * perM, y: EDGE + (1 - spot.x) * widthM * perM }];
  });
  if (places.length === 0) return null;
  const names = places.map(({ id }) => body.spots.get(id)?.name).join(', ');
  return (
    <Svg
      {...size}
      style={styles.close}
      role="img"
      aria-label={`Where: ${names}`}
      testID="step-place"
    >
      <BodyOutline width={size.width} height={size.height} side={false} body={body} />
      {places.length > 1 && (
        <Polyline
          points={places.map(({ x, y }) => `${x},${y}`).join(' ')}
          fill="none"
          stroke={palette.accent}
          strokeWidth={3}
        />
      )}
      {places.map(({ id, x, y }) => (
        <Circle
          key={id}
          cx={x}
          cy={y}
          r={4.5}
          fill={palette.accent}
          stroke={palette.canvas}
          strokeWidth={1.5}
        />
      ))}
    </Svg>
  );
}

const styles = StyleSheet.create({
  // The outline keeps room for numbers that are not drawn here.
  close: { marginVertical: -8 },
});
