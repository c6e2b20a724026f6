import type { Need } from '@lucky-thread/core/identify';
import type { DeviceInput } from './device';

/** The feeds of a device that the car has to serve, as the core takes them. */
export function needsOf(device: DeviceInput): Need[] {
  return device.feeds.flatMap((feed) =>
    feed.role === 'ground'
      ? []
      : [
          {
            id: feed.id,
            role: feed.role,
            holdsCranking: feed.holdsCranking ?? false,
            liveInAcc: feed.liveInAcc ?? false,
            ...(feed.speaker === undefined ? {} : { speaker: feed.speaker }),
          },
        ],
  );
}
