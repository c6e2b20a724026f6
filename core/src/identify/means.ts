import type { VerdictKeeper } from './keptVerdicts';
import { keptVerdicts } from './keptVerdicts';
import type { Posterior } from './posterior';
import { posterior } from './posterior';
import type { Reading } from './reading';
import type { LabelReading, Written } from './readLabel';
import type { Source } from './source';
import type { Belief } from './sourcePrior';
import type { OrderOfVisits } from './orderOfVisits';
import { cheapestOrder } from './orderOfVisits';
import { newWorkings } from './workings';

/** How the costly questions are answered: quickly, or written down plainly as `plain/` does for checks. */
export interface Means {
  readonly read: (written: Written) => LabelReading;
  readonly beliefsIn: (sources: readonly Source[]) => (source: Source) => Belief;
  readonly posterior: (prior: Belief, readings: readonly Reading[]) => Posterior;
  readonly order: OrderOfVisits;
  readonly keep: VerdictKeeper;
}

/** The quick answers; what they share is worked out once and kept. */
export function fastMeans(): Means {
  const workings = newWorkings();
  return {
    read: workings.read,
    beliefsIn: workings.beliefsIn,
    posterior: (prior, readings) => posterior(prior, readings, workings),
    order: cheapestOrder,
    keep: keptVerdicts(),
  };
}
