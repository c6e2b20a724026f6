import type { Stitch as StitchLine, StitchMark } from '@lucky-thread/core/identify';
import { describeStitch } from '@lucky-thread/core/identify/reading';
import type { StitchPlace } from '@lucky-thread/core/vehicle';
import { memo } from 'react';
import Svg, { Circle, Line, Path, Text } from 'react-native-svg';
import { usePalette } from './ThemeProvider';
import { FACES } from './tokens';

/** Props of {@link Stitch}. */
export interface StitchProps {
  /** Where it runs. */
  readonly stitch: StitchLine;
  /** Width of one place, px; 22 by default. */
  readonly step?: number;
  /** Names of the places below the line. */
  readonly named?: boolean;
  /** Colour of the thread; ink by default. */
  readonly colour?: string;
}

const PLACE_LETTERS: Record<StitchPlace, string> = {
  asleep: 'zz',
  off: 'off',
  acc: 'acc',
  run: 'run',
  crank: 'crk',
  lamps: 'lmp',
  justOff: 'j·off',
  engine: 'eng',
  waited: '10′',
  dimmed: 'dim',
  brake: 'brake',
  reverse: 'rev',
  parkingBrake: 'p·brk',
  lock: 'lock',
  unlock: 'unlk',
  hazard: 'haz',
  hood: 'hood',
  turnLeft: 'left',
  turnRight: 'right',
  horn: 'horn',
  wiper: 'wipe',
  rolling: 'roll',
  highBeam: 'main',
  tuner: 'tune',
  otherSource: 'src',
  everything: 'all',
};
/** Height of the line as a share of one step. */
const RISE = 0.8;
const THREAD = 3;
const NAME_HEIGHT = 13;

/**
 * The evidence on one source as a thread through the vehicle's states: high where it was read live, low where dead,
 * loose and dotted where nobody looked, crossed where readings disagree.
 */
export const Stitch = memo(function Stitch(props: StitchProps) {
  const palette = usePalette();
  const { step = 22, named = false, colour = palette.ink } = props;
  const rise = step * RISE;
  const top = THREAD;
  const width = props.stitch.length * step + THREAD;
  const height = rise + 2 * THREAD + (named ? NAME_HEIGHT : 0);
  const levels = props.stitch.map(({ mark }) => levelOf(mark, top, rise));
  return (
    <Svg width={width} height={height} role="img" aria-label={describeStitch(props.stitch)}>
      {props.stitch.map(({ place, mark }, index) => {
        const x = index * step + THREAD / 2;
        const y = levels[index] ?? top;
        const next = levels[index + 1];
        return [
          mark === 'loose' ? (
            <Path
              key={`${place}-loose`}
              d={`M${x} ${y} q${step / 2} ${rise * 0.5} ${step} 0`}
              stroke={colour}
              strokeWidth={THREAD * 0.7}
              strokeDasharray="1.5 4"
              strokeLinecap="round"
              fill="none"
            />
          ) : (
            <Line
              key={`${place}-run`}
              x1={x}
              y1={y}
              x2={x + step}
              y2={y}
              stroke={colour}
              strokeWidth={THREAD}
              strokeLinecap="round"
            />
          ),
          mark === 'crossed' && (
            <Path
              key={`${place}-cross`}
              d={`M${x + step * 0.25} ${top} l${step * 0.5} ${rise} m0 ${-rise} l${-step * 0.5} ${rise}`}
              stroke={colour}
              strokeWidth={THREAD * 0.8}
              strokeLinecap="round"
            />
          ),
          next !== undefined &&
            next !== y &&
            mark !== 'loose' &&
            props.stitch[index + 1]?.mark !== 'loose' && (
              <Line
                key={`${place}-step`}
                x1={x + step}
                y1={y}
                x2={x + step}
                y2={next}
                stroke={colour}
                strokeWidth={THREAD}
                strokeLinecap="round"
              />
            ),
          mark === 'middle' && (
            <Circle key={`${place}-mid`} cx={x + step / 2} cy={y} r={THREAD * 1.2} fill={colour} />
          ),
          named && (
            <Text
              key={`${place}-name`}
              x={x + step / 2}
              y={height - 2}
              fontSize={step < 28 ? 10.5 : 13}
              fontFamily={FACES.label}
              textAnchor="middle"
              fill={palette.inkSoft}
            >
              {PLACE_LETTERS[place]}
            </Text>
          ),
        ];
      })}
    </Svg>
  );
});

function levelOf(mark: StitchMark, top: number, rise: number): number {
  if (mark === 'high') return top;
  return mark === 'low' ? top + rise : top + rise / 2;
}
