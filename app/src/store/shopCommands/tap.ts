import type { ShopCommandKind } from './shopCommand';

/** A tap point is written into the log. */
export const tap: ShopCommandKind<'tap'> = {
  called: () => 'The tap point',
  subject: ({ jobId }) => `job ${jobId}`,
  sent: ({ jobId, id, request }) => ({
    method: 'PUT',
    path: `/jobs/${jobId}/taps/${id}`,
    body: request,
  }),
  askedAgain: 'Taps',
  // The job says itself what is logged of it, and the model how many tap points it has.
  stored: (tap, { jobId }) => ({
    tap,
    asked: [{ type: 'Jobs', id: jobId }, 'JobLists', 'TapLists', 'ModelLists'],
  }),
};
