import type { JobView } from '@lucky-thread/contract';
import { handOverLeft } from '@lucky-thread/work';

/** Where between the limits of a figure a good one lies, as a share. */
const WELL_WITHIN = 0.4;

/** What is noted of every test that a job still wants before its hand-over where all of it comes to what it must. */
export function handOverFindings(
  job: Pick<JobView, 'device' | 'closing'>,
): { readonly item: string; readonly value: number }[] {
  return handOverLeft(job).map(({ item, test: { figure } }) => ({
    item,
    value:
      figure === undefined
        ? 1
        : Math.round(10 * (figure.least + WELL_WITHIN * (figure.most - figure.least))) / 10,
  }));
}
