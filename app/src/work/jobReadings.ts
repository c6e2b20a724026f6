import { seenOf, toCoreReading } from '@lucky-thread/contract';
import type { ReadingView } from '@lucky-thread/contract';
import type { Reading } from '@lucky-thread/core/identify';
import { useMemo } from 'react';
import { useReadingsQuery } from '../store/api';
import type { OutboxItem, OutboxStatus } from '../store/outboxSlice';
import { useAppSelector } from '../store/store';
import { useSteadyList } from '../workers/useSteady';

/** A reading as the installer sees it, stored or not. */
export interface ReadingRow extends ReadingView {
  /** Whether it is stored, or how its sending stands. */
  readonly saved: 'saved' | OutboxStatus;
  /** Why the server refused it. */
  readonly problem: string | undefined;
}

/** All readings of a job in order, with those the server has not confirmed. */
export function useJobReadings(jobId: string): {
  readonly rows: readonly ReadingRow[];
  readonly loaded: boolean;
} {
  const stored = useReadingsQuery(jobId, { refetchOnFocus: true });
  const outbox = useAppSelector((state) => state.outbox);
  const merged = useMemo(
    () =>
      mergeReadings(
        stored.data ?? [],
        outbox.filter((item) => item.kind !== 'shop' && item.jobId === jobId),
      ),
    [stored.data, outbox, jobId],
  );
  // A reading that says what it said stays the same row, so that it need not be drawn anew.
  const steady = useSteadyList(merged, idOf);
  const rows = useMemo(() => [...steady.values()], [steady]);
  return { rows, loaded: stored.data !== undefined || stored.isError };
}

function idOf({ id }: ReadingRow): string {
  return id;
}

/** Stored readings and kept items as one list in order of taking; withdrawals on their way count at once. */
export function mergeReadings(
  stored: readonly ReadingView[],
  kept: readonly OutboxItem[],
): ReadingRow[] {
  const leaving = new Set(
    kept.filter((item) => item.kind === 'withdrawal').map((item) => item.readingId),
  );
  const known = new Set(stored.map((reading) => reading.id));
  const rows: ReadingRow[] = stored.map((reading) => ({
    ...reading,
    withdrawnAt: reading.withdrawnAt ?? (leaving.has(reading.id) ? 'pending' : null),
    saved: 'saved',
    problem: undefined,
  }));
  for (const item of kept) {
    if (item.kind !== 'reading' || known.has(item.readingId)) continue;
    const { request } = item;
    rows.push({
      ...seenOf(item.readingId, request),
      takenAt: request.takenAt,
      takenBy: '',
      withdrawnAt: leaving.has(item.readingId) ? 'pending' : null,
      saved: item.status,
      problem: item.problem,
    });
  }
  return rows.sort((left, right) => left.takenAt.localeCompare(right.takenAt));
}

/** The readings that count, as the identification takes them. */
export function coreReadings(rows: readonly ReadingRow[]): Reading[] {
  return countingRows(rows).map(toCoreReading);
}

/** The readings that count: neither withdrawn nor refused. */
export function countingRows(rows: readonly ReadingRow[]): ReadingRow[] {
  return rows.filter((row) => row.withdrawnAt === null && row.saved !== 'refused');
}
