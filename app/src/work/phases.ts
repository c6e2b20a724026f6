import type { JobView, Phase } from '@lucky-thread/contract';
import { PHASES } from '@lucky-thread/contract';
import type { KnotState } from '../ui/JobThread';

/** How each phase of a job stands. */
export function knotsOf(
  job: Pick<JobView, 'phase'> & { readonly done: boolean },
): Record<Phase, KnotState> {
  const here = PHASES.indexOf(job.phase);
  return Object.fromEntries(
    PHASES.map((phase, index): [Phase, KnotState] => {
      if (job.done || index < here) return [phase, 'done'];
      return [phase, index === here ? 'here' : 'ahead'];
    }),
  ) as Record<Phase, KnotState>;
}

/** Whether every feed that needs a slot has its tap point in the log. */
export function isDone(job: Pick<JobView, 'device' | 'loggedFeedIds'>): boolean {
  return job.device.feeds.every(
    (feed) => feed.role === 'ground' || job.loggedFeedIds.includes(feed.id),
  );
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
export function nextActionOf(job: { readonly phase: Phase; readonly done: boolean }): string {
  return job.done ? 'Done: tap points logged' : NEXT_ACTIONS[job.phase];
}

/** The later of two phases; a job never falls back by looking at an earlier screen. */
export function furthest(left: Phase, right: Phase): Phase {
  return PHASES.indexOf(left) >= PHASES.indexOf(right) ? left : right;
}
