import fc from 'fast-check';
import type { GeneratedVehicle } from '../bench';
import { POOR_LEGENDS, USUAL_LEGENDS, benchCar, generateVehicle } from '../bench';
import type { FindAdvice, Need } from '../identify';
import { advise, readLabel } from '../identify';
import type { StitchPlace } from '../vehicle';
import { placeOf } from '../vehicle';
import {
  NO_SCORE,
  addScores,
  followPlan,
  logWithLies,
  planSteps,
  scoreOf,
  trialCar,
} from './index';

/** Cars that the figures of the other tests do not use. */
const seeds = fc.integer({ min: 90_001, max: 99_000 });
const NEEDS: readonly Need[] = [
  { id: 'memory', role: 'constant' },
  { id: 'supply', role: 'switched', liveInAcc: true },
  { id: 'steady', role: 'switched', holdsCranking: true },
  { id: 'dim', role: 'illumination' },
];
const someNeeds = fc.subarray([...NEEDS], { minLength: 1 });
const qualities = fc.constantFrom(USUAL_LEGENDS, POOR_LEGENDS);
const instruments = fc.constantFrom('meter' as const, 'lamp' as const, 'both' as const);

interface Followed {
  readonly vehicle: GeneratedVehicle;
  readonly steps: readonly FindAdvice[];
  readonly last: FindAdvice;
}

function follow(
  seed: number,
  by: {
    readonly needs: readonly Need[];
    readonly quality: typeof USUAL_LEGENDS;
    readonly instrument: 'meter' | 'lamp' | 'both';
  },
): Followed {
  const vehicle = generateVehicle(seed, by.quality);
  const car = trialCar(vehicle, {
    seed,
    instrument: by.instrument,
    car: benchCar(vehicle.truth),
  });
  const steps: FindAdvice[] = [];
  const going = planSteps(car, by.needs);
  let step = going.next();
  while (step.done !== true) {
    steps.push(step.value);
    step = going.next();
  }
  return { vehicle, steps, last: step.value };
}

function placesOf(steps: readonly FindAdvice[]): StitchPlace[] {
  return steps.flatMap(({ next }) => (next.kind === 'visit' ? [next.visit.place] : []));
}

const sessions = fc.record({
  seed: seeds,
  needs: someNeeds,
  quality: qualities,
  instrument: instruments,
});

