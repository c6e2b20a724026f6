import { needsOf, toCoreReading, toTapClaim } from '@lucky-thread/contract';
import { tapFit, tooSmallFor } from '@lucky-thread/core/choose';
import { loggedClaim } from '@lucky-thread/core/evidence';
import type { FindSession, Source } from '@lucky-thread/core/identify';
import type { Slot } from '@lucky-thread/core/vehicle';
import type { Probing } from '../../store/probeSlice';
import type { JobContext } from '../job/useJob';
import type { ReadingRow } from './jobReadings';
import { countingRows } from './jobReadings';

/** All slots of a model, panel by panel. */
export function slotsOf(model: JobContext['model']): Slot[] {
  return model.panels.flatMap((panel) => panel.slots);
}

/** Slots too small for a feed's fuse; where none is large enough all stay, so that Choose can say why. */
function excludedFor(context: JobContext, feedId: string): string[] {
  const feed = context.job.device.feeds.find((one) => one.id === feedId);
  const slots = slotsOf(context.model);
  if (feed === undefined) return [];
  const { currentA, inrushA, inrushS } = feed;
  const inrush =
    inrushA === undefined || inrushS === undefined ? undefined : { peakA: inrushA, peakS: inrushS };
  const small = tooSmallFor({ currentA, inrush }, slots);
  const fitted = slots.filter((slot) => slot.ratingA !== undefined && tapFit(slot).fits);
  return small.length < fitted.length ? small : [];
}

/** A job's probing as the identification takes it. What this very job logged is no evidence for itself. */
export function findSessionOf(
  context: JobContext,
  rows: readonly ReadingRow[],
  probing: Probing,
): FindSession {
  const claims = context.taps.filter((tap) => tap.jobId !== context.job.id).map(toTapClaim);
  const slots = new Set(slotsOf(context.model).map((slot) => slot.id));
  const sources = slotsOf(context.model).map((slot): Source => ({
    id: slot.id,
    name: slot.position,
    legend: slot.legend,
    fitted: slot.ratingA !== undefined,
    tappable: tapFit(slot).fits,
    ratingA: slot.ratingA,
    logged: loggedClaim(slot.id, claims, context.job.vehicle),
  }));
  return {
    sources,
    readings: countingRows(rows)
      .filter((row) => slots.has(row.sourceId))
      .map(toCoreReading),
    state: probing.state,
    needs: needsOf(context.job.device).map((need) => ({
      ...need,
      excluded: excludedFor(context, need.id),
    })),
    cannot: probing.cannot,
    until: probing.until,
    lamp: probing.lamp,
  };
}
