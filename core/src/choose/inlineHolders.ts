import type { FuseFamily } from '../vehicle';

/** A holder for a fuse in a lead. */
export interface InlineHolder {
  readonly name: string;
  /** Build of the fuses that go into it. */
  readonly family: FuseFamily;
  /** Largest fuse that its leads and contacts carry, A. */
  readonly maxA: number;
}

/** Holders by what their own leads carry, the lightest first. Common practice: what is printed on the holder comes first. */
export const INLINE_HOLDERS: readonly InlineHolder[] = [
  { name: 'in-line holder', family: 'standard', maxA: 20 },
  { name: 'heavy in-line holder with leads of 4 mm² (12 AWG)', family: 'standard', maxA: 30 },
  { name: 'in-line maxi holder with leads of 10 mm² (8 AWG)', family: 'maxi', maxA: 60 },
];

/** The lightest holder for a fuse, A; the heaviest where none carries it. */
export function inlineHolderFor(fuseA: number): InlineHolder {
  const holder = INLINE_HOLDERS.find(({ maxA }) => maxA >= fuseA) ?? INLINE_HOLDERS.at(-1);
  if (holder === undefined) throw new Error('no in-line holder is listed');
  return holder;
}
