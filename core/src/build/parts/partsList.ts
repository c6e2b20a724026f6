import { FUSE_FAMILY_FACTS } from '../../vehicle';
import type { PartsLead } from './cutList';
import { carEnd } from './cutList';

/** How a part is counted. */
export type PartUnit = 'pieces' | 'm';

/** One part with how much of it the job takes. */
export interface PartRow {
  /** What to take, as it is sold. */
  readonly what: string;
  /** How much of it, in its unit. */
  readonly need: number;
  /** Metres or pieces. */
  readonly unit: PartUnit;
  /** How it is sold, and how many of those. */
  readonly packOf: number;
  /** Packs that come to at least as much. */
  readonly packs: number;
  /** The van is known not to have it; undefined: nobody has said what is in the van. */
  readonly missing: boolean | undefined;
  /** What is in the van and passes as well; left out where nothing is missing or nothing does. */
  readonly instead?: string;
}

/** What is in the van, as far as the shop has said. */
export interface Stock {
  /** Sizes of wire in the van, e.g. "18 AWG". */
  readonly conductors: readonly string[];
  /** Ratings of fuses in the van, A. */
  readonly fusesA: readonly number[];
}

/** What a parts list is made from. */
export interface PartsGiven {
  /** The leads that parts are wanted for. */
  readonly leads: readonly PartsLead[];
  /** Length and conductor of the device’s ground lead, and its ring; undefined where it returns otherwise. */
  readonly ground:
    | { readonly cutM: number; readonly conductor: string; readonly ring: string | undefined }
    | undefined;
  /** Undefined where the shop works without a list of its stock. */
  readonly stock: Stock | undefined;
}

/** How things are sold. Common practice. */
const PACKS = {
  fuse: 10,
  tap: 1,
  sleeve: 50,
  ring: 25,
  clip: 50,
  slide: 10,
  wireM: 0.5,
  label: 20,
} as const;

/** What belongs to the kit or the car is slid on, but not bought. */
function isBought(slide: string): boolean {
  return !slide.startsWith('the ');
}

/** Parts of a job, each summed over all leads and rounded up to packs, in the order of their names. */
export function partsList({ leads, ground, stock }: PartsGiven): readonly PartRow[] {
  const parts = new Map<string, Pick<PartRow, 'need' | 'unit' | 'packOf' | 'missing'>>();
  const add = (
    what: string,
    need: number,
    of: {
      readonly unit?: PartUnit;
      readonly packOf: number;
      readonly missing?: boolean | undefined;
    },
  ): void => {
    const known = parts.get(what);
    parts.set(what, {
      need: (known?.need ?? 0) + need,
      unit: of.unit ?? 'pieces',
      packOf: of.packOf,
      missing: of.missing,
    });
  };
  const wire = (conductor: string, cutM: number): void =>
    add(`wire ${conductor}`, cutM, {
      unit: 'm',
      packOf: PACKS.wireM,
      missing: stock === undefined ? undefined : !stock.conductors.includes(conductor),
    });
  for (const lead of leads) {
    const { tap } = lead;
    wire(lead.conductor, lead.cutM);
    add(carEnd(tap).split(',')[0] ?? '', 1, { packOf: PACKS.tap });
    add(fuseOf(tap), 1, {
      packOf: PACKS.fuse,
      missing: stock === undefined ? undefined : !stock.fusesA.includes(tap.fuseA),
    });
    if (lead.terminal !== undefined) add(lead.terminal, 1, { packOf: PACKS.sleeve });
    for (const slide of lead.slideOn.filter(isBought)) add(slide, 1, { packOf: PACKS.slide });
    if (lead.clips > 0) add('clip or tie', lead.clips, { packOf: PACKS.clip });
    add('label', 2, { packOf: PACKS.label });
  }
  if (ground !== undefined) {
    wire(ground.conductor, ground.cutM);
    if (ground.ring !== undefined) add(`ring ${ground.ring}`, 1, { packOf: PACKS.ring });
  }
  return [...parts]
    .map(([what, { need, unit, packOf, missing }]): PartRow => {
      const rounded = Number(need.toFixed(2));
      const instead = missing === true ? insteadOf(what, leads) : undefined;
      return {
        what,
        need: rounded,
        unit,
        packOf,
        packs: Math.ceil(rounded / packOf - 1e-9),
        missing,
        ...(instead === undefined ? {} : { instead }),
      };
    })
    .sort((left, right) => left.what.localeCompare(right.what));
}

function fuseOf(tap: PartsLead['tap']): string {
  const family = tap.at === 'slot' ? FUSE_FAMILY_FACTS[tap.family].name : 'standard blade';
  return `${family} fuse ${tap.fuseA} A`;
}

/**
 * What passes instead of a row: wire and fuse are chosen for one another, so that a fuse is never named without the wire that it
 * wants. Nothing where the leads of the row do not agree: better none than the wrong one.
 */
function insteadOf(what: string, leads: readonly PartsLead[]): string | undefined {
  const offers = leads.flatMap((lead) => {
    const { conductor, instead, tap } = lead;
    if (what === `wire ${conductor}`)
      return [
        instead &&
          `${instead.conductor}${instead.fuseA === tap.fuseA ? '' : ` with a fuse of ${instead.fuseA} A`}`,
      ];
    if (what === fuseOf(tap))
      return [
        instead &&
          `${instead.fuseA} A${instead.conductor === conductor ? '' : ` on ${instead.conductor}`}`,
      ];
    return [];
  });
  const [first] = offers;
  return offers.every((one) => one === first) ? first : undefined;
}
