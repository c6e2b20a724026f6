import type { ClosingFound, JobView } from '@lucky-thread/contract';
import type { HandOverStanding, HandOverTest } from '@lucky-thread/core/prove';
import { handOverTests, judgeHandOver } from '@lucky-thread/core/prove';

/** A test before the hand-over with how it stands. */
export interface StandingTest {
  /** What is to be tried. */
  readonly test: HandOverTest;
  /** What it is noted under. */
  readonly item: string;
  /** How it stands. */
  readonly standing: HandOverStanding;
  /** Who noted it; undefined while nobody has. */
  readonly by: string | undefined;
}

/** Every test before the hand-over of a job, and how it stands. App and server ask the same. */
export function handOverOf({
  device,
  closing,
}: Pick<JobView, 'device' | 'closing'>): StandingTest[] {
  const found = (id: string): ClosingFound | undefined =>
    closing.find(({ item }) => item === itemOf(id));
  const roles = device.feeds.map(({ role }) => role);
  return handOverTests({ family: device.family, roles }, found).map((test) => ({
    test,
    item: itemOf(test.id),
    standing: judgeHandOver(test, found(test.id)),
    by: found(test.id)?.by,
  }));
}

/** Tests before the hand-over that nobody has tried, or that did not come to what they must. */
export function handOverLeft(job: Pick<JobView, 'device' | 'closing'>): StandingTest[] {
  return handOverOf(job).filter(
    ({ standing }) => standing.is === 'open' || standing.is === 'failed',
  );
}

function itemOf(id: string): string {
  return `hand-over:${id}`;
}
