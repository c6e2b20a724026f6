import { stateId } from '../../vehicle';
import type { PreparedNeed } from '../need/needs';
import { isSpeakerLead } from '../need/speakerLead';
import { isTrigger } from '../need/triggers';
import { nextLook } from '../signals/nextLook';
import { nextPair } from '../speakers/nextPair';
import type { Verdict } from '../verdict/verdict';
import type { NextAction, Plan, PlanInput } from './nextAction';
import { nextTest } from './nextAction';

/**
 * What to do next for all needs of a job together. Supplies are followed source by source; signals that a switch gives, and
 * what no slot may feed beside them, are searched for in the bunch as a whole; speakers there pair by pair.
 */
export function nextPlan(input: PlanInput): Plan {
  const isLead = ({ need }: PreparedNeed): boolean => isSpeakerLead(need.role);
  const leads = input.needs.filter(isLead);
  if (leads.length === 0) return planForSingles(input);
  const singles = input.needs.filter((wanted) => !isLead(wanted));
  const others = singles.length === 0 ? undefined : planForSingles({ ...input, needs: singles });
  const taken = new Set(others?.filled.values());
  const pairs = nextPair({ ...input, needs: leads }, taken);
  if (others === undefined) return pairs;
  return together(others, pairs, isHere(pairs.next, input) ? pairs.next : undefined);
}

/** Whether something is read in the very state that the car is in: what is left undone there costs the way back. */
function isHere(next: NextAction, { state, clip = 'ground' }: PlanInput): boolean {
  return next.kind === 'visit' && stateId(next.visit.state) === stateId(state) && clip === 'ground';
}

function together(first: Plan, second: Plan, next = firstOf(first.next, second.next)): Plan {
  return {
    filled: new Map([...first.filled, ...second.filled]),
    pursued: new Map([...first.pursued, ...second.pursued]),
    next,
  };
}

/** The same for needs that a single source gives. */
function planForSingles(input: PlanInput): Plan {
  const isWire = ({ sourceId }: Verdict): boolean => input.sources.get(sourceId)?.kind === 'wire';
  const isIn = (kind: 'slot' | 'wire', { need }: PreparedNeed): boolean =>
    input.candidates.some(
      ({ sourceId }) =>
        (input.sources.get(sourceId)?.kind ?? 'slot') === kind &&
        need.excluded?.includes(sourceId) !== true,
    );
  // A supply that a slot may give is looked for there; where none may, as for heavy feeds, in the bunch.
  const inSlots = (wanted: PreparedNeed): boolean =>
    !isTrigger(wanted.need.role) && (isIn('slot', wanted) || !isIn('wire', wanted));
  if (input.needs.every(inSlots)) return nextTest(input);
  const onWires = nextLook({
    ...input,
    needs: input.needs.filter((wanted) => !inSlots(wanted)),
    candidates: input.candidates.filter(isWire),
  });
  const needs = input.needs.filter(inSlots);
  if (needs.length === 0) return onWires;
  const taken = new Set(onWires.filled.values());
  const others = nextTest({
    ...input,
    needs,
    candidates: input.candidates.filter(({ sourceId }) => !taken.has(sourceId)),
  });
  return together(others, onWires);
}

/** What is to be done before what is to be said, what can't be found before what is. */
const ORDER: readonly NextAction['kind'][] = [
  'visit',
  'handbook',
  'pair',
  'deferred',
  'exhausted',
  'filled',
];

function firstOf(left: NextAction, right: NextAction): NextAction {
  if (left.kind === 'exhausted' && right.kind === 'exhausted')
    return {
      kind: 'exhausted',
      needIds: [...left.needIds, ...right.needIds],
      instruction: `${left.instruction} ${right.instruction}`,
    };
  return ORDER.indexOf(left.kind) <= ORDER.indexOf(right.kind) ? left : right;
}
