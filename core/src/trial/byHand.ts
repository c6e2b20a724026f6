import type { Need, ProbeSource } from '../identify';
import { meetsProbability, posterior, readLabel, senseOf, sourcePrior } from '../identify';
import type { StitchPlace } from '../vehicle';
import { stateAt } from '../vehicle';
import type { TrialCar } from './trialCar';

/** Which slot serves which need, by need id, as a way of working by hand ends up. */
export type Choice = Readonly<Record<string, string>>;

/** Slots that a careful reader of the legend would try for a need, best label first; never a blocked one. */
function byLabel(sources: readonly ProbeSource[], need: Need): string[] {
  return sources
    .filter((source) => readLabel(source.legend).safety !== 'block')
    .map((source) => ({
      id: source.id,
      chance: meetsProbability(need, posterior(sourcePrior(source), [])),
      readable: readLabel(source.legend).entries.length > 0 ? 1 : 0,
    }))
    .sort((left, right) => right.readable - left.readable || right.chance - left.chance)
    .map(({ id }) => id);
}

function isLiveAt(car: TrialCar, sourceId: string): boolean {
  return senseOf(car.probe(sourceId)) === 'live';
}

/** Every fitted slot at off, then every slot at run; the best label among those that match. */
export function sweep(car: TrialCar, needs: readonly Need[]): Choice {
  const seen = (place: StitchPlace): Map<string, boolean> => {
    car.go(stateAt(place));
    return new Map(car.sources.map((source) => [source.id, isLiveAt(car, source.id)]));
  };
  const off = seen('off');
  const run = seen('run');
  const taken = new Set<string>();
  const chosen: Record<string, string> = {};
  for (const need of needs) {
    const match = byLabel(car.sources, need).find(
      (id) => !taken.has(id) && run.get(id) === true && off.get(id) === (need.role === 'constant'),
    );
    if (match === undefined) continue;
    chosen[need.id] = match;
    taken.add(match);
  }
  return chosen;
}

/** The best-labelled unblocked candidate, off then run; accept it or move on. */
export function labelFirst(car: TrialCar, needs: readonly Need[]): Choice {
  return tryByLabel(car, needs, () => true);
}

/**
 * Label first, and besides: crank where the need asks, key off with the door opened, and at the end a sleep check of
 * the constant, all its candidates in one sleep.
 */
export function careful(car: TrialCar, needs: readonly Need[]): Choice {
  const chosen = {
    ...tryByLabel(car, needs, (need, id) => {
      if (need.holdsCranking === true && need.role === 'switched') {
        car.go(stateAt('crank'));
        if (!isLiveAt(car, id)) return false;
      }
      if (need.liveInAcc === true) {
        car.go(stateAt('acc'));
        if (!isLiveAt(car, id)) return false;
      }
      if (need.role !== 'switched') return true;
      car.go(stateAt('off'));
      return !isLiveAt(car, id);
    }),
  };
  for (const need of needs) {
    if (need.role !== 'constant') continue;
    car.go(stateAt('asleep'));
    const first = chosen[need.id];
    const others = byLabel(car.sources, need).filter((id) => !Object.values(chosen).includes(id));
    const holds = [...(first === undefined ? [] : [first]), ...others].find((id) =>
      isLiveAt(car, id),
    );
    if (holds === undefined) delete chosen[need.id];
    else chosen[need.id] = holds;
  }
  return chosen;
}

function tryByLabel(
  car: TrialCar,
  needs: readonly Need[],
  passes: (need: Need, sourceId: string) => boolean,
): Choice {
  const taken = new Set<string>();
  const chosen: Record<string, string> = {};
  for (const need of needs) {
    const match = byLabel(car.sources, need).find((id) => {
      if (taken.has(id)) return false;
      car.go(stateAt('off'));
      if (isLiveAt(car, id) !== (need.role === 'constant')) return false;
      car.go(stateAt('run'));
      return isLiveAt(car, id) && passes(need, id);
    });
    if (match === undefined) continue;
    chosen[need.id] = match;
    taken.add(match);
  }
  return chosen;
}
