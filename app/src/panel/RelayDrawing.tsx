import type { RelayDesign } from '@lucky-thread/core/join';
import Svg, { Circle, G, Line, Path, Rect, Text } from 'react-native-svg';
import { usePalette } from '../ui/ThemeProvider';
import { FACES } from '../ui/tokens';

/** Props of {@link RelayDrawing}. */
export interface RelayDrawingProps {
  /** The relays with what hangs on their terminals. */
  readonly design: RelayDesign;
  /** Relay that is drawn. */
  readonly relay: string;
  /** Whether it is drawn with current through the coils. */
  readonly pulledIn: boolean;
}

const WIDTH = 340;
const HEIGHT = 176;
const BOX = { x: 104, y: 14, width: 132, height: 148 } as const;
const COIL_X = 142;
const CONTACT_X = 196;

/** Where each terminal leaves the box: coil on the left, contacts on the right, as they are numbered (ISO 7588). */
const TERMINALS = [
  { terminal: '86', x: BOX.x, y: 52 },
  { terminal: '85', x: BOX.x, y: 124 },
  { terminal: '87', x: BOX.x + BOX.width, y: 42 },
  { terminal: '87a', x: BOX.x + BOX.width, y: 88 },
  { terminal: '30', x: BOX.x + BOX.width, y: 134 },
] as const;

/** One relay with its coil, its contact as it stands, and where each terminal goes. */
export function RelayDrawing({ design, relay, pulledIn }: RelayDrawingProps) {
  const palette = usePalette();
  const ink = palette.ink;
  const rows = TERMINALS.map((one) => ({
    ...one,
    goes: goesTo(design, `${relay}.${one.terminal}`),
  }));
  return (
    <Svg
      width="100%"
      height={HEIGHT}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`${relay}, ${pulledIn ? 'pulled in' : 'at rest'}: ${rows
        .map(({ terminal, goes }) => `${terminal} to ${goes}`)
        .join('; ')}`}
    >
      <Rect {...BOX} rx={8} fill={palette.sunken} stroke={palette.line} strokeWidth={2} />
      <Text
        x={BOX.x + BOX.width / 2}
        y={BOX.y + 20}
        fill={ink}
        fontSize={16}
        fontFamily={FACES.label}
        textAnchor="middle"
      >
        {relay}
      </Text>
      <G>
        <Line x1={COIL_X} y1={52} x2={COIL_X} y2={124} stroke={ink} strokeWidth={2} />
        <Rect
          x={COIL_X - 11}
          y={72}
          width={22}
          height={32}
          fill={pulledIn ? ink : palette.raised}
          stroke={ink}
          strokeWidth={2}
        />
        <Path d={`M${BOX.x} 52 H${COIL_X} M${BOX.x} 124 H${COIL_X}`} stroke={ink} strokeWidth={2} />
      </G>
      <Path
        d={`M${BOX.x + BOX.width} 42 H${CONTACT_X + 8} M${BOX.x + BOX.width} 88 H${CONTACT_X + 8} M${BOX.x + BOX.width} 134 H${CONTACT_X - 10}`}
        stroke={ink}
        strokeWidth={2}
        fill="none"
      />
      <Line
        x1={CONTACT_X - 10}
        y1={134}
        x2={CONTACT_X + 6}
        y2={pulledIn ? 44 : 90}
        stroke={ink}
        strokeWidth={3.5}
      />
      <Line
        x1={COIL_X + 11}
        y1={88}
        x2={CONTACT_X - 4}
        y2={pulledIn ? 94 : 108}
        stroke={palette.inkSoft}
        strokeWidth={1.5}
        strokeDasharray="3 4"
      />
      {rows.map(({ terminal, x, y, goes }) => {
        const left = x === BOX.x;
        return (
          <G key={terminal}>
            <Circle cx={x} cy={y} r={4} fill={ink} />
            <Text
              x={left ? x + 8 : x - 8}
              y={y - 5}
              fill={ink}
              fontSize={13}
              fontFamily={FACES.label}
              textAnchor={left ? 'start' : 'end'}
            >
              {terminal}
            </Text>
            <Text
              x={left ? x - 9 : x + 9}
              y={y + 5}
              fill={goes === NOWHERE ? palette.inkSoft : ink}
              fontSize={13}
              fontFamily={FACES.text}
              textAnchor={left ? 'end' : 'start'}
            >
              {goes}
            </Text>
          </G>
        );
      })}
    </Svg>
  );
}

const NOWHERE = 'capped';

/** What a terminal is joined to, diodes included. */
function goesTo({ joined, diodes }: RelayDesign, terminal: string): string {
  const plain = joined.flatMap(([one, other]) =>
    one === terminal ? [other] : other === terminal ? [one] : [],
  );
  const through = diodes.flatMap(([anode, cathode]) => {
    if (anode === terminal) return [`▷| ${cathode}`];
    return cathode === terminal ? [`|◁ ${anode}`] : [];
  });
  const all = [...plain, ...through];
  return all.length === 0 ? NOWHERE : all.map((name) => name.replace('.', ' ')).join(', ');
}
