import type { VerdictKeeper } from './verdict/keptVerdicts';
import { keptVerdicts } from './verdict/keptVerdicts';
import type { Posterior } from './belief/posterior';
import { posterior } from './belief/posterior';
import type { Reading } from './reading/reading';
import type { LabelReading, Written } from './legend/readLabel';
import type { ProbeSource } from './reading/source';
import type { Belief } from './belief/sourcePrior';
import type { OrderOfVisits } from './plan/orderOfVisits';
import { cheapestOrder } from './plan/orderOfVisits';
import { newBeliefCache } from './belief/beliefCache';

/** How the costly questions are answered: quickly, or written down plainly as `plain/` does for checks. */
export interface Reckoner {
  /** Reads what is written at a source. */
  readonly read: (written: Written) => LabelReading;
  /** What is believed of each source of a panel beforehand. */
  readonly beliefsIn: (sources: readonly ProbeSource[]) => (source: ProbeSource) => Belief;
  /** Bayes’ rule over a source’s readings. */
  readonly posterior: (prior: Belief, readings: readonly Reading[]) => Posterior;
  /** The cheapest order of visits. */
  readonly order: OrderOfVisits;
  /** Keeps verdicts whose grounds have not changed. */
  readonly keep: VerdictKeeper;
}

/** The quick answers; what they share is worked out once and kept. */
export function fastReckoner(): Reckoner {
  const cache = newBeliefCache();
  return {
    read: cache.read,
    beliefsIn: cache.beliefsIn,
    posterior: (prior, readings) => posterior(prior, readings, cache),
    order: cheapestOrder,
    keep: keptVerdicts(),
  };
}
