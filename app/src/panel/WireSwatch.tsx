import Svg, { Line, Rect } from 'react-native-svg';
import { usePalette } from '../ui/ThemeProvider';

/** What the codes of wire colours look like on a screen; the code stands beside it, colour alone says nothing. */
const SHADES: Readonly<Record<string, string>> = {
  BK: '#1c1b1a',
  BN: '#7a4a22',
  RD: '#c22f2a',
  OG: '#e07b1d',
  YE: '#e8c92b',
  GN: '#2f8a3c',
  BU: '#2f5fb3',
  VT: '#7a4bb0',
  GY: '#8d8d8a',
  WH: '#f6f4ee',
  PK: '#e59ab0',
  TQ: '#3fb5b0',
  LBU: '#9cc3ea',
  LGN: '#a9d88f',
};

/** A short piece of wire in its colours: base, and the stripe along it. */
export function WireSwatch({ colour }: { readonly colour: string | undefined }) {
  const palette = usePalette();
  // Light shades of leads are written with a tilde.
  const [base, stripe] = (colour ?? '').split('/').map((code) => code.replace(/^(.*)~$/, 'L$1'));
  return (
    <Svg width={34} height={22} aria-hidden>
      <Rect
        x={1}
        y={5}
        width={32}
        height={12}
        rx={6}
        fill={SHADES[base ?? ''] ?? palette.sunken}
        stroke={palette.ink}
        strokeWidth={1}
      />
      {stripe !== undefined && (
        <Line
          x1={5}
          y1={11}
          x2={29}
          y2={11}
          stroke={SHADES[stripe] ?? palette.ink}
          strokeWidth={4}
        />
      )}
    </Svg>
  );
}
