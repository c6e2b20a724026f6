import type { KeyPosition, VehicleState } from '@lucky-thread/core/vehicle';
import { describeState } from '@lucky-thread/core/vehicle';
import { memo } from 'react';
import Svg, { Circle, G, Line, Path, Text } from 'react-native-svg';
import { usePalette } from '../ui/ThemeProvider';
import { FACES } from '../ui/tokens';

/** Where the key points, degrees from upright: off to the left, cranking furthest right. */
const ANGLES: Record<KeyPosition, number> = { off: -75, acc: -35, run: 10, engine: 10, crank: 65 };
const TICKS: readonly KeyPosition[] = ['off', 'acc', 'run', 'crank'];
const SIZE = 76;
const MIDDLE = { x: 38, y: 42 };
const RADIUS = 26;

/** The state of the next test as a drawing: where the key points, door, lamps, running or asleep. */
export const TestDrawing = memo(function TestDrawing(props: { readonly state: VehicleState }) {
  const { state } = props;
  const palette = usePalette();
  const at = (degrees: number, radius: number): { x: number; y: number } => ({
    x: MIDDLE.x + radius * Math.sin((degrees * Math.PI) / 180),
    y: MIDDLE.y - radius * Math.cos((degrees * Math.PI) / 180),
  });
  const tip = at(ANGLES[state.key], RADIUS - 6);
  return (
    <Svg width={SIZE} height={SIZE} role="img" aria-label={`Drawing: ${describeState(state)}`}>
      <Circle
        cx={MIDDLE.x}
        cy={MIDDLE.y}
        r={RADIUS}
        fill="none"
        stroke={palette.ink}
        strokeWidth={1.5}
      />
      {TICKS.map((key) => {
        const [from, to] = [at(ANGLES[key], RADIUS), at(ANGLES[key], RADIUS + 6)];
        return (
          <Line
            key={key}
            x1={from.x}
            y1={from.y}
            x2={to.x}
            y2={to.y}
            stroke={palette.ink}
            strokeWidth={key === state.key ? 4 : 1.5}
          />
        );
      })}
      {state.asleep ? (
        <Text x={24} y={48} fill={palette.ink} fontFamily={FACES.strong} fontSize={20}>
          zz
        </Text>
      ) : (
        <Line
          x1={MIDDLE.x}
          y1={MIDDLE.y}
          x2={tip.x}
          y2={tip.y}
          stroke={palette.accent}
          strokeWidth={5}
          strokeLinecap="round"
        />
      )}
      {state.key === 'engine' && (
        <Path d="M30 58q4 -6 8 0t8 0" stroke={palette.ink} strokeWidth={2} fill="none" />
      )}
      {state.lamps && (
        <G stroke={palette.ink} strokeWidth={2}>
          <Path d="M60 66a5 5 0 0 0 0 -10z" fill={palette.ink} />
          <Line x1={64} y1={58} x2={72} y2={58} />
          <Line x1={64} y1={64} x2={72} y2={64} />
        </G>
      )}
      {/* The door seen from above: shut along the car's side, or swung out. */}
      <Line x1={6} y1={74} x2={6} y2={58} stroke={palette.line} strokeWidth={2} />
      <Line
        x1={6}
        y1={74}
        x2={state.driverDoor === 'open' ? 20 : 6}
        y2={state.driverDoor === 'open' ? 66 : 58}
        stroke={palette.ink}
        strokeWidth={3}
      />
    </Svg>
  );
});
