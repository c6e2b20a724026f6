import type { CoordinationCurves, CurvePoint } from '@lucky-thread/core/size';
import { View } from 'react-native';
import Svg, { Defs, G, Line, Path, Pattern, Rect, Text } from 'react-native-svg';
import { usePalette } from '../ThemeProvider';
import { FACES } from '../tokens';
import { useChartWidth } from './useChartWidth';
import { decades, logScale, pathThrough } from './scale';

/** Props of {@link CoordinationChart}. */
export interface CoordinationChartProps {
  /** Time over current of fuse and conductor. */
  readonly curves: CoordinationCurves;
  /** Name of the conductor, e.g. `18 AWG`. */
  readonly wire: string;
  /** Rating of the fuse, A. */
  readonly fuseA: number;
}

const HEIGHT = 300;
/** Room for the conductor's name left of the short's line, px. */
const LABEL_WIDTH = 96;
const EDGE = { left: 58, right: 12, top: 14, bottom: 46 };
const SECONDS: Readonly<Record<string, string>> = {
  '0.001': '1 ms',
  '0.01': '10 ms',
  '0.1': '0.1 s',
  '1': '1 s',
  '10': '10 s',
  '100': '100 s',
  '1000': '17 min',
  '10000': '3 h',
};

/** The fuse's opening band against what the conductor stands, both axes logarithmic: the band must lie left below the wire. */
export function CoordinationChart({ curves, wire, fuseA }: CoordinationChartProps) {
  const palette = usePalette();
  const width = useChartWidth();
  const x = logScale(curves.currents, [EDGE.left, width - EDGE.right]);
  const y = logScale(curves.times, [HEIGHT - EDGE.bottom, EDGE.top]);
  const at = ({ currentA, seconds }: CurvePoint) => [x(currentA), y(seconds)] as const;
  const { coordination } = curves;
  const band = [...curves.fastest.map(at), ...[...curves.slowest].reverse().map(at)];
  const fault = x(coordination.faultA);
  const label = { fill: palette.ink, fontFamily: FACES.label, fontSize: 14 } as const;
  const wireEnd = curves.conductor[0];
  return (
    <View testID="coordination-chart">
      <Svg
        viewBox={`0 0 ${width} ${HEIGHT}`}
        width="100%"
        height={HEIGHT}
        role="img"
        aria-label={`Opening time over current: a ${fuseA} A fuse clears a dead short of ${coordination.faultA.toFixed(0)} A in at most ${coordination.clearsS.toPrecision(2)} s; ${wire} stands it for ${coordination.standsS.toPrecision(2)} s.`}
      >
        <Defs>
          <Pattern id="band" width="6" height="6" patternUnits="userSpaceOnUse">
            <Path d="M0 6 L6 0" stroke={palette.inkSoft} strokeWidth="1.4" />
          </Pattern>
        </Defs>
        <Grid curves={curves} />
        <Path d={`${pathThrough(band)} Z`} fill="url(#band)" stroke={palette.inkSoft} />
        <Path
          d={pathThrough(curves.conductor.map(at))}
          stroke={palette.accent}
          strokeWidth={4}
          fill="none"
        />
        <Line
          x1={fault}
          x2={fault}
          y1={EDGE.top}
          y2={HEIGHT - EDGE.bottom}
          stroke={palette.ink}
          strokeWidth={1.5}
          strokeDasharray="5 4"
        />
        <G>
          <Rect x={fault - 74} y={EDGE.top} width={70} height={34} fill={palette.raised} />
          <Text {...label} x={fault - 6} y={EDGE.top + 13} textAnchor="end">
            dead short
          </Text>
          <Text {...label} x={fault - 6} y={EDGE.top + 29} textAnchor="end">
            {`${coordination.faultA.toFixed(0)} A`}
          </Text>
        </G>
        {wireEnd !== undefined && (
          <Text
            {...label}
            fill={palette.accent}
            x={Math.min(x(wireEnd.currentA), fault - LABEL_WIDTH)}
            y={Math.max(y(wireEnd.seconds) - 12, EDGE.top + 50)}
          >
            {`${wire} is hurt`}
          </Text>
        )}
        <Text {...label} x={EDGE.left + 6} y={HEIGHT - EDGE.bottom - 8}>
          {`${fuseA} A fuse opens in the band`}
        </Text>
      </Svg>
    </View>
  );
}

function Grid({ curves }: { readonly curves: CoordinationCurves }) {
  const palette = usePalette();
  const width = useChartWidth();
  const x = logScale(curves.currents, [EDGE.left, width - EDGE.right]);
  const y = logScale(curves.times, [HEIGHT - EDGE.bottom, EDGE.top]);
  const label = { fill: palette.inkSoft, fontFamily: FACES.label, fontSize: 13 } as const;
  return (
    <>
      {decades(curves.times).map((seconds) => (
        <G key={seconds}>
          <Line
            x1={EDGE.left}
            x2={width - EDGE.right}
            y1={y(seconds)}
            y2={y(seconds)}
            stroke={palette.line}
            strokeWidth={0.7}
          />
          <Text {...label} x={EDGE.left - 5} y={y(seconds) + 4} textAnchor="end">
            {SECONDS[String(seconds)] ?? ''}
          </Text>
        </G>
      ))}
      {ampereTicks(curves.currents).map((amps) => (
        <G key={amps}>
          <Line
            x1={x(amps)}
            x2={x(amps)}
            y1={EDGE.top}
            y2={HEIGHT - EDGE.bottom}
            stroke={palette.line}
            strokeWidth={0.7}
          />
          <Text {...label} x={x(amps)} y={HEIGHT - EDGE.bottom + 16} textAnchor="middle">
            {`${amps}`}
          </Text>
        </G>
      ))}
      <AxisNames />
    </>
  );
}

function AxisNames() {
  const palette = usePalette();
  const width = useChartWidth();
  const label = { fill: palette.inkSoft, fontFamily: FACES.label, fontSize: 13 } as const;
  const middle = (HEIGHT - EDGE.bottom) / 2;
  return (
    <>
      <Text {...label} x={(EDGE.left + width) / 2} y={HEIGHT - 8} textAnchor="middle">
        current, A
      </Text>
      <Text {...label} x={12} y={middle} textAnchor="middle" transform={`rotate(-90 12 ${middle})`}>
        time
      </Text>
    </>
  );
}

/** One, two and five of each decade. */
function ampereTicks([low, high]: readonly [number, number]): number[] {
  return decades([low / 10, high])
    .flatMap((ten) => [ten, 2 * ten, 5 * ten])
    .filter((amps) => amps >= low && amps <= high);
}
