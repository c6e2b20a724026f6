import type { Slot } from '@lucky-thread/core/vehicle';
import Svg, { Circle, G, Line, Path, Rect, Text } from 'react-native-svg';
import { usePalette } from '../../ui/ThemeProvider';
import { FACES } from '../../ui/tokens';

/** Props of {@link OrientationDrawing}. */
export interface OrientationDrawingProps {
  readonly slot: Slot;
  /** Contact that the supply enters; undefined until it is known. */
  readonly supply: 'a' | 'b' | undefined;
}

const WIDTH = 340;
const HEIGHT = 190;

/**
 * The slot as it lies in the car, its two contacts named by landmark, and the tap over it: the supply enters the
 * blade common to both fuses; the original fuse sits nearest the blades, the added one outside.
 */
export function OrientationDrawing({ slot, supply }: OrientationDrawingProps) {
  const palette = usePalette();
  const ink = palette.ink;
  const contacts = slot.contacts.map((contact, index) => ({
    ...contact,
    x: 78,
    y: 62 + index * 76,
    isSupply: contact.id === supply,
  }));
  const line = contacts.find((contact) => contact.isSupply);
  const load = contacts.find((contact) => supply !== undefined && !contact.isSupply);
  const spoken =
    line === undefined
      ? `Empty slot with ${slot.contacts[0].landmark} and ${slot.contacts[1].landmark}; supply side not found yet`
      : `Supply enters at the ${line.landmark}; the tap's line blade goes there`;
  return (
    <Svg
      width="100%"
      height={HEIGHT}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={spoken}
    >
      <Rect
        x={44}
        y={30}
        width={68}
        height={140}
        rx={8}
        fill={palette.sunken}
        stroke={palette.line}
        strokeWidth={2}
      />
      <Label x={78} y={20} text={`slot ${slot.position}`} colour={ink} />
      {contacts.map((contact) => (
        <G key={contact.id}>
          <Rect
            x={contact.x - 8}
            y={contact.y - 16}
            width={16}
            height={32}
            fill={contact.isSupply ? ink : palette.canvas}
            stroke={ink}
            strokeWidth={2}
          />
          <Label
            x={contact.x}
            y={contact.y + (contact.id === 'a' ? -21 : 30)}
            text={contact.landmark}
            colour={ink}
            small
          />
        </G>
      ))}
      {line !== undefined && (
        <G>
          <Path
            d={`M6 ${line.y} H56 m-10 -7 l10 7 l-10 7`}
            stroke={ink}
            strokeWidth={3}
            fill="none"
          />
          <Label x={24} y={line.y - 10} text="supply" colour={ink} small />
        </G>
      )}
      {line !== undefined && load !== undefined && (
        <G>
          <Path
            d={`M88 ${line.y} H176 M152 ${line.y} V${(line.y + load.y) / 2} M176 ${line.y} H200`}
            stroke={ink}
            strokeWidth={3}
            fill="none"
          />
          <Fuse
            x={152}
            y={(line.y + load.y) / 2}
            label="original"
            ink={ink}
            canvas={palette.raised}
          />
          <Path
            d={`M152 ${load.y} H88 M152 ${(line.y + load.y) / 2} V${load.y}`}
            stroke={ink}
            strokeWidth={3}
            fill="none"
          />
          <Circle cx={152} cy={line.y} r={5} fill={ink} />
          <Fuse x={214} y={line.y} label="added" ink={ink} canvas={palette.raised} />
          <Path
            d={`M228 ${line.y} H300 m-9 -6 l9 6 l-9 6`}
            stroke={ink}
            strokeWidth={3}
            fill="none"
          />
          <Label x={272} y={line.y - 14} text="to device" colour={ink} small />
          <Label x={160} y={line.y - 26} text="line blade" colour={ink} small />
          <Line
            x1={112}
            x2={112}
            y1={line.y - 18}
            y2={line.y + 18}
            stroke={palette.line}
            strokeWidth={2}
          />
        </G>
      )}
    </Svg>
  );
}

function Fuse(props: { x: number; y: number; label: string; ink: string; canvas: string }) {
  return (
    <G>
      <Rect
        x={props.x - 14}
        y={props.y - 9}
        width={28}
        height={18}
        rx={3}
        fill={props.canvas}
        stroke={props.ink}
        strokeWidth={2}
      />
      <Path
        d={`M${props.x - 9} ${props.y} q4.5 -7 9 0 t9 0`}
        stroke={props.ink}
        strokeWidth={2}
        fill="none"
      />
      <Label
        x={props.x + (props.label === 'original' ? 46 : 0)}
        y={props.y + (props.label === 'original' ? 4 : 24)}
        text={props.label}
        colour={props.ink}
        small
      />
    </G>
  );
}

function Label(props: { x: number; y: number; text: string; colour: string; small?: boolean }) {
  return (
    <Text
      x={props.x}
      y={props.y}
      fontSize={props.small === true ? 13 : 15}
      fontFamily={FACES.label}
      textAnchor="middle"
      fill={props.colour}
    >
      {props.text}
    </Text>
  );
}
