import type { ShopCommandKind } from './shopCommand';

/** A job is begun. */
export const newJob: ShopCommandKind<'newJob'> = {
  called: () => 'The new job',
  subject: ({ id }) => `job ${id}`,
  sent: ({ id, request }) => ({ method: 'PUT', path: `/jobs/${id}`, body: request }),
  askedAgain: 'JobLists',
  stored: (job) => ({ job, asked: ['JobLists'] }),
};
