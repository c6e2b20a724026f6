import type { ContactReading, Orientation } from '@lucky-thread/core/choose';
import { orientationFrom } from '@lucky-thread/core/choose';
import type { Reading } from '@lucky-thread/core/identify';
import type { SlotSource } from '@lucky-thread/core/vehicle';
import type { TappedFeed } from './jobFeeds';
import type { JobContext } from './jobContext';
import { tapOfOthers } from './jobContext';

/** What was read at the contacts of an empty slot, oldest first; readings of the slot with its fuse in are none. */
export function contactReadings(sourceId: string, readings: readonly Reading[]): ContactReading[] {
  return readings.flatMap((one) =>
    one.sourceId !== sourceId || one.contact === undefined
      ? []
      : [{ ...one, contact: one.contact }],
  );
}

/** Which contact of an empty slot the supply enters, by what was read there. */
export function orientationAt(sourceId: string, readings: readonly Reading[]): Orientation {
  return orientationFrom(contactReadings(sourceId, readings));
}

/** Where the supply enters a tapped slot, in words: as read here, else as another job logged it; undefined when nobody has. */
export function supplyLandmarkOf(
  context: Pick<JobContext, 'job' | 'taps'>,
  readings: readonly Reading[],
  { source: slot }: TappedFeed<SlotSource>,
): string | undefined {
  const orientation = orientationAt(slot.id, readings);
  if (orientation.kind === 'found')
    return slot.contacts.find((one) => one.id === orientation.supply)?.landmark;
  return tapOfOthers(context, slot.id)?.supplyLandmark ?? undefined;
}
