import { claimStatus } from '@lucky-thread/core/evidence';
import type { ObservationView, TapPointView, TapReadingView } from '@lucky-thread/contract';
import type { tapPoints } from '../db/schema';
import { readableViews } from '../readings/readingView';
import type { SeenJson } from './tapColumns';

/** A stored tap point with what hangs on it. */
export interface TapRow {
  /** The row itself. */
  readonly tap: typeof tapPoints.$inferSelect;
  /** Name of the person who logged it. */
  readonly loggedBy: string;
  /** What contact a of its slot lies towards; null for sources without contacts. */
  readonly landmarkA: string | null;
  /** The same of contact b. */
  readonly landmarkB: string | null;
  /** What it was logged with, in their order. */
  readonly readings: readonly TapReadingView[];
  /** What later jobs saw there; null while nobody looked. */
  readonly seen: SeenJson | null;
}

/** A stored tap point as the client sees it. */
export function tapView(row: TapRow): TapPointView {
  const { tap, seen } = row;
  const { grade, supplyContact } = tap;
  const confirmedJobs = seen?.confirmedJobs ?? 0;
  const contradictedJobs = seen?.contradictedJobs ?? 0;
  const landmark = supplyContact === 'a' ? row.landmarkA : row.landmarkB;
  return {
    id: tap.id,
    modelId: tap.modelId,
    jobId: tap.jobId,
    feedId: tap.feedId,
    sourceId: tap.sourceId,
    function: tap.function,
    supplyContact,
    supplyLandmark: supplyContact === null ? null : (landmark ?? 'unknown side'),
    yearFrom: tap.yearFrom,
    yearTo: tap.yearTo,
    trim: tap.trim,
    market: tap.market,
    readings: row.readings,
    grade,
    status: claimStatus({ confirmed: confirmedJobs, contradicted: contradictedJobs, grade }),
    fuseA: tap.fuseA,
    awg: tap.awg,
    note: tap.note,
    loggedBy: row.loggedBy,
    loggedAt: tap.loggedAt.toISOString(),
    confirmedJobs,
    contradictedJobs,
    observations: seen === null ? [] : observationsOf(seen),
  };
}

function observationsOf({ newest }: SeenJson): ObservationView[] {
  const rows = newest.map(({ kind, takenBy, reading }) => ({
    kind,
    takenBy,
    reading: { ...reading, takenAt: new Date(reading.takenAt), withdrawnAt: null },
  }));
  return readableViews(rows).map(({ row, view }) => ({
    kind: row.kind,
    reading: view,
    jobId: row.reading.jobId,
  }));
}
