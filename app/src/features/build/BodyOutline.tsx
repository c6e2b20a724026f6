import type { BodyGraph } from '@lucky-thread/core/build';
import { BODY_SHAPES } from '@lucky-thread/core/build';
import { memo } from 'react';
import { Circle, G, Line, Path, Rect } from 'react-native-svg';
import { usePalette } from '../../ui/ThemeProvider';

/** Room round the body for ends and numbers, px. */
export const EDGE = 14;
/** Room for the wheels below the sill, px. */
export const WHEEL_PX = 16;

/** The body in a few lines: enough to know which end is which, and where its pillars stand. */
export const BodyOutline = memo(function BodyOutline(props: {
  /** Size of the drawing, px. */
  readonly width: number;
  readonly height: number;
  readonly side: boolean;
  readonly body: BodyGraph;
}) {
  const palette = usePalette();
  const { width, height, side, body } = props;
  const { style } = body.knowledge;
  const { anchors } = BODY_SHAPES[style];
  const right = width - EDGE;
  const bottom = height - EDGE - (side ? WHEEL_PX : 0);
  const along = (share: number): number => EDGE + (right - EDGE) * share;
  const line = { stroke: palette.line, strokeWidth: 1.5, fill: palette.sunken } as const;
  if (!side) {
    const across = bottom - EDGE;
    const wheelY = EDGE + across * (body.knowledge.steering === 'left' ? 0.76 : 0.24);
    const inset = Math.min(8, across * 0.12);
    return (
      <G>
        {style === 'boat' ? (
          <Path
            d={`M${EDGE} ${(EDGE + bottom) / 2} Q${along(0.2)} ${EDGE} ${along(0.45)} ${EDGE} L${right} ${EDGE} L${right} ${bottom} L${along(0.45)} ${bottom} Q${along(0.2)} ${bottom} ${EDGE} ${(EDGE + bottom) / 2} Z`}
            {...line}
          />
        ) : (
          <Rect
            x={EDGE}
            y={EDGE}
            width={right - EDGE}
            height={bottom - EDGE}
            rx={Math.min(22, across * 0.25)}
            {...line}
          />
        )}
        {anchors !== undefined &&
          [anchors.bulkhead, anchors.screenTop, anchors.bPillar, anchors.rearTop].map((share) => (
            <Line
              key={share}
              x1={along(share)}
              x2={along(share)}
              y1={EDGE + inset}
              y2={bottom - inset}
              stroke={palette.line}
              strokeWidth={1.5}
            />
          ))}
        {anchors !== undefined && (
          <Circle
            cx={along(anchors.dash + 0.05)}
            cy={wheelY}
            r={Math.min(9, across * 0.13)}
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
});
