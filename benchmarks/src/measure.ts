import { seededRandom } from '@lucky-thread/core/bench';

/** Times of one piece of work, ms. */
export interface Times {
  readonly median: number;
  readonly p95: number;
}

/**
 * Runs each piece of work in turn, so that a drifting machine hits all alike; the first tenth warms up. Each round has
 * an order of its own: what is asked after a pause is slower, and none shall always come after the same one.
 */
export async function measure(
  rounds: number,
  works: Readonly<Record<string, () => unknown>>,
): Promise<Record<string, Times>> {
  const samples = new Map<string, number[]>(Object.keys(works).map((name) => [name, []]));
  const warmUp = Math.ceil(rounds / 10);
  const all = Object.entries(works);
  const random = seededRandom(1);
  for (let round = 0; round < rounds + warmUp; round += 1) {
    for (const [name, work] of shuffled(all, random)) {
      const start = performance.now();
      await work();
      if (round >= warmUp) samples.get(name)?.push(performance.now() - start);
    }
  }
  return Object.fromEntries(
    [...samples].map(([name, list]) => {
      const sorted = list.sort((left, right) => left - right);
      const at = (share: number): number => sorted[Math.floor(share * (sorted.length - 1))] ?? 0;
      return [name, { median: at(0.5), p95: at(0.95) }];
    }),
  );
}

function shuffled<T>(all: readonly T[], random: () => number): T[] {
  return all
    .map((one) => ({ one, place: random() }))
    .sort((left, right) => left.place - right.place)
    .map(({ one }) => one);
}

/** A line of the report. */
export function line(name: string, value: string): void {
  console.log(`${name.padEnd(62)} ${value}`);
}

/** The middle one of some numbers; 0 of none. */
export function median(numbers: readonly number[]): number {
  return [...numbers].sort((left, right) => left - right)[Math.floor(numbers.length / 2)] ?? 0;
}
