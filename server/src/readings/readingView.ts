import { VehicleStateInput } from '@lucky-thread/contract';
import type { ReadingView } from '@lucky-thread/contract';
import type { readings } from '../db/schema';
import { Unreadable, readable } from '../http/stored';

/** A reading's row, as far as its view needs it, with who took it. */
export interface StoredReading {
  /** The row itself. */
  readonly reading: Omit<typeof readings.$inferSelect, 'receivedAt' | 'withdrawnBy'>;
  /** Name of the person who took it. */
  readonly takenBy: string;
}

/** Rows with their views; a row that can't be read is left out, and the log says which. */
export function readableViews<T extends StoredReading>(
  rows: readonly T[],
): { readonly row: T; readonly view: ReadingView }[] {
  return rows.flatMap((row) => {
    try {
      return [{ row, view: readingView(row) }];
    } catch (error) {
      if (!(error instanceof Unreadable)) throw error;
      console.error(JSON.stringify({ event: 'a reading that cannot be read', id: row.reading.id }));
      return [];
    }
  });
}

/**
 * A stored row as the client sees it.
 *
 * @throws Unreadable when its state is none.
 */
export function readingView(row: StoredReading): ReadingView {
  const { reading } = row;
  return {
    id: reading.id,
    sourceId: reading.sourceId,
    contact: reading.contact,
    state: readable(VehicleStateInput, reading.state, 'The reading'),
    instrument: reading.instrument,
    volts: reading.volts,
    glow: reading.glow,
    highVolts: reading.highVolts,
    ohms: reading.ohms,
    cone: reading.cone,
    speaker: reading.speaker,
    otherId: reading.otherId,
    clip: reading.clip,
    takenAt: reading.takenAt.toISOString(),
    takenBy: row.takenBy,
    withdrawnAt: reading.withdrawnAt?.toISOString() ?? null,
  };
}
