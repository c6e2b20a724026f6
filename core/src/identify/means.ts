import type { VerdictKeeper } from './verdict/keptVerdicts';
import { keptVerdicts } from './verdict/keptVerdicts';
import type { Posterior } from './belief/posterior';
import { posterior } from './belief/posterior';
import type { Reading } from './reading/reading';
import type { LabelReading, Written } from './legend/readLabel';
import type { Source } from './reading/source';
import type { Belief } from './belief/sourcePrior';
import type { OrderOfVisits } from './plan/orderOfVisits';
import { cheapestOrder } from './plan/orderOfVisits';
import { newWorkings } from './belief/workings';

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
