import type { Bodies, CommandKind } from './jobCommand';

/** Something is found or tried before the hand-over, or taken back. */
export const closing: CommandKind<Bodies['closing']> = {
  apply: (job, { at, body: { item, done, value } }) => {
    const others = job.closing.filter((one) => one.item !== item);
    return { ...job, closing: done ? [...others, { item, value, by: '', at }] : others };
  },
  sent: ({ key, at, body: { item, done, value } }) => ({
    path: `closing/${encodeURIComponent(item)}`,
    body: { command: key, at, done, value },
  }),
  stale: undefined,
};
