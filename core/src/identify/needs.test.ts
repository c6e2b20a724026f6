import fc from 'fast-check';
import type { CircuitFunction, StitchPlace } from '../vehicle';
import { CIRCUIT_FUNCTIONS, STITCH_PLACES, stateAt } from '../vehicle';
import type { Need } from './needs';
import { meetingHypotheses, meetsProbability, requirementsOf } from './needs';
import { posterior } from './posterior';
import type { Reading } from './reading';
import type { FunctionPrior } from './readLabel';
import { readLabel } from './readLabel';
import { HYPOTHESES } from './signatures';

const CONSTANT: Need = { id: 'c', role: 'constant' };
const SWITCHED: Need = { id: 's', role: 'switched' };
const ILLUMINATION: Need = { id: 'i', role: 'illumination' };

function certain(of: CircuitFunction): FunctionPrior {
  return Object.fromEntries(
    CIRCUIT_FUNCTIONS.map((name) => [name, name === of ? 1 : 0]),
  ) as FunctionPrior;
}

function reading(place: StitchPlace, volts: number, id = `${place}${volts}`): Reading {
  return {
    id,
    sourceId: 'F1',
    contact: undefined,
    state: stateAt(place),
    value: { kind: 'volts', volts },
  };
}

function truthfulReading(index: number, place: StitchPlace): Reading {
  const live = HYPOTHESES[index]?.live(stateAt(place)) === true;
  const battery = place === 'crank' ? 10.2 : place === 'engine' ? 14.1 : 12.4;
  return reading(place, live ? battery : 0.02);
}

describe('what meets a need', () => {
  it.each([
    ['constant', CONSTANT, true],
    ['timedConstant', CONSTANT, false],
    ['accessory', CONSTANT, false],
    ['spare', CONSTANT, false],
    ['accessory', SWITCHED, true],
    ['retainedAccessory', SWITCHED, true],
    ['ignitionRun', SWITCHED, true],
    ['ignitionRunCrank', SWITCHED, true],
    ['constant', SWITCHED, false],
    ['timedConstant', SWITCHED, false],
    ['starter', SWITCHED, false],
    ['lamps', SWITCHED, false],
    ['lamps', ILLUMINATION, true],
    ['constant', ILLUMINATION, false],
  ] as const)('%s for a need of that role', (name, need, meets) => {
    expect(meetsProbability(need, posterior(certain(name), []))).toBeCloseTo(meets ? 1 : 0, 6);
  });

  it.each([
    [{ ...SWITCHED, liveInAcc: true }, 'ignitionRun', 0],
    [{ ...SWITCHED, liveInAcc: true }, 'accessory', 1],
    [{ ...SWITCHED, holdsCranking: true }, 'ignitionRunCrank', 1],
    [{ ...SWITCHED, holdsCranking: true }, 'ignitionRun', 0],
    [{ ...SWITCHED, dropsWithoutDoor: true }, 'retainedAccessory', 0],
    [{ ...SWITCHED, dropsWithoutDoor: true }, 'accessory', 1],
  ] as const)('%o with %s: %d', (need, name, chance) => {
    expect(meetsProbability(need, posterior(certain(name), []))).toBeCloseTo(chance, 6);
  });

  it('leaves open whether an accessory holds while cranking until cranking is read', () => {
    const need = { ...SWITCHED, holdsCranking: true };
    const before = meetsProbability(need, posterior(certain('accessory'), []));
    const held = meetsProbability(need, posterior(certain('accessory'), [reading('crank', 10.4)]));
    expect(before).toBeGreaterThan(0.05);
    expect(before).toBeLessThan(0.5);
    expect(held).toBeGreaterThan(0.9);
  });

  it('lets "none of these" meet a need only as far as its readings reach', () => {
    const given = (places: readonly StitchPlace[]) =>
      meetsProbability(
        SWITCHED,
        posterior(
          certain('none'),
          places.map((place) => reading(place, { run: 12.4, engine: 14.1 }[place as string] ?? 0)),
        ),
      );
    expect(given([])).toBeLessThan(0.2);
    expect(given(['run', 'engine', 'off', 'asleep'])).toBeGreaterThan(0.95);
  });

  it('asks the constant in every state, asleep and cranking included', () => {
    const ids = requirementsOf(CONSTANT).map((one) => one.id);
    expect(ids).toEqual(expect.arrayContaining(['asleep', 'crank', 'off', 'run']));
    expect(requirementsOf(CONSTANT).every((one) => one.want === 'live')).toBe(true);
  });

  it('gives a probability for any readings', () => {
    const some = fc.array(
      fc.tuple(fc.constantFrom(...STITCH_PLACES), fc.double({ min: -15, max: 15, noNaN: true })),
      { maxLength: 10 },
    );
    fc.assert(
      fc.property(some, fc.constantFrom('CIG', 'BAT', 'ILLUM', undefined), (rows, legend) => {
        const given = posterior(
          readLabel(legend).prior,
          rows.map(([place, volts], index) => reading(place, volts, `r${index}`)),
        );
        for (const need of [CONSTANT, SWITCHED, ILLUMINATION]) {
          const chance = meetsProbability(need, given);
          expect(chance).toBeGreaterThanOrEqual(0);
          expect(chance).toBeLessThanOrEqual(1 + 1e-9);
        }
      }),
    );
  });
});

