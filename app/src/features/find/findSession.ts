import { needsOf, toCoreReading, toTapClaim } from '@lucky-thread/contract';
import { tapFit } from '@lucky-thread/core/choose';
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
    needs: needsOf(context.job.device),
    cannot: probing.cannot,
    until: probing.until,
  };
}
