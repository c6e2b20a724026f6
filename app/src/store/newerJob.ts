import type { JobView } from '@lucky-thread/contract';

/**
 * Which of two answers about a job is shown: one that was on its way while a change was stored may be older than what
 * the change answered, and must not take its place.
 */
export function newerJob<T extends Pick<JobView, 'version'>>(shown: T, arrived: T): T {
  return arrived.version < shown.version ? shown : arrived;
}
