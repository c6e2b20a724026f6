import type { MatchedTo } from '@lucky-thread/work';
import { shown } from '@lucky-thread/core/units';

/** Wire and length of an added lead in the units on screen; empty as long as it has no size. */
export function conductorWords(
  { awg, areaMm2, lengthM }: Pick<MatchedTo, 'awg' | 'areaMm2' | 'lengthM'>,
  us: boolean,
): string {
  if (awg === undefined || areaMm2 === undefined) return '';
  const wire = us ? `${awg} AWG` : `${areaMm2.toFixed(2)} mm² (${awg} AWG)`;
  return lengthM === undefined
    ? wire
    : `${wire}, ${shown('length', lengthM, us ? 'us' : 'metric')}`;
}
