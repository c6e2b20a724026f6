import type { Plan, PlanInput } from '../plan/nextAction';
import { allotWires } from './allotWires';
import { sayDeferred, sayLook, sayNotThere } from './say';
import type { Touches } from './touches';
import { isWorthGoingOn, touchesFor } from './touches';

/** A look that tells less than this of a wire is not worth a touch, bits. */
const WORTH_A_TOUCH = 0.01;
/** Unless nothing tells more: before a signal is said not to be there, this is worth one. */
const WORTH_A_LAST_TOUCH = 0.002;

/**
 * The next look at a bunch in which signals are searched for: of every state of the car, every instrument and every number
 * of wires, the one that tells most per second about the needs that are open, all of them together. A need is given up
 * when no wire may give it any more, or the chance of finding it is not worth the touches.
 *
 * @param input its candidates are wires only
 */
export function nextLook(input: PlanInput): Plan {
  const { filled, open } = allotWires(input);
  const pursued = new Map(
    open.flatMap(({ wanted, wires }) =>
      wires[0] === undefined ? [] : [[wanted.need.id, wires[0].sourceId] as const],
    ),
  );
  if (open.length === 0)
    return {
      filled,
      pursued,
      next: {
        kind: 'filled',
        instruction: 'Every lead has its wire. Go on and choose the joints.',
      },
    };
  const can = ({ look }: Touches): boolean => !input.cannot.includes(look.place);
  const hopeful = open.filter((need) => isWorthGoingOn(need, input, WORTH_A_LAST_TOUCH));
  const worthy = touchesFor(hopeful, input, WORTH_A_TOUCH);
  const all = worthy.some(can) ? worthy : touchesFor(hopeful, input, WORTH_A_LAST_TOUCH);
  const best = bestOf(all.filter(can));
  if (best !== undefined) return { filled, pursued, next: sayLook(best, open, input) };
  const places = [...new Set(all.map(({ look }) => look.place))];
  return {
    filled,
    pursued,
    next: places.length > 0 ? sayDeferred(places) : sayNotThere(open, input),
  };
}

function bestOf(touches: readonly Touches[]): Touches | undefined {
  return touches.reduce<Touches | undefined>(
    (best, one) => (best === undefined || one.rate > best.rate ? one : best),
    undefined,
  );
}
