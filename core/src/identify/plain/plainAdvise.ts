import type { FindAdvice, FindSession } from '../advise';
import { adviseBy } from '../advise';
import { panelPrints } from '../legend/panelPrints';
import { readWritten } from '../legend/readLabel';
import { sourcePrior } from '../belief/sourcePrior';
import { plainOrder } from './plainOrder';
import { plainPosterior } from './plainPosterior';

/**
 * The advice with nothing prepared or kept: every legend read anew, Bayes' rule as it stands, every order of visits
 * tried. The same answers as `advise`, far slower; for tests and benchmarks.
 */
export function plainAdvise(session: FindSession): FindAdvice {
  return adviseBy(
    {
      read: readWritten,
      beliefsIn: (sources) => (source) => sourcePrior(source, panelPrints(sources, readWritten)),
      posterior: plainPosterior,
      order: plainOrder,
      keep: (_grounds, workOut) => workOut(),
    },
    session,
  );
}
