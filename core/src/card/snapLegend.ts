import { LEGEND_SPELLINGS, howUnknown, readSafety } from '../identify/legend';
import { folded, mistakenFor, printDistance } from './printed';

/** What a legend that was read is taken for. */
export interface SnappedLegend {
  /** The legend as it is probably printed. */
  readonly legend: string;
  /** How far that is from what was read; 0 is the same. */
  readonly distance: number;
  /** Whether the legend means something that is known. */
  readonly known: boolean;
  /** Why it has to be looked at; undefined when nothing speaks against it. */
  readonly doubt: string | undefined;
}

/** Farthest that a reading is moved, as a share of its letters. */
const FARTHEST = 0.2;
/** Two legends so close to what was read could both stand there. */
const RIVAL = 0.75;
/** From this chance that nothing in it is known on, a legend is unknown. */
const UNKNOWN = 0.4;
/** A legend that is worked out anew must be known this much better than what was read. */
const CLEARER = 0.3;
/** A spelling so close to what was read is meant, whatever could be made of what was read. */
const CLOSE = 0.4;
/** What figures among letters count for, as a chance that nothing in the legend is known. */
const AGAINST_MIXED = 0.6;
/** Shorter legends are taken for another only when that one is spelled so: of two letters almost anything can be made. */
const SHORT = 3;
/** Signs of one legend that are tried otherwise. */
const MOST_CHANGES = 2;
/** Ways of one legend that are tried at most. */
const MOST_WAYS = 160;

/**
 * What a legend that was read from a picture probably says: as it is where it means something, else the nearest legend
 * that does, through what print and reading confuse. What cannot be told stays as it was read, in doubt.
 *
 * @param met legends that the shop has entered before
 */
export function snapLegend(read: string, met: readonly string[]): SnappedLegend {
  const legend = read.trim().replace(/\s+/g, ' ');
  const own = { legend, distance: 0, unknown: unknownBy(legend, met) };
  if (isSpelled(legend, met))
    return { legend, distance: 0, known: true, doubt: rivalDoubt(own, met) };
  const near = nearSpellings(legend, met);
  const ways = [...near, ...otherWays(legend)].map((way) => ({
    ...way,
    unknown: unknownBy(way.legend, met),
  }));
  // A figure before a letter speaks against what was read, even where something could be made of it.
  const against = MIXED.test(legend) ? Math.max(own.unknown, AGAINST_MIXED) : own.unknown;
  const better = ways
    .filter(
      (way) =>
        (isSpelled(way.legend, met) && way.distance <= CLOSE) ||
        (way.unknown < UNKNOWN && way.unknown < against - CLEARER && !MIXED.test(way.legend)),
    )
    .sort((one, other) => costOf(one) - costOf(other))[0];
  if (better !== undefined)
    return {
      legend: better.legend,
      distance: better.distance,
      known: true,
      doubt: `read as ${legend}, taken for ${better.legend}`,
    };
  if (MIXED.test(legend))
    return {
      legend,
      distance: 0,
      known: own.unknown < UNKNOWN,
      doubt: 'a figure among its letters',
    };
  if (own.unknown < UNKNOWN)
    return { legend, distance: 0, known: true, doubt: rivalDoubt(own, met) };
  return { legend, distance: 0, known: false, doubt: 'no legend that is known' };
}

interface Way {
  readonly legend: string;
  readonly distance: number;
}

function costOf({ distance, unknown }: Way & { readonly unknown: number }): number {
  return distance + unknown;
}

/** Another legend that is as near to what was read and of another safety has to be ruled out by eye. */
function rivalDoubt({ legend }: Way, met: readonly string[]): string | undefined {
  const safety = readSafety(legend);
  const rival = nearSpellings(legend, met).find(
    (way) =>
      way.distance < RIVAL &&
      folded(way.legend) !== folded(legend) &&
      readSafety(way.legend) !== safety,
  );
  return rival === undefined ? undefined : `may be ${rival.legend}`;
}

/** Whether the lexicon or the shop spells it just so, but for marks and dots. */
function isSpelled(legend: string, met: readonly string[]): boolean {
  const key = folded(legend);
  return key !== '' && (FOLDED.has(key) || met.some((one) => folded(one) === key));
}

const FOLDED: ReadonlySet<string> = new Set(LEGEND_SPELLINGS.map(folded));

function unknownBy(legend: string, met: readonly string[]): number {
  return isSpelled(legend, met) ? 0 : howUnknown(legend);
}

function nearSpellings(legend: string, met: readonly string[]): Way[] {
  const most = Math.max(RIVAL, FARTHEST * folded(legend).length);
  return [...met, ...LEGEND_SPELLINGS]
    .filter((one) => Math.abs(one.length - legend.length) <= most + 1)
    .map((one) => ({ legend: one, distance: printDistance(legend, one) }))
    .filter((way) => way.distance <= most)
    .sort((one, other) => one.distance - other.distance)
    .slice(0, 5)
    .map((way) => ({ ...way, legend: withMarks(legend, way.legend) }));
}

/** A spelling with the strokes and dots that were read, where they stand at the same signs. */
function withMarks(read: string, spelling: string): string {
  if (read.length !== spelling.length) return spelling;
  return [...spelling].map((sign, at) => (sign === ' ' ? (read[at] ?? sign) : sign)).join('');
}

/** A figure before a letter: read for a letter. After one it may well be a number that belongs to the legend. */
const MIXED = /\d(?!\d*(?:A|V)\b)[A-ZÄÖÜ]|\d(?:A|V)\w/;

/**
 * The legend with one or two figures as letters, where figures stand before its letters: words have none. Words of letters alone
 * are as they were read or spelled as somebody spells them; among all that letters could be, something would mean something.
 */
function otherWays(legend: string): Way[] {
  if (folded(legend).length <= SHORT || !MIXED.test(legend)) return [];
  let ways: Way[] = [{ legend, distance: 0 }];
  const found: Way[] = [];
  for (let changed = 0; changed < MOST_CHANGES; changed += 1) {
    ways = ways.flatMap(oneOtherwise).slice(0, MOST_WAYS);
    found.push(...ways);
  }
  const most = FARTHEST * legend.length;
  return found.filter((way) => way.distance <= most);
}

function oneOtherwise({ legend, distance }: Way): Way[] {
  return [...legend].flatMap((sign, at) =>
    mistakenFor(sign)
      .filter(([other]) => /\d/.test(sign) && /[A-Z]/.test(other))
      .map(([other, cost]) => ({
        legend: legend.slice(0, at) + other + legend.slice(at + 1),
        distance: distance + cost,
      })),
  );
}
