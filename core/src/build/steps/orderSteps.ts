import type { JobStep } from './jobStep';
import { changeCost } from './jobStep';

/** An order of work that keeps every rule, and what its changes cost. */
export interface StepOrder {
  readonly steps: readonly JobStep[];
  /** Changes of state, place and tool, s. */
  readonly changeS: number;
}

/** Up to so many steps the order is the true optimum: 2 to this many subsets are looked at. */
export const EXACT_STEPS = 14;
/** Beyond that so many part orders are kept at each length. */
const BEAM = 70;

/**
 * The order of steps that keeps what must come before what, with the cheapest changes of state, place and tool. Up to
 * {@link EXACT_STEPS} steps by dynamic programming over what is done and what was done last (Held and Karp 1962), beyond by a beam.
 *
 * @throws RangeError when a step waits for one that is not there, or steps wait for each other in a circle.
 */
export function orderSteps(steps: readonly JobStep[]): StepOrder {
  const before = predecessors(steps);
  const [best] =
    steps.length <= EXACT_STEPS ? grow(steps, before, Infinity) : grow(steps, before, BEAM);
  if (best === undefined) {
    if (steps.length === 0) return { steps: [], changeS: 0 };
    throw new RangeError('steps wait for each other in a circle');
  }
  return { steps: best.order.map((at) => steps[at] as JobStep), changeS: best.cost };
}

interface Part {
  readonly order: readonly number[];
  readonly done: bigint;
  readonly cost: number;
  /** What car, place and hand are now; undefined before the first step. */
  readonly stands: JobStep | undefined;
}

/** Part orders grown step by step; those that did the same and stand alike are one, the cheaper. */
function grow(steps: readonly JobStep[], before: readonly bigint[], most: number): Part[] {
  let parts: Part[] = [{ order: [], done: 0n, cost: 0, stands: undefined }];
  for (let length = 0; length < steps.length; length += 1) {
    const next = new Map<string, Part>();
    for (const part of parts)
      steps.forEach((step, at) => {
        const bit = 1n << BigInt(at);
        const due = before[at] ?? 0n;
        if ((part.done & bit) !== 0n || (part.done & due) !== due) return;
        const cost = part.cost + changeCost(part.stands, step);
        const done = part.done | bit;
        const stands = standing(part.stands, step);
        // Of two part orders that did the same and stand alike, the cheaper is enough.
        const key = `${done} ${stands.state}|${stands.where}|${stands.tool ?? ''}`;
        if ((next.get(key)?.cost ?? Infinity) <= cost) return;
        next.set(key, { order: [...part.order, at], done, cost, stands });
      });
    parts = [...next.values()];
    if (parts.length > most) parts = parts.sort((a, b) => a.cost - b.cost).slice(0, most);
  }
  return parts.sort((a, b) => a.cost - b.cost);
}

/** What is after a step: one for which any state or no tool will do leaves what was. */
function standing(before: JobStep | undefined, step: JobStep): JobStep {
  return {
    ...step,
    state: step.state === 'any' ? (before?.state ?? 'any') : step.state,
    tool: step.tool ?? before?.tool,
  };
}

function predecessors(steps: readonly JobStep[]): bigint[] {
  const at = new Map(steps.map((step, index) => [step.id, index]));
  return steps.map((step) =>
    step.after.reduce((mask, id) => {
      const index = at.get(id);
      if (index === undefined)
        throw new RangeError(`step ${step.id} waits for ${id}, which is none`);
      return mask | (1n << BigInt(index));
    }, 0n),
  );
}
