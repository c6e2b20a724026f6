import type { PartRow } from './partsList';

/** Parts of several jobs together, each with how many jobs want it. */
export interface SummedPart extends PartRow {
  /** How many of the jobs want it, 1 or more. */
  readonly jobs: number;
}

/** Parts of several jobs, summed and rounded up to packs once for all of them, in the order of their names. */
export function sumParts(lists: readonly (readonly PartRow[])[]): readonly SummedPart[] {
  const summed = new Map<string, SummedPart>();
  for (const row of lists.flat()) {
    const known = summed.get(row.what);
    const need = Number(((known?.need ?? 0) + row.need).toFixed(2));
    const { instead, ...rest } = row;
    // What passes in one job need not in another: it stands here only where all of them agree.
    const agreed = known === undefined || known.instead === instead ? instead : undefined;
    summed.set(row.what, {
      ...rest,
      ...(agreed === undefined ? {} : { instead: agreed }),
      need,
      packs: Math.ceil(need / row.packOf - 1e-9),
      jobs: (known?.jobs ?? 0) + 1,
    });
  }
  return [...summed.values()].sort((left, right) => left.what.localeCompare(right.what));
}
