import { seenId } from '@lucky-thread/work/stored';
import type { Bodies, CommandKind } from './jobCommand';

/** The slot in hand is noted: one that was not entered, or one that differs from what was. */
export const slot: CommandKind<Bodies['slot']> = {
  apply: (job, { body: { placeId, position, marks } }) => {
    const others = job.seen.filter((one) => seenId(one) !== seenId({ placeId, position }));
    return { ...job, seen: [...others, { placeId, position, ...marks }] };
  },
  sent: ({ key, at, body: { placeId, position, marks, holds } }) => ({
    path: `slots/${placeId}/${encodeURIComponent(position)}`,
    body: { command: key, at, marks, holds },
  }),
  stale: undefined,
};
