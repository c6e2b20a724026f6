import type { StepLead } from './stepsGiven';

/**
 * The id of a step at a lead’s joint. It names the source: chosen anew elsewhere it is another step, and what was done before is
 * known to be stale.
 */
export function joint(what: 'fit' | 'fuse' | 'read' | 'slide', { tap }: StepLead): string {
  return slug(`${what}:${tap.feedId}@${tap.position}`);
}

/** The id of laying a lead: by where it goes. */
export function layOf({ tap, place }: StepLead): string {
  return slug(`lay:${tap.feedId}@${place}`);
}

/** The id of connecting a lead at the device. */
export function farOf({ tap }: StepLead): string {
  return slug(`far:${tap.feedId}`);
}

/** Longest id of a step. */
const LONGEST_ID = 80;

/** Step ids have no blanks, no strokes and nothing that is no letter or mark, and are not longer than the log of steps takes. */
export function slug(id: string): string {
  // By letters, so that none is cut in half.
  return [...id.replaceAll(/[\s/\p{C}]+/gu, '_')].slice(0, LONGEST_ID).join('');
}
