/** What an output must stand at least where its print says nothing, Ω. Common practice for units in a dashboard. */
export const LEAST_OHM = 4;
/** More speakers on one output than anybody hangs there. */
export const MOST_SPEAKERS = 6;

/** Speakers on one output: branches side by side, the speakers of each one behind the other. */
export type Branches = readonly (readonly number[])[];

/** One way to hang speakers on an output. */
export interface Arrangement {
  /** Nominal ohms of the speakers, branch by branch. */
  readonly branches: Branches;
  /** What the output sees, Ω. */
  readonly ohm: number;
  /** Whether the output stands it. */
  readonly stands: boolean;
  /** Share of the output's power in each speaker, in the order of the branches; sums to 1. */
  readonly shares: Branches;
}

/**
 * What an output sees: resistances in series add, conductances in parallel do (Ohm, Kirchhoff).
 *
 * @throws RangeError where there is no speaker, or one of no ohms.
 * @example speakerLoad([[4], [4]]) // 2
 */
export function speakerLoad(branches: Branches): number {
  const speakers = branches.flat();
  if (speakers.length === 0 || branches.some((branch) => branch.length === 0))
    throw new RangeError('A branch without a speaker is an open end');
  const wrong = speakers.find((ohm) => !(ohm > 0) || !Number.isFinite(ohm));
  if (wrong !== undefined) throw new RangeError(`A speaker of ${wrong} Ω is none`);
  return 1 / branches.reduce((sum, branch) => sum + 1 / total(branch), 0);
}

/**
 * Every way to hang speakers on one output, best first: those that it stands, of these the one nearest to its least load, where
 * it gives most.
 *
 * @throws RangeError for none, more than {@link MOST_SPEAKERS}, or one of no ohms.
 */
export function arrangementsOf(ohms: readonly number[], leastOhm = LEAST_OHM): Arrangement[] {
  if (ohms.length === 0 || ohms.length > MOST_SPEAKERS)
    throw new RangeError(`One to ${MOST_SPEAKERS} speakers hang on an output, not ${ohms.length}`);
  const ways = new Map<string, Branches>();
  for (const way of partitions(ohms)) {
    const branches = way
      .map((branch) => [...branch].sort(ascending))
      .sort((left, right) => ascending(total(left), total(right)));
    ways.set(JSON.stringify(branches), branches);
  }
  return [...ways.values()]
    .map((branches) => arranged(branches, leastOhm))
    .sort(
      (left, right) =>
        Number(right.stands) - Number(left.stands) ||
        (left.stands ? left.ohm - right.ohm : right.ohm - left.ohm),
    );
}

function arranged(branches: Branches, leastOhm: number): Arrangement {
  const ohm = speakerLoad(branches);
  return {
    branches,
    ohm,
    // Nominal values are round; what is a third of a thousandth under is not under.
    stands: ohm >= leastOhm * (1 - 3e-4),
    shares: branches.map((branch) => {
      const whole = total(branch);
      // The voltage over a branch is the output's: V²/R in it, and of that by ohms in each speaker.
      return branch.map((one) => (ohm * one) / whole ** 2);
    }),
  };
}

/** All ways to part a list into groups. */
function partitions(all: readonly number[]): number[][][] {
  const [first, ...rest] = all;
  if (first === undefined) return [[]];
  return partitions(rest).flatMap((groups) => [
    [[first], ...groups],
    ...groups.map((_, at) =>
      groups.map((group, index) => (index === at ? [first, ...group] : group)),
    ),
  ]);
}

function total(branch: readonly number[]): number {
  return branch.reduce((sum, ohm) => sum + ohm, 0);
}

function ascending(left: number, right: number): number {
  return left - right;
}
