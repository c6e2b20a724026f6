import { awgAreaMm2 } from '../../units';
import type { WireLook } from '../source';
import { POSITION } from '../typed/position';
import type { ColourSystem } from '../wireColour';
import { parseWireColour } from '../wireColour';

/** One wire as it was typed. */
export interface WireCell extends Omit<WireLook, 'tapedWith'> {
  /** What it was said to be called; undefined: counted on from the wire before. */
  readonly name: string | undefined;
  /** Name of the wire that it is taped with; `before`: the one typed before it. */
  readonly taped: { readonly with: string } | 'before' | undefined;
}

/** Why a cell could not be read. */
export interface WireProblem {
  readonly message: string;
  /** Letters that mean another colour in another way of writing: choose one. */
  readonly clashes: boolean;
}

const NAMED = /^([A-Za-z0-9._-]+)\s*[:=]\s*(.*)$/;
const TAPED = /^&(?:([A-Za-z0-9._-]+)\s+(?=\S)|\s*)(.*)$/;
const NOTED = /^(.*?)\s*"([^"]*)"$/;
/** A cross-section: mm² or gauge number; a tilde before one that is only assumed. */
const GAUGED = /^(~)?(\d+(?:\.\d+)?)\s*(mm2|mm²|awg)?\s+(.*)$/i;
/** What stands for a colour that cannot be told. */
const NO_COLOUR = '?';

/**
 * A wire as it was typed: `12: 0.75 RD/YE > OG "clock"`: its name, cross-section, colour as printed, colour as seen, and
 * what else hangs on it; an ampersand before one that is taped or twisted with the one before it, `&12` with another.
 */
export function readWire(
  written: string,
  system: ColourSystem | undefined,
): WireCell | WireProblem {
  const named = NAMED.exec(written);
  const name = named?.[1];
  if (name !== undefined && !POSITION.test(name))
    return problem(`“${name}” is no name: up to 12 letters or digits`);
  const taped = TAPED.exec(named?.[2] ?? written);
  const noted = NOTED.exec(taped?.[2] ?? named?.[2] ?? written);
  const print = noted?.[1] ?? taped?.[2] ?? named?.[2] ?? written;
  const gauged = GAUGED.exec(print);
  const [colour = '', seen, ...more] = (gauged?.[4] ?? print).split('>').map((one) => one.trim());
  if (more.length > 0) return problem(`“${print}” has more than one colour as seen`);
  const colours = [colour, seen].map((one) => colourIn(one, system));
  const wrong = colours.find((one) => typeof one === 'object');
  if (typeof wrong === 'object') return wrong;
  const [printed, asSeen] = colours as (string | undefined)[];
  const alsoFeeds = noted?.[2]?.trim() ?? '';
  return {
    name,
    taped: taped === null ? undefined : taped[1] === undefined ? 'before' : { with: taped[1] },
    ...(printed === undefined ? {} : { colour: printed }),
    ...(asSeen === undefined ? {} : { seenColour: asSeen }),
    ...(gauged === null ? {} : gaugeIn(gauged)),
    ...(alsoFeeds === '' ? {} : { alsoFeeds }),
  };
}

function problem(message: string, clashes = false): WireProblem {
  return { message, clashes };
}

function gaugeIn([, assumed, number = '', unit = '']: RegExpExecArray): WireLook {
  const size = Number(number);
  // To a hundredth: a gauge number's area has no end.
  const gaugeMm2 = unit.toLowerCase() === 'awg' ? Math.round(awgAreaMm2(size) * 100) / 100 : size;
  return { gaugeMm2, gaugeMeasured: assumed === undefined };
}

function colourIn(
  written: string | undefined,
  system: ColourSystem | undefined,
): string | undefined | WireProblem {
  if (written === undefined || written === NO_COLOUR) return undefined;
  const read = colourBy(written, system);
  if (typeof read === 'string' || system === undefined) return read;
  // Colours picked by eye come as IEC 60757 codes, which mean nothing else in any other way of writing.
  const picked = colourBy(written, 'iec');
  return typeof picked === 'string' ? picked : read;
}

function colourBy(written: string, system: ColourSystem | undefined): string | WireProblem {
  try {
    const { base, stripe } = parseWireColour(written, system);
    return stripe === undefined ? base : `${base}/${stripe}`;
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return problem(error.message, error.message.includes('choose the way of writing'));
  }
}

/** A wire as it would be typed in IEC 60757 codes; {@link readWire} makes the same of it again. */
export function writeWire(wire: WireCell): string {
  const { name, taped, colour, seenColour, gaugeMm2, gaugeMeasured, alsoFeeds } = wire;
  const tape = taped === undefined ? '' : taped === 'before' ? '& ' : `&${taped.with} `;
  const gauge = gaugeMm2 === undefined ? '' : `${gaugeMeasured === true ? '' : '~'}${gaugeMm2} `;
  const seen = seenColour === undefined ? '' : ` > ${seenColour}`;
  const note = alsoFeeds === undefined ? '' : ` "${alsoFeeds.replaceAll('"', '”')}"`;
  return `${name === undefined ? '' : `${name}: `}${tape}${gauge}${colour ?? NO_COLOUR}${seen}${note}`;
}
