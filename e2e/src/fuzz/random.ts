/** Numbers from a seed, the same on every machine. */
export interface Random {
  /** Uniform in [0, 1). */
  readonly next: () => number;
  /** Uniform whole number from 0 to below `end`. */
  readonly below: (end: number) => number;
  readonly pick: <T>(list: readonly T[]) => T;
  readonly chance: (probability: number) => boolean;
}

/** Mulberry32, a public-domain generator of 32 bits. */
export function randomFrom(seed: number): Random {
  let state = seed >>> 0;
  const next = (): number => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = state;
    mixed = Math.imul(mixed ^ (mixed >>> 15), mixed | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
  const below = (end: number): number => Math.floor(next() * end);
  return {
    next,
    below,
    pick: (list) => {
      if (list.length === 0) throw new RangeError('nothing to pick from');
      return list[below(list.length)] as (typeof list)[number];
    },
    chance: (probability) => next() < probability,
  };
}
