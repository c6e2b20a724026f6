import type { JobView, Phase } from '@lucky-thread/contract';
import { PHASES } from '@lucky-thread/contract';
import type { KnotState } from '../ui/JobThread';

/** How each phase of a job stands. */
export function knotsOf(
  job: Pick<JobView, 'phase'> & {
    readonly done: boolean;
    /** What holds it up. */
    readonly waitsFor?: string | null;
  },
): Record<Phase, KnotState> {
  const here = PHASES.indexOf(job.phase);
  return Object.fromEntries(
    PHASES.map((phase, index): [Phase, KnotState] => {
      if (job.done || index < here) return [phase, 'done'];
      if (index > here) return [phase, 'ahead'];
      return [phase, (job.waitsFor ?? null) === null ? 'here' : 'waiting'];
    }),
  ) as Record<Phase, KnotState>;
}

/** Whether every feed that needs a slot has its tap point in the log. */
export function isLogged(job: Pick<JobView, 'device' | 'loggedFeedIds'>): boolean {
  return job.device.feeds.every(
    (feed) => feed.role === 'ground' || job.loggedFeedIds.includes(feed.id),
  );
}

/** Whether nothing is left to do: all is logged, and nobody opened it again. */
export function isDone(
  job: Pick<JobView, 'device' | 'loggedFeedIds'> & { readonly reopened?: string | null },
): boolean {
  return isLogged(job) && (job.reopened ?? null) === null;
}

const NEXT_ACTIONS: Record<Phase, string> = {
  vehicle: 'Say which vehicle it is',
  device: 'Say what is fitted',
  find: 'Find the circuits',
  choose: 'Choose the taps',
  size: 'Size fuse and wire',
  build: 'Fit the taps',
  prove: 'Prove the taps',
  log: 'Log the tap points',
};

/** What has to be done next on a job, in a few words. */
export function nextActionOf(job: {
  readonly phase: Phase;
  readonly done: boolean;
  readonly waitsFor?: string | null;
  readonly reopened?: string | null;
}): string {
  if ((job.waitsFor ?? null) !== null) return `Waits for ${job.waitsFor}`;
  if ((job.reopened ?? null) !== null) return `Open again: ${job.reopened}`;
  return job.done ? 'Done: tap points logged' : NEXT_ACTIONS[job.phase];
}

/** The later of two phases; a job never falls back by looking at an earlier screen. */
export function furthest(left: Phase, right: Phase): Phase {
  return PHASES.indexOf(left) >= PHASES.indexOf(right) ? left : right;
}