describe('a session by the plan, on any car', () => {
  it('never touches a circuit whose legend names it as dangerous, nor recommends one', () => {
    fc.assert(
      fc.property(sessions, ({ seed, ...by }) => {
        const { vehicle, steps, last } = follow(seed, by);
        const legendOf = new Map(vehicle.slots.map((slot) => [slot.id, slot.legend]));
        const touched = steps.flatMap(({ next }) =>
          next.kind === 'visit' ? next.visit.sourceIds : [],
        );
        for (const id of [...touched, ...Object.values(last.filled)])
          expect(readLabel(legendOf.get(id)).safety).not.toBe('block');
      }),
      { numRuns: 10 },
    );
  });

  it('ends with a source of its own for each need, or says which have none', () => {
    fc.assert(
      fc.property(sessions, ({ seed, ...by }) => {
        const { last } = follow(seed, by);
        const sources = Object.values(last.filled);
        expect(new Set(sources).size).toBe(sources.length);
        const open = by.needs.filter(({ id }) => last.filled[id] === undefined).map(({ id }) => id);
        if (last.next.kind === 'exhausted')
          expect([...last.next.needIds].sort()).toEqual(open.sort());
        else expect(open).toEqual([]);
      }),
      { numRuns: 10 },
    );
  });

  it('recommends nothing that it has not touched in the state that matters', () => {
    fc.assert(
      fc.property(sessions, ({ seed, ...by }) => {
        const { last } = follow(seed, by);
        const readAt = (id: string | undefined): StitchPlace[] =>
          last.verdicts
            .filter(({ sourceId }) => sourceId === id)
            .flatMap(({ posterior }) => posterior.evidence.map(({ state }) => placeOf(state)));
        const { memory, supply, steady } = last.filled;
        if (memory !== undefined) expect(readAt(memory)).toContain('asleep');
        if (supply !== undefined)
          expect(readAt(supply)).toEqual(expect.arrayContaining(['off', 'acc']));
        if (steady !== undefined)
          expect(readAt(steady)).toEqual(expect.arrayContaining(['off', 'crank']));
      }),
      { numRuns: 10 },
    );
  });

  it('waits for sleep once at most when a memory and a supply are wanted', () => {
    fc.assert(
      fc.property(seeds, qualities, instruments, (seed, quality, instrument) => {
        const { steps } = follow(seed, { needs: NEEDS.slice(0, 2), quality, instrument });
        const places = placesOf(steps);
        const waits = places.filter((place, at) => place === 'asleep' && places[at - 1] !== place);
        expect(waits.length).toBeLessThanOrEqual(1);
      }),
      { numRuns: 10 },
    );
  });

  it('keeps out of the states that are set aside, and says that they are', () => {
    fc.assert(
      fc.property(seeds, qualities, (seed, quality) => {
        const vehicle = generateVehicle(seed, quality);
        const car = trialCar(vehicle, { seed, instrument: 'meter' });
        const cannot: readonly StitchPlace[] = ['asleep', 'waited', 'crank'];
        const ask = (): FindAdvice =>
          advise({
            sources: car.sources,
            readings: car.readings,
            state: car.state(),
            needs: NEEDS.slice(0, 3),
            cannot,
          });
        let advice = ask();
        for (let visits = 0; advice.next.kind === 'visit' && visits < 200; visits += 1) {
          expect(cannot).not.toContain(advice.next.visit.place);
          car.go(advice.next.visit.state);
          for (const id of advice.next.visit.sourceIds) car.probe(id);
          advice = ask();
        }
        expect(['deferred', 'exhausted']).toContain(advice.next.kind);
        if (advice.next.kind === 'deferred')
          for (const place of advice.next.places) expect(cannot).toContain(place);
        expect(advice.filled.memory).toBeUndefined();
      }),
      { numRuns: 10 },
    );
  });

  // A log holds lies; what it says must not make up for what nobody looked at on this car.
  it.each([
    { named: 0.35, lies: 0.2, probability: 0.9 },
    { named: 0.35, lies: 0.05, probability: 0.95 },
    { named: 0.35, lies: 0.02, probability: 0.98 },
  ])('is not misled by a log with lies: %o', (quality) => {
    let score = NO_SCORE;
    for (let seed = 90_001; seed <= 90_014; seed += 1) {
      const vehicle = generateVehicle(seed, USUAL_LEGENDS);
      const car = trialCar(vehicle, {
        seed,
        instrument: 'meter',
        log: logWithLies(vehicle, seed, quality),
      });
      const needs = NEEDS.slice(0, 3);
      score = addScores(score, scoreOf(vehicle, needs, followPlan(car, needs).filled));
    }
    expect([score.wrong, score.named]).toEqual([0, 0]);
    expect(score.right / score.needs).toBeGreaterThan(0.97);
  });

  it('takes less work the more of the log it can trust', () => {
    const needs = NEEDS.slice(0, 3);
    const secondsWith = (probability: number | undefined): number => {
      let seconds = 0;
      for (let seed = 90_001; seed <= 90_010; seed += 1) {
        const vehicle = generateVehicle(seed, USUAL_LEGENDS);
        const log =
          probability === undefined
            ? new Map()
            : logWithLies(vehicle, seed, { named: 0.5, lies: 0, probability });
        const car = trialCar(vehicle, { seed, instrument: 'meter', log });
        followPlan(car, needs);
        seconds += car.effort().seconds;
      }
      return seconds;
    };
    const [none, prior, trusted] = [secondsWith(undefined), secondsWith(0.9), secondsWith(0.98)];
    expect(trusted).toBeLessThan(prior);
    expect(prior).toBeLessThan(none);
  });

  it('does not wait for sleep where no feed depends on it, and hardly ever cranks', () => {
    for (let seed = 90_001; seed <= 90_020; seed += 1) {
      const { steps } = follow(seed, {
        needs: NEEDS.slice(1, 2),
        quality: USUAL_LEGENDS,
        instrument: 'meter',
      });
      const places = placesOf(steps);
      expect(places).not.toContain('asleep');
      expect(places.filter((place) => place === 'crank').length).toBeLessThanOrEqual(1);
    }
  });
});
