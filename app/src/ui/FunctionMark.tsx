import type { CircuitFunction } from '@lucky-thread/core/vehicle';
import { FUNCTION_NAMES } from '@lucky-thread/core/vehicle';
import { memo, useId } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { Circle, Defs, Line, Path, Pattern, Rect } from 'react-native-svg';
import { usePalette } from './ThemeProvider';
import { SPACE } from './tokens';
import { Words } from './Words';

/** How the swatch of each function is filled, so that no two differ by colour alone. */
type Fill =
  | 'solid'
  | 'dashes'
  | 'slant'
  | 'slantDots'
  | 'bars'
  | 'grid'
  | 'dots'
  | 'levels'
  | 'empty';
/** Functions of wires have their own little drawing, repeated over the swatch (a path in a square of 6). */
const DRAWN: Partial<Record<CircuitFunction, string>> = {
  ground: 'M0 5H6 M1.5 2.5H4.5',
  dimmedIllumination: 'M0 1H6 M0 4H3',
  lowBeam: 'M0 1H6 M0 3H6 M0 5H6',
  highBeam: 'M0 1H6 M0 3H6 M0 5H6 M3 0V6',
  stopLamp: 'M1 0V6 M3 0V6 M5 0V6',
  reverse: 'M0 0L6 6',
  turnHazard: 'M0 3L3 0L6 3L3 6Z',
  doorSwitch: 'M0 6V2L4 0',
  parkingBrakeSwitch: 'M3 1V3.5 M1 5H5',
  lampsNegative: 'M0 1H6 M0 3.5H6 M1.5 5.5H4.5',
  hoodSwitch: 'M0 5H6 M0 5L4 1',
  horn: 'M1 2V4H3L6 6V0L3 2Z M0 3H1',
  wiper: 'M1 6L5 1 M3 0L6 2.5',
  speedPulse: 'M0 5H2V1H4V5H6',
  tachPulse: 'M0 5H1V1H2V5H3V1H4V5H6',
  lockNegative: 'M1 3H5',
  lockPositive: 'M1 3H5 M3 1V5',
  lockReversing: 'M0 1.5H3 M3 4.5H6 M4.5 3V6',
  lockMultiplex: 'M0 3L1.5 0L3 6L4.5 0L6 3',
  speaker: 'M1 2V4H3L5 6V0L3 2Z',
  amplifierTurnOn: 'M1 0V6L5 3Z',
  antennaTurnOn: 'M3 6V2 M0 0L3 2L6 0',
  dataBus: 'M0 0L6 6 M0 6L6 0',
  sensor: 'M0 3Q1.5 0 3 3T6 3',
};
const FILLS: Partial<Record<CircuitFunction, Fill>> = {
  constant: 'solid',
  timedConstant: 'dashes',
  accessory: 'slant',
  retainedAccessory: 'slantDots',
  ignitionRun: 'bars',
  ignitionRunCrank: 'grid',
  starter: 'dots',
  lamps: 'levels',
  spare: 'empty',
  none: 'empty',
};
const SIZE = 16;

/** A function's short code with its swatch; `sure` false adds a question mark. */
export const FunctionMark = memo(function FunctionMark(props: {
  readonly of: CircuitFunction;
  readonly sure: boolean;
}) {
  const palette = usePalette();
  const id = useId();
  const fill = FILLS[props.of] ?? 'empty';
  const drawn = DRAWN[props.of];
  return (
    <View style={styles.mark}>
      <Svg width={SIZE} height={SIZE} aria-hidden>
        <Defs>
          <Pattern id={id} width={6} height={6} patternUnits="userSpaceOnUse">
            {drawn === undefined ? (
              <PatternMarks fill={fill} ink={palette.ink} />
            ) : (
              <Path d={drawn} stroke={palette.ink} strokeWidth={1} fill="none" />
            )}
          </Pattern>
        </Defs>
        <Rect
          x={1}
          y={1}
          width={SIZE - 2}
          height={SIZE - 2}
          fill={fill === 'solid' ? palette.ink : `url(#${id})`}
          stroke={palette.ink}
          strokeWidth={1.5}
        />
      </Svg>
      <Words kind="code">{`${FUNCTION_NAMES[props.of].code}${props.sure ? '' : ' ?'}`}</Words>
    </View>
  );
});

function PatternMarks({ fill, ink }: { readonly fill: Fill; readonly ink: string }) {
  switch (fill) {
    case 'dashes':
      return <Rect x={0} y={0} width={6} height={3.5} fill={ink} />;
    case 'slant':
      return <Line x1={0} y1={6} x2={6} y2={0} stroke={ink} strokeWidth={2} />;
    case 'slantDots':
      return (
        <>
          <Line x1={0} y1={6} x2={6} y2={0} stroke={ink} strokeWidth={1} />
          <Circle cx={1.5} cy={1.5} r={1.2} fill={ink} />
        </>
      );
    case 'bars':
      return <Rect x={0} y={0} width={2.5} height={6} fill={ink} />;
    case 'grid':
      return (
        <>
          <Rect x={0} y={0} width={2} height={6} fill={ink} />
          <Rect x={0} y={0} width={6} height={2} fill={ink} />
        </>
      );
    case 'dots':
      return <Circle cx={3} cy={3} r={1.6} fill={ink} />;
    case 'levels':
      return <Rect x={0} y={0} width={6} height={1.5} fill={ink} />;
    case 'solid':
    case 'empty':
      return null;
  }
}

const styles = StyleSheet.create({
  mark: { flexDirection: 'row', alignItems: 'center', gap: SPACE.xs },
});
