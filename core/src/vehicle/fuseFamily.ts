/** Blade fuse families by their plain names. */
export const FUSE_FAMILIES = [
  'standard',
  'mini',
  'lowProfileMini',
  'micro2',
  'micro3',
  'maxi',
  'cartridge',
] as const;
/** One blade fuse family. */
export type FuseFamily = (typeof FUSE_FAMILIES)[number];

/** What a tap has to know of a fuse family. */
export interface FuseFamilyFacts {
  readonly name: string;
  /** Ratings made, A, ascending. */
  readonly ratingsA: readonly number[];
  /** What one contact of the slot carries at most, A: the largest rating of the family. */
  readonly contactMaxA: number;
  /**
   * The add-a-circuit holder for the family and the most its added side carries, A; undefined where none is made.
   */
  readonly tap: { readonly name: string; readonly addedMaxA: number } | undefined;
}

/**
 * Facts of each family. Ratings after ISO 8820-3, from memory; the added side's limit is common practice
 * (holders are sold for 10 A in the small families and 15 A in the large one).
 */
export const FUSE_FAMILY_FACTS: Record<FuseFamily, FuseFamilyFacts> = {
  standard: {
    name: 'standard blade',
    ratingsA: [1, 2, 3, 4, 5, 7.5, 10, 15, 20, 25, 30, 35, 40],
    contactMaxA: 40,
    tap: { name: 'standard blade fuse tap', addedMaxA: 15 },
  },
  mini: {
    name: 'mini blade',
    ratingsA: [2, 3, 4, 5, 7.5, 10, 15, 20, 25, 30],
    contactMaxA: 30,
    tap: { name: 'mini blade fuse tap', addedMaxA: 10 },
  },
  lowProfileMini: {
    name: 'low-profile mini blade',
    ratingsA: [2, 3, 4, 5, 7.5, 10, 15, 20, 25, 30],
    contactMaxA: 30,
    tap: { name: 'low-profile mini fuse tap', addedMaxA: 10 },
  },
  micro2: {
    name: 'micro two-blade',
    ratingsA: [5, 7.5, 10, 15, 20, 25, 30],
    contactMaxA: 30,
    tap: { name: 'micro two-blade fuse tap', addedMaxA: 10 },
  },
  micro3: {
    name: 'micro three-blade',
    ratingsA: [5, 7.5, 10, 15],
    contactMaxA: 15,
    tap: undefined,
  },
  maxi: {
    name: 'maxi blade',
    ratingsA: [20, 30, 40, 50, 60, 70, 80],
    contactMaxA: 80,
    tap: undefined,
  },
  cartridge: {
    name: 'cartridge',
    ratingsA: [20, 25, 30, 40, 50, 60],
    contactMaxA: 60,
    tap: undefined,
  },
};
