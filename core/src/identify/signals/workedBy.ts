import { HYPOTHESES } from '../circuit/hypotheses';
import { placesOfTrigger } from '../need/triggers';
import type { TriggerRole } from '../need/triggers';
import type { Verdict } from '../verdict/verdict';
import { visitState } from '../visit/visitState';

/**
 * Whether a wire stands at plus or at ground while its signal is given, by the likeliest way in which its readings make it;
 * undefined where it is neither, as a ladder or pulses, or where it is so at rest.
 */
export function workedBy(verdict: Verdict, role: TriggerRole): 'plus' | 'ground' | undefined {
  const { hypotheses } = verdict.posterior;
  const best = hypotheses.indexOf(Math.max(...hypotheses));
  const likeliest = HYPOTHESES[best];
  const [place] = placesOfTrigger(role).worked;
  if (likeliest === undefined || likeliest.function !== verdict.leading || place === undefined)
    return undefined;
  const stand = likeliest.stand(visitState(place));
  if (stand === 'battery') return 'plus';
  return stand === 'chassis' ? 'ground' : undefined;
}
