import type { EvidenceGrade } from '@lucky-thread/core/evidence';
import { claimStatus } from '@lucky-thread/core/evidence';
import type { CircuitFunction, Slot } from '@lucky-thread/core/vehicle';
import type { TapPointView } from '@lucky-thread/contract';
import type { tapPoints } from '../db/schema';
import type { Observed } from './observations';

/** A stored tap point as the client sees it. */
export function tapView(
  row: { readonly tap: typeof tapPoints.$inferSelect; readonly loggedBy: string },
  slot: Slot | undefined,
  observed: Observed | undefined,
): TapPointView {
  const { tap } = row;
  const grade = tap.grade as EvidenceGrade;
  const confirmedJobs = observed?.confirmedJobs ?? 0;
  const contradictedJobs = observed?.contradictedJobs ?? 0;
  return {
    id: tap.id,
    modelId: tap.modelId,
    jobId: tap.jobId,
    feedId: tap.feedId,
    slotId: tap.slotId,
    function: tap.function as CircuitFunction,
    supplyContact: tap.supplyContact,
    supplyLandmark:
      slot?.contacts.find((contact) => contact.id === tap.supplyContact)?.landmark ??
      'unknown side',
    yearFrom: tap.yearFrom,
    yearTo: tap.yearTo,
    trim: tap.trim,
    market: tap.market,
    matrix: tap.matrix,
    grade,
    status: claimStatus({ confirmed: confirmedJobs, contradicted: contradictedJobs, grade }),
    fuseA: tap.fuseA,
    awg: tap.awg,
    note: tap.note,
    loggedBy: row.loggedBy,
    loggedAt: tap.loggedAt.toISOString(),
    confirmedJobs,
    contradictedJobs,
    observations: observed?.newest ?? [],
  };
}
