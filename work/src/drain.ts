import type { JobView } from '@lucky-thread/contract';
import type { DrainReading } from '@lucky-thread/core/prove';

/** What a closing check of the parked current goes by: with the added fuses out, and in; and when the car fell asleep, min. */
export const DRAIN_ITEMS = {
  before: 'drain-before',
  after: 'drain-after',
  asleep: 'asleep-after',
} as const;

/** What was measured for a closing check; undefined as long as nobody has. */
export function closingValue(
  { closing }: Pick<JobView, 'closing'>,
  item: string,
): number | undefined {
  return closing.find((one) => one.item === item)?.value ?? undefined;
}

/** The parked current of a job as it was noted; undefined until both are. */
export function drainOf(job: Pick<JobView, 'closing' | 'device'>): DrainReading | undefined {
  const beforeA = closingValue(job, DRAIN_ITEMS.before);
  const afterA = closingValue(job, DRAIN_ITEMS.after);
  return beforeA === undefined || afterA === undefined
    ? undefined
    : {
        ...{ beforeA, afterA, standbyA: standbyOf(job) },
        asleepAfterMin: closingValue(job, DRAIN_ITEMS.asleep),
      };
}

/** What the whole device may draw parked by its label, A. */
export function standbyOf({ device }: Pick<JobView, 'device'>): number {
  return device.feeds.reduce((sum, feed) => sum + (feed.standbyA ?? 0), 0);
}
