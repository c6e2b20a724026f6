import type { CircuitFunction } from '@lucky-thread/core/vehicle';
import { FUNCTION_NAMES } from '@lucky-thread/core/vehicle';
import { useId } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { Circle, Defs, Line, Pattern, Rect } from 'react-native-svg';
import { usePalette } from './ThemeProvider';
import { SPACE } from './tokens';
import { Words } from './Words';

/** How the swatch of each function is filled, so that no two differ by colour alone. */
type Fill =
  'solid' | 'dashes' | 'slant' | 'slantDots' | 'bars' | 'grid' | 'dots' | 'levels' | 'empty';
const FILLS: Record<CircuitFunction, Fill> = {
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
export function FunctionMark(props: { readonly of: CircuitFunction; readonly sure: boolean }) {
  const palette = usePalette();
  const id = useId();
  const fill = FILLS[props.of];
  return (
    <View style={styles.mark}>
      <Svg width={SIZE} height={SIZE} aria-hidden>
        <Defs>
          <Pattern id={id} width={6} height={6} patternUnits="userSpaceOnUse">
            <PatternMarks fill={fill} ink={palette.ink} />
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
}

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
