import type { Slot } from '@lucky-thread/core/vehicle';
import Svg, { Circle, G, Path, Rect, Text } from 'react-native-svg';
import { usePalette } from '../ui/ThemeProvider';
import { FACES } from '../ui/tokens';

/** Props of {@link OrientationDrawing}. */
export interface OrientationDrawingProps {
  /** The slot that it is about. */
  readonly slot: Slot;
  /** Contact that the supply enters; undefined until it is known. */
  readonly supply: 'a' | 'b' | undefined;
}

const WIDTH = 372;
const HEIGHT = 200;
/** Where the wires from the two contacts leave the slot. */
const UPPER_Y = 66;
const LOWER_Y = 140;

interface Contact {
  readonly id: 'a' | 'b';
  readonly landmark: string;
  readonly x: number;
  readonly y: number;
  /** Height at which its wire runs to the tap. */
  readonly wireY: number;
}

/**
 * The slot as it lies in the car, its two contacts named by landmark, and the tap beside it: the supply enters the
 * blade common to both fuses; the original fuse sits nearest the blades, the added one outside.
 */
export function OrientationDrawing({ slot, supply }: OrientationDrawingProps) {
  const palette = usePalette();
  const ink = palette.ink;
  const contacts = contactsOf(slot);
  const line = contacts.find((contact) => contact.id === supply);
  const load = contacts.find((contact) => supply !== undefined && contact.id !== supply);
  const wide = slot.lie === 'wide';
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
      <Label x={wide ? 107 : 78} y={18} text={`slot ${slot.position}`} colour={ink} />
      <Rect
        x={wide ? 40 : 36}
        y={26}
        width={wide ? 134 : 84}
        height={158}
        rx={8}
        fill={palette.sunken}
        stroke={palette.line}
        strokeWidth={2}
      />
      {contacts.map((contact) => (
        <ContactMark key={contact.id} {...{ contact, wide }} fed={contact.id === supply} />
      ))}
      {line !== undefined && load !== undefined && (
        <>
          <SupplyArrow contact={line} wide={wide} ink={ink} />
          <Tap line={line} load={load} ink={ink} canvas={palette.raised} />
        </>
      )}
    </Svg>
  );
}

/** One contact of the empty slot, filled where the supply enters. */
function ContactMark(props: {
  readonly contact: ReturnType<typeof contactsOf>[number];
  readonly wide: boolean;
  readonly fed: boolean;
}) {
  const { ink, canvas } = usePalette();
  const { contact, wide, fed } = props;
  return (
    <G>
      <Rect
        x={contact.x - 8}
        y={contact.y - 15}
        width={16}
        height={30}
        fill={fed ? ink : canvas}
        stroke={ink}
        strokeWidth={2}
      />
      <Label
        x={contact.x}
        y={labelBelow(contact, wide) ? contact.y + 31 : contact.y - 21}
        text={contact.landmark}
        colour={ink}
        small
      />
    </G>
  );
}

function contactsOf(slot: Slot): readonly Contact[] {
  const [a, b] = slot.contacts;
  if (slot.lie === 'tall')
    return [
      { ...a, x: 78, y: UPPER_Y, wireY: UPPER_Y },
      { ...b, x: 78, y: LOWER_Y, wireY: LOWER_Y },
    ];
  // Side by side: the left wire leaves above, the right one below, so that they do not cross.
  const middle = (UPPER_Y + LOWER_Y) / 2;
  return [
    { ...a, x: 74, y: middle, wireY: UPPER_Y - 22 },
    { ...b, x: 140, y: middle, wireY: LOWER_Y + 26 },
  ];
}

/** The label stands where the contact's wire does not leave. */
function labelBelow(contact: Contact, wide: boolean): boolean {
  return wide ? contact.wireY < contact.y : contact.id === 'b';
}

function SupplyArrow(props: { contact: Contact; wide: boolean; ink: string }) {
  const { contact, wide, ink } = props;
  const { x, y } = contact;
  // Of two contacts side by side, the right one is fed from its own outer side.
  const fromRight = wide && contact.id === 'b';
  const path = fromRight
    ? `M${x + 56} ${y} H${x + 10} m9 -7 l-9 7 l9 7`
    : `M6 ${y} H${x - 10} m-9 -7 l9 7 l-9 7`;
  return (
    <G>
      <Path d={path} stroke={ink} strokeWidth={3} fill="none" />
      <Label x={fromRight ? x + 36 : 20} y={y - 10} text="supply" colour={ink} small />
    </G>
  );
}

const JOINT_X = 224;
const END_X = 364;

/** The tap: its line blade on the supply contact, the original fuse back to the load, the added fuse out to the lead. */
function Tap(props: { line: Contact; load: Contact; ink: string; canvas: string }) {
  const { line, load, ink, canvas } = props;
  const middle = (line.wireY + load.wireY) / 2;
  const below = line.wireY > load.wireY;
  return (
    <G>
      <Path d={wire(line, JOINT_X)} stroke={ink} strokeWidth={3} fill="none" />
      <Path
        d={`M${JOINT_X} ${line.wireY} V${load.wireY}`}
        stroke={ink}
        strokeWidth={3}
        fill="none"
      />
      <Path d={wire(load, JOINT_X)} stroke={ink} strokeWidth={3} fill="none" />
      <Path
        d={`M${JOINT_X} ${line.wireY} H${END_X} m-9 -6 l9 6 l-9 6`}
        stroke={ink}
        strokeWidth={3}
        fill="none"
      />
      <Circle cx={JOINT_X} cy={line.wireY} r={5} fill={ink} />
      <Fuse x={JOINT_X} y={middle} ink={ink} canvas={canvas} />
      <Label x={JOINT_X + 48} y={middle + 4} text="original fuse" colour={ink} small />
      <Fuse x={286} y={line.wireY} ink={ink} canvas={canvas} />
      <Label x={286} y={line.wireY + (below ? 26 : -16)} text="added fuse" colour={ink} small />
      <Label x={346} y={line.wireY + (below ? -12 : 22)} text="device" colour={ink} small />
      <Label x={194} y={line.wireY + (below ? 18 : -9)} text="line blade" colour={ink} small />
    </G>
  );
}

function wire(contact: Contact, toX: number): string {
  const { x, y, wireY } = contact;
  if (wireY === y) return `M${x + 10} ${y} H${toX}`;
  const from = wireY < y ? y - 17 : y + 17;
  return `M${x} ${from} V${wireY} H${toX}`;
}

function Fuse(props: { x: number; y: number; ink: string; canvas: string }) {
  return (
    <G>
      <Rect
        x={props.x - 15}
        y={props.y - 10}
        width={30}
        height={20}
        rx={3}
        fill={props.canvas}
        stroke={props.ink}
        strokeWidth={2}
      />
      <Path
        d={`M${props.x - 10} ${props.y} q5 -8 10 0 t10 0`}
        stroke={props.ink}
        strokeWidth={2}
        fill="none"
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
