import type { FuseFamily } from '../fuseFamily';
import { FUSE_FAMILIES, FUSE_FAMILY_FACTS } from '../fuseFamily';
import type { Slot } from '../panel';
import { POSITION } from '../typed/position';

/** One cell of a lid as it was typed. */
export interface LidCell {
  /** What it was said to be called; undefined: counted on from the cell before. */
  readonly position: string | undefined;
  /** Fuse fitted, A; undefined for none. */
  readonly ratingA: number | undefined;
  /** What is printed; undefined for nothing. */
  readonly legend: string | undefined;
  /** The rating was hard to read. */
  readonly doubtful: boolean;
  /** How it differs from the other slots. */
  readonly unlike: SlotUnlike;
}

/** How a slot differs from what holds for its panel. */
export interface SlotUnlike {
  readonly family?: FuseFamily;
  readonly lie?: Slot['lie'];
  readonly clearance?: Slot['clearance'];
}

/** What stands where the lid has no position at all. */
export const NO_POSITION = '_';

const NAMED = /^([A-Za-z0-9._-]+)\s*[:=]\s*(.*)$/;
/** Rating, perhaps with its A or a doubt, then the legend, in quotes where it has a comma. */
const FITTED = /^(\d+(?:[.,]\d+)?)\s*a?\s*(\?)?(?:\s+(.*))?$/i;
/** What people write where nothing is fitted; a legend may be printed there all the same. */
const BARE = /^[-–—.x]?(?:\s+(.*))?$/i;
const UNLIKE = /\{([^{}]*)\}\s*$/;

/** A cell of a lid, or what is wrong with it. */
export function readCell(written: string, family: FuseFamily): LidCell | string {
  const named = NAMED.exec(written);
  const position = named?.[1];
  if (position !== undefined && !POSITION.test(position))
    return `“${position}” is no position: up to 12 letters or digits`;
  const whole = named?.[2] ?? written;
  const braces = UNLIKE.exec(whole);
  const unlike = readUnlike(braces?.[1] ?? '');
  if (typeof unlike === 'string') return unlike;
  const print = whole.replace(UNLIKE, '').trim();
  const bare = BARE.exec(print);
  if (bare !== null)
    return { position, ratingA: undefined, legend: legendIn(bare[1]), doubtful: false, unlike };
  const fitted = FITTED.exec(print);
  if (fitted === null)
    return `“${print}” begins with no rating: write 10 ${print}, or – where nothing is fitted`;
  const ratingA = Number((fitted[1] ?? '').replace(',', '.'));
  const problem = ratingProblem(ratingA, unlike.family ?? family);
  const doubtful = fitted[2] !== undefined;
  return problem ?? { position, ratingA, legend: legendIn(fitted[3]), doubtful, unlike };
}

function legendIn(written: string | undefined): string | undefined {
  const legend = written?.trim() ?? '';
  const plain = /^".*"$/s.test(legend) ? legend.slice(1, -1).replaceAll('""', '"') : legend;
  return plain === '' ? undefined : plain;
}

/** Words in braces: a build of fuse, `tall` or `wide`, `clear`, `tight` or `none`. */
function readUnlike(written: string): SlotUnlike | string {
  let unlike: SlotUnlike = {};
  for (const word of written.split(/\s+/).filter((one) => one !== '')) {
    const family = FUSE_FAMILIES.find((one) => one.toLowerCase() === word.toLowerCase());
    if (family !== undefined) unlike = { ...unlike, family };
    else if (word === 'tall' || word === 'wide') unlike = { ...unlike, lie: word };
    else if (word === 'clear' || word === 'tight' || word === 'none')
      unlike = { ...unlike, clearance: word };
    else
      return `“${word}” says nothing about a slot: ${FUSE_FAMILIES.join(', ')}, tall, wide, clear, tight or none`;
  }
  return unlike;
}

function ratingProblem(ratingA: number, family: FuseFamily): string | undefined {
  const { name, ratingsA } = FUSE_FAMILY_FACTS[family];
  if (ratingsA.includes(ratingA)) return undefined;
  return `${ratingA} A is no rating of ${name} fuses: ${nearest(ratingsA, ratingA)}?`;
}

function nearest(ratings: readonly number[], wanted: number): string {
  return [...ratings]
    .sort((left, right) => Math.abs(left - wanted) - Math.abs(right - wanted))
    .slice(0, 2)
    .sort((left, right) => left - right)
    .map((one) => `${one} A`)
    .join(' or ');
}

/** A cell as it would be typed; {@link readCell} makes the same of it again. */
export function writeCell(cell: LidCell, family: FuseFamily): string {
  const { position, ratingA, legend, doubtful, unlike } = cell;
  const head = position === undefined ? '' : `${position}: `;
  const tail = Object.values(unlike).join(' ');
  const braces = tail === '' ? '' : ` {${tail}}`;
  const rating = ratingA === undefined ? '-' : `${ratingA}${doubtful ? '?' : ''}`;
  const written = (print: string): string =>
    `${head}${rating}${print === '' ? '' : ` ${print}`}${braces}`;
  const plain = written(legend ?? '');
  const again = /[,;\t|"\n]/.test(legend ?? '') ? '' : readCell(plain, family);
  if (typeof again !== 'string' && again.legend === legend && again.position === position)
    return plain;
  return written(`"${(legend ?? '').replaceAll('"', '""')}"`);
}
