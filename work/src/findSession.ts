import { needsOf, toTapClaim } from '@lucky-thread/contract';
import type { JobView, ModelView, TapPointView } from '@lucky-thread/contract';
import { tapFit, tooSmallFor } from '@lucky-thread/core/choose';
import { loggedClaim } from '@lucky-thread/core/evidence';
import type { FindSession, Reading, ProbeSource } from '@lucky-thread/core/identify';
import { inrushOf } from './jobFeeds';
import { slotsOf } from './sources';

/** What a session is made of: a job, its model, and what other jobs logged on the model. */
export interface SessionOf {
  readonly job: Pick<JobView, 'id' | 'device' | 'vehicle'>;
  readonly model: Pick<ModelView, 'places'>;
  readonly taps: readonly TapPointView[];
}

/** Where the installer is, and how far testing goes. */
export type ProbingOf = Pick<FindSession, 'state' | 'cannot' | 'until' | 'lamp' | 'handbook'>;

/**
 * A job's probing as the identification takes it; app and server judge this one session. What this very job logged is
 * no evidence for itself.
 *
 * @param readings those that count; ones at other places than the model's slots are left out
 */
export function findSessionOf(
  of: SessionOf,
  readings: readonly Reading[],
  probing: ProbingOf,
): FindSession {
  const claims = of.taps.filter((tap) => tap.jobId !== of.job.id).map(toTapClaim);
  const slots = slotsOf(of.model);
  const known = new Set(slots.map((slot) => slot.id));
  const sources = slots.map((slot): ProbeSource => ({
    id: slot.id,
    name: slot.position,
    legend: slot.legend,
    handbook: slot.handbook,
    fitted: slot.ratingA !== undefined,
    tappable: tapFit(slot).fits,
    ratingA: slot.ratingA,
    logged: loggedClaim(slot.id, claims, of.job.vehicle),
  }));
  return {
    sources,
    readings: readings.filter((reading) => known.has(reading.sourceId)),
    needs: needsOf(of.job.device).map((need) => ({
      ...need,
      excluded: excludedFor(of, need.id),
    })),
    ...probing,
  };
}

/** Slots too small for a feed's fuse; where none is large enough all stay, so that Choose can say why. */
function excludedFor(of: SessionOf, feedId: string): string[] {
  const feed = of.job.device.feeds.find((one) => one.id === feedId);
  if (feed === undefined) return [];
  const slots = slotsOf(of.model);
  const small = tooSmallFor({ currentA: feed.currentA, inrush: inrushOf(feed) }, slots);
  const fitted = slots.filter((slot) => slot.ratingA !== undefined && tapFit(slot).fits);
  return small.length < fitted.length ? small : [];
}
