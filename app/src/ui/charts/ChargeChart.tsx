import { View } from 'react-native';
import Svg, { G, Line, Path, Rect, Text } from 'react-native-svg';
import { usePalette } from '../ThemeProvider';
import { FACES } from '../tokens';
import { useChartWidth } from './useChartWidth';
import { linearScale, pathThrough } from './scale';

/** Props of {@link ChargeChart}. */
export interface ChargeChartProps {
  /** State of charge by the hour, 0 to 1. */
  readonly hourly: ArrayLike<number>;
  /** Charge below which it does not start, 0 to 1. */
  readonly needed: number;
  /** Charge at which the device switches off; undefined when it does not. */
  readonly cutOff: number | undefined;
  /** First day without a start; undefined when there is none. */
  readonly noStartDay: number | undefined;
}

const HEIGHT = 220;
const EDGE = { left: 46, right: 10, top: 12, bottom: 40 };
const HOURS_PER_DAY = 24;

/** Charge of the battery over a month, with the charge that a start needs. */
export function ChargeChart({ hourly, needed, cutOff, noStartDay }: ChargeChartProps) {
  const palette = usePalette();
  const width = useChartWidth();
  const days = (hourly.length - 1) / HOURS_PER_DAY;
  const x = linearScale([0, days], [EDGE.left, width - EDGE.right]);
  const y = linearScale([0, 1], [HEIGHT - EDGE.bottom, EDGE.top]);
  const label = { fill: palette.inkSoft, fontFamily: FACES.label, fontSize: 13 } as const;
  const points = Array.from(
    hourly,
    (charge, hour) => [x(hour / HOURS_PER_DAY), y(charge)] as const,
  );
  const low = Math.min(1, needed);
  return (
    <View testID="charge-chart">
      <Svg
        viewBox={`0 0 ${width} ${HEIGHT}`}
        width="100%"
        height={HEIGHT}
        role="img"
        aria-label={`Charge of the battery over ${days} days: from ${percent(hourly[0] ?? 0)} to ${percent(hourly[hourly.length - 1] ?? 0)}${noStartDay === undefined ? '; it starts all the time' : `; it no longer starts on day ${noStartDay + 1}`}.`}
      >
        <Rect
          x={EDGE.left}
          y={y(low)}
          width={width - EDGE.left - EDGE.right}
          height={y(0) - y(low)}
          fill={palette.sunken}
        />
        {[0, 0.25, 0.5, 0.75, 1].map((charge) => (
          <G key={charge}>
            <Line
              x1={EDGE.left}
              x2={width - EDGE.right}
              y1={y(charge)}
              y2={y(charge)}
              stroke={palette.line}
              strokeWidth={0.7}
            />
            <Text {...label} x={EDGE.left - 5} y={y(charge) + 4} textAnchor="end">
              {percent(charge)}
            </Text>
          </G>
        ))}
        {[0, 7, 14, 21, 28].map((day) => (
          <Text key={day} {...label} x={x(day)} y={HEIGHT - EDGE.bottom + 16} textAnchor="middle">
            {day}
          </Text>
        ))}
        <Text {...label} x={(EDGE.left + width) / 2} y={HEIGHT - 6} textAnchor="middle">
          days; charge of the battery, %
        </Text>
        {cutOff !== undefined && (
          <Line
            x1={EDGE.left}
            x2={width - EDGE.right}
            y1={y(cutOff)}
            y2={y(cutOff)}
            stroke={palette.ink}
            strokeDasharray="3 4"
          />
        )}
        <Path d={pathThrough(points)} stroke={palette.ink} strokeWidth={2.4} fill="none" />
        {noStartDay !== undefined && (
          <Line
            x1={x(noStartDay)}
            x2={x(noStartDay)}
            y1={EDGE.top}
            y2={HEIGHT - EDGE.bottom}
            stroke={palette.accent}
            strokeWidth={3}
          />
        )}
        <Text {...label} fill={palette.ink} x={EDGE.left + 6} y={y(0) - 6}>
          does not start down here
        </Text>
        {cutOff !== undefined && (
          <Text
            {...label}
            fill={palette.ink}
            x={width - EDGE.right - 4}
            y={y(cutOff) - 22}
            textAnchor="end"
          >
            device cut off
          </Text>
        )}
      </Svg>
    </View>
  );
}

function percent(charge: number): string {
  return `${Math.round(100 * charge)} %`;
}
