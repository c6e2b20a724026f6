import type { FuseFamily, Slot } from '../vehicle';
import { FUSE_FAMILY_FACTS } from '../vehicle';

/** One build of fuse tap. */
export interface TapHolder {
  readonly id: string;
  readonly name: string;
  /** Slots that it goes into. */
  readonly families: readonly FuseFamily[];
  /** Most the added side carries, A. */
  readonly addedMaxA: number;
  /** Height that it needs above the slot's rim with both fuses in, mm. */
  readonly heightMm: number;
  /** Width over the slot's own, mm; neighbours closer than this are in the way. */
  readonly widthMm: number;
  /** Family of the fuses that go into it: a full-height factory fuse does not fit a low holder. */
  readonly takes: FuseFamily;
}

/** Builds that are sold under many names. Sizes are common practice: measure before you buy. */
export const TAP_HOLDERS: readonly TapHolder[] = [
  {
    id: 'standard',
    name: 'standard blade fuse tap',
    families: ['standard'],
    addedMaxA: 15,
    heightMm: 34,
    widthMm: 7,
    takes: 'standard',
  },
  {
    id: 'mini',
    name: 'mini blade fuse tap',
    families: ['mini'],
    addedMaxA: 10,
    heightMm: 30,
    widthMm: 6,
    takes: 'mini',
  },
  {
    id: 'miniLow',
    name: 'low mini fuse tap',
    families: ['mini', 'lowProfileMini'],
    addedMaxA: 10,
    heightMm: 22,
    widthMm: 6,
    takes: 'lowProfileMini',
  },
  {
    id: 'lowProfile',
    name: 'low-profile mini fuse tap',
    families: ['lowProfileMini'],
    addedMaxA: 10,
    heightMm: 24,
    widthMm: 6,
    takes: 'mini',
  },
  {
    id: 'micro2',
    name: 'micro two-blade fuse tap',
    families: ['micro2'],
    addedMaxA: 10,
    heightMm: 27,
    widthMm: 5,
    takes: 'micro2',
  },
  {
    id: 'micro2Slim',
    name: 'slim micro two-blade fuse tap',
    families: ['micro2'],
    addedMaxA: 7.5,
    heightMm: 23,
    widthMm: 3.5,
    takes: 'micro2',
  },
];

/** Room that words for clearance stand for where nobody measured, mm. */
const CLEARANCE_MM: Record<Slot['clearance'], number> = { clear: 40, tight: 25, none: 10 };

/** A slot with what was measured about its surroundings. */
export interface FitGiven {
  readonly slot: Pick<Slot, 'family' | 'clearance' | 'ratingA'>;
  /** Room between the slot's rim and the cover, mm. */
  readonly clearanceMm?: number | undefined;
  /** Room to the nearest neighbour, mm. */
  readonly besideMm?: number | undefined;
  /** Current of the added fuse, A. */
  readonly addedA?: number | undefined;
  /** Holders at hand, by id; all when left out. */
  readonly stock?: readonly string[] | undefined;
}

/** A holder for a slot, or why there is none. */
export type HolderFit =
  | {
      readonly fits: true;
      readonly holder: TapHolder;
      readonly note: string;
      /** What has to be bought when the factory fuse does not go into the holder. */
      readonly substitute: string | undefined;
      /** Room left above it, mm. */
      readonly spareMm: number;
    }
  | { readonly fits: false; readonly note: string; readonly wayOut: string };

/** Which tap fits a slot with the cover shut: the one with most room left, that takes the factory fuse if any does. */
export function holderFor(given: FitGiven): HolderFit {
  const { slot } = given;
  const facts = FUSE_FAMILY_FACTS[slot.family];
  if (slot.ratingA === undefined)
    return {
      fits: false,
      note: 'No fuse fitted here.',
      wayOut: 'A spare position may have no supply contact: take a fitted slot.',
    };
  const built = TAP_HOLDERS.filter((one) => one.families.includes(slot.family));
  if (built.length === 0)
    return {
      fits: false,
      note: `No fuse tap is made for ${facts.name} fuses.`,
      wayOut:
        'Take a slot of a larger family that taps are made for, or tap the wire behind the panel with an in-line fuse near the source.',
    };
  const roomMm = given.clearanceMm ?? CLEARANCE_MM[slot.clearance];
  const low = built.filter((one) => one.heightMm <= roomMm);
  if (low.length === 0)
    return {
      fits: false,
      note:
        slot.clearance === 'none' && given.clearanceMm === undefined
          ? 'No room above the slot: a tap would keep the cover open.'
          : `${roomMm} mm above the slot; the lowest tap needs ${Math.min(...built.map((one) => one.heightMm))} mm.`,
      wayOut: 'Take a slot at the edge or of a larger family, or tap the wire behind the panel.',
    };
  const narrow = low.filter((one) => one.widthMm <= (given.besideMm ?? Infinity));
  const strong = narrow.filter((one) => one.addedMaxA >= (given.addedA ?? 0));
  const atHand = strong.filter((one) => given.stock?.includes(one.id) !== false);
  const best = [...atHand].sort(
    (left, right) =>
      Number(right.takes === slot.family) - Number(left.takes === slot.family) ||
      left.heightMm - right.heightMm,
  )[0];
  if (best !== undefined) return fitted(best, given, roomMm);
  if (narrow.length === 0)
    return {
      fits: false,
      note: `Neighbours ${given.besideMm ?? 0} mm away; the narrowest tap needs ${Math.min(...low.map((one) => one.widthMm))} mm.`,
      wayOut: 'Take a slot with an empty neighbour.',
    };
  if (strong.length === 0)
    return {
      fits: false,
      note: `The taps that fit carry ${Math.max(...narrow.map((one) => one.addedMaxA))} A; ${given.addedA ?? 0} A are wanted.`,
      wayOut: 'Use a slot of a larger family, or a relay fed from the battery.',
    };
  return {
    fits: false,
    note: `None at hand of: ${strong.map((one) => one.name).join(', ')}.`,
    wayOut: `Get a ${strong[0]?.name ?? 'tap'}.`,
  };
}

/** Most that the added side of a tap for a slot can carry, A: of all that go in, the strongest. Undefined when none does. */
export function holderLimitA(given: FitGiven): number | undefined {
  const fitting = TAP_HOLDERS.filter(
    ({ id }) => holderFor({ ...given, stock: [id] }).fits && given.stock?.includes(id) !== false,
  );
  return fitting.length === 0 ? undefined : Math.max(...fitting.map(({ addedMaxA }) => addedMaxA));
}

function fitted(best: TapHolder, given: FitGiven, roomMm: number): HolderFit {
  const { slot } = given;
  const tight = slot.clearance === 'tight' && given.clearanceMm === undefined;
  return {
    fits: true,
    holder: best,
    note: `Takes a ${best.name}; ${tight ? 'tight under the cover' : 'the cover closes'}.`,
    substitute:
      best.takes === slot.family
        ? undefined
        : `The factory fuse does not go into this holder: take a ${FUSE_FAMILY_FACTS[best.takes].name} of the same ${slot.ratingA ?? ''} A, never a larger one, and keep the original in the car.`,
    spareMm: roomMm - best.heightMm,
  };
}
