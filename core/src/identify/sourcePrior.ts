import { CIRCUIT_FUNCTIONS } from '../vehicle';
import type { FunctionPrior } from './readLabel';
import { readLabel } from './readLabel';
import type { Source } from './source';

/** What is believed of a source before its first reading: its legend, and over it the model's log. */
export function sourcePrior(source: Pick<Source, 'legend' | 'logged'>): FunctionPrior {
  const label = readLabel(source.legend).prior;
  const { logged } = source;
  if (logged === undefined) return label;
  return Object.fromEntries(
    CIRCUIT_FUNCTIONS.map((name) => [
      name,
      (1 - logged.probability) * label[name] + (name === logged.function ? logged.probability : 0),
    ]),
  ) as unknown as FunctionPrior;
}