describe('posterior', () => {
  const indexes = fc.nat(HYPOTHESES.length - 1);

  it('never ranks the truth below what a reading contradicts, when a consistent reading is added', () => {
    fc.assert(
      fc.property(
        indexes,
        fc.uniqueArray(fc.constantFrom(...STITCH_PLACES), { minLength: 1 }),
        (truth, places) => {
          const readings = places.map((place) => truthfulReading(truth, place));
          const prior = readLabel(undefined).prior;
          const before = posterior(prior, readings.slice(0, -1)).hypotheses;
          const after = posterior(prior, readings).hypotheses;
          const last = stateAt(places.at(-1) ?? 'off');
          const live = HYPOTHESES[truth]?.live(last);
          HYPOTHESES.forEach((other, index) => {
            if (other.live(last) === live) return;
            const ratioBefore = (before[truth] ?? 0) / (before[index] ?? 1);
            const ratioAfter = (after[truth] ?? 0) / (after[index] ?? 1);
            expect(ratioAfter).toBeGreaterThanOrEqual(ratioBefore);
          });
        },
      ),
    );
  });

  it('finds every variant from truthful readings in every state', () => {
    HYPOTHESES.forEach((hypothesis, index) => {
      const readings = STITCH_PLACES.map((place) => truthfulReading(index, place));
      const given = posterior(readLabel(undefined).prior, readings);
      const best = given.hypotheses.indexOf(Math.max(...given.hypotheses));
      // Variants that these states do not tell apart count as one.
      const same = STITCH_PLACES.every(
        (place) => HYPOTHESES[best]?.live(stateAt(place)) === hypothesis.live(stateAt(place)),
      );
      expect([hypothesis.variant, same]).toEqual([hypothesis.variant, true]);
    });
  });

  it('leaves readings at the contacts of an empty slot out', () => {
    const prior = readLabel('CIG').prior;
    const contact = { ...reading('run', 0), contact: 'b' as const };
    expect(posterior(prior, [contact]).functions).toEqual(posterior(prior, []).functions);
  });

  it('takes a reading with swapped leads for what it is', () => {
    const prior = readLabel('BAT').prior;
    const plus = posterior(prior, [reading('off', 12.4)]).functions.constant;
    const minus = posterior(prior, [reading('off', -12.4)]).functions.constant;
    expect(minus).toBeCloseTo(plus, 12);
  });

  it('has shares of variants that sum to one per function', () => {
    for (const name of CIRCUIT_FUNCTIONS) {
      if (name === 'none') continue;
      const shares = HYPOTHESES.filter((one) => one.function === name).map((one) => one.share);
      expect(shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9);
    }
  });

  it('has a variant for every role of a need', () => {
    for (const need of [CONSTANT, SWITCHED, ILLUMINATION])
      expect(meetingHypotheses(need).some((meets) => meets)).toBe(true);
  });
});
