import fc from 'fast-check';
import { farthest } from '../../testing/farthest';
import type { CircuitFunction, StitchPlace } from '../../vehicle';
import { CIRCUIT_FUNCTIONS, STITCH_PLACES, stateAt } from '../../vehicle';
import type { Need } from './needs';
import { preparedNeedOf, meetsProbability, mustSeeOf, requirementsOf } from './needs';
import { posterior } from '../belief/posterior';
import type { Reading } from '../reading/reading';
import type { FunctionPrior } from '../legend/readLabel';
import { HYPOTHESES, isLive } from '../circuit/hypotheses';
import type { Belief } from '../belief/sourcePrior';
import { sourcePrior } from '../belief/sourcePrior';
import { VISIT_ORDER } from '../visit/workCosts';

const CONSTANT: Need = { id: 'c', role: 'constant' };
const SWITCHED: Need = { id: 's', role: 'switched' };
const RETAINED: Need = { id: 'r', role: 'retained' };
const ILLUMINATION: Need = { id: 'i', role: 'illumination' };

function certain(of: CircuitFunction): Belief {
  const only = (share: number): FunctionPrior =>
    Object.fromEntries(
      CIRCUIT_FUNCTIONS.map((name) => [name, name === of ? share : 0]),
    ) as FunctionPrior;
  return { functions: only(1), critical: only(0) };
}

function unlabelled(): Belief {
  return sourcePrior({ legend: undefined, logged: undefined });
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

function isLiveAt(index: number, place: StitchPlace): boolean {
  const hypothesis = HYPOTHESES[index];
  return hypothesis !== undefined && isLive(hypothesis, stateAt(place));
}

/** Where slots are read; what else a stitch may show is for wires. */
const SLOT_PLACES = STITCH_PLACES.filter((place) => VISIT_ORDER.includes(place));

function truthfulReading(index: number, place: StitchPlace): Reading {
  const live = isLiveAt(index, place);
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
    ['ignitionRun', SWITCHED, true],
    ['constant', SWITCHED, false],
    ['timedConstant', SWITCHED, false],
    ['starter', SWITCHED, false],
    ['lamps', SWITCHED, false],
    ['accessory', RETAINED, false],
    ['ignitionRun', RETAINED, false],
    ['constant', RETAINED, false],
    ['timedConstant', RETAINED, false],
    ['lamps', ILLUMINATION, true],
    ['dimmedIllumination', ILLUMINATION, true],
    ['constant', ILLUMINATION, false],
  ] as const)('%s for a need of that role', (name, need, meets) => {
    expect(meetsProbability(need, posterior(certain(name), []))).toBeCloseTo(meets ? 1 : 0, 6);
  });

  it.each([
    [{ ...SWITCHED, liveInAcc: true }, 'ignitionRun', 0],
    [{ ...SWITCHED, liveInAcc: true }, 'accessory', 1],
    [{ ...SWITCHED, holdsCranking: true }, 'ignitionRun', 0],
    [{ ...SWITCHED, dropsWithoutDoor: true }, 'retainedAccessory', 0],
    [{ ...SWITCHED, dropsWithoutDoor: true }, 'accessory', 1],
  ] as const)('%o with %s: %d', (need, name, chance) => {
    expect(meetsProbability(need, posterior(certain(name), []))).toBeCloseTo(chance, 6);
  });

  it('knows timers that keep a switched circuit live although a door was opened', () => {
    for (const name of ['retainedAccessory', 'ignitionRunCrank'] as const) {
      const chance = meetsProbability(SWITCHED, posterior(certain(name), []));
      expect(chance).toBeGreaterThan(0.85);
      expect(chance).toBeLessThan(1);
      const lenient = { ...SWITCHED, mayStayLiveAwake: true };
      expect(meetsProbability(lenient, posterior(certain(name), []))).toBeCloseTo(1, 6);
    }
  });

  it('takes a retained feed by what a door ends, and one that a timer ends where that is allowed', () => {
    const held = posterior(certain('retainedAccessory'), []);
    expect(meetsProbability(RETAINED, held)).toBeCloseTo(0.9, 6);
    expect(meetsProbability({ ...RETAINED, mayStayLiveAwake: true }, held)).toBeCloseTo(1, 6);
  });

  it('must see a retained feed just after the key, and where it is over', () => {
    expect(mustSeeOf(RETAINED)).toEqual(['justOff', 'off']);
    expect(mustSeeOf({ ...RETAINED, mayStayLiveAwake: true })).toEqual(['justOff', 'asleep']);
  });

  it('leaves open whether an accessory holds while cranking until cranking is read', () => {
    const need = { ...SWITCHED, holdsCranking: true };
    const before = meetsProbability(need, posterior(certain('accessory'), []));
    const held = meetsProbability(need, posterior(certain('accessory'), [reading('crank', 10.4)]));
    expect(before).toBeGreaterThan(0.05);
    expect(before).toBeLessThan(0.5);
    expect(held).toBeGreaterThan(0.9);
  });

  it('counts what was seen where a circuit does not do what its name says', () => {
    const need = { ...SWITCHED, holdsCranking: true };
    const heater = [reading('crank', 10.4), reading('run', 12.3), reading('off', 0)];
    const chance = (readings: readonly Reading[]): number =>
      meetsProbability(need, posterior(certain('ignitionRun'), readings));
    // One look may be a slip: it counts for something, not for all.
    expect(chance([])).toBe(0);
    expect(chance(heater)).toBeGreaterThan(0.3);
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
    const ids = requirementsOf(CONSTANT).map((one) => one.place);
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
          sourcePrior({ legend, logged: undefined }),
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

/** Hypotheses that a fuse slot can have. */
const SLOT_INDEXES = HYPOTHESES.flatMap((one, index) => (one.onSlots ? [index] : []));

describe('posterior', () => {
  const indexes = fc.constantFrom(...SLOT_INDEXES);

  it('never ranks the truth below what a reading contradicts, when a consistent reading is added', () => {
    fc.assert(
      fc.property(
        indexes,
        fc.uniqueArray(fc.constantFrom(...STITCH_PLACES), { minLength: 1 }),
        (truth, places) => {
          const readings = places.map((place) => truthfulReading(truth, place));
          const prior = unlabelled();
          const before = posterior(prior, readings.slice(0, -1)).hypotheses;
          const after = posterior(prior, readings).hypotheses;
          const last = places.at(-1) ?? 'off';
          for (const index of SLOT_INDEXES) {
            if (isLiveAt(index, last) === isLiveAt(truth, last)) continue;
            const ratioBefore = (before[truth] ?? 0) / (before[index] ?? 1);
            const ratioAfter = (after[truth] ?? 0) / (after[index] ?? 1);
            expect(ratioAfter).toBeGreaterThanOrEqual(ratioBefore);
          }
        },
      ),
    );
  });

  it('finds every variant from truthful readings in every state', () => {
    for (const index of SLOT_INDEXES) {
      const readings = SLOT_PLACES.map((place) => truthfulReading(index, place));
      const given = posterior(unlabelled(), readings);
      const best = given.hypotheses.indexOf(Math.max(...given.hypotheses));
      // Variants that these states do not tell apart count as one.
      const same = SLOT_PLACES.every((place) => isLiveAt(best, place) === isLiveAt(index, place));
      const name = HYPOTHESES[index]?.variant;
      expect([name, same]).toEqual([name, true]);
    }
  });

  it('leaves readings at the contacts of an empty slot out', () => {
    const prior = sourcePrior({ legend: 'CIG', logged: undefined });
    const contact = { ...reading('run', 0), contact: 'b' as const };
    expect(posterior(prior, [contact]).functions).toEqual(posterior(prior, []).functions);
  });

  it('takes a reading with swapped leads for what it is', () => {
    const prior = sourcePrior({ legend: 'BAT', logged: undefined });
    const plus = posterior(prior, [reading('off', 12.4)]).functions.constant;
    const minus = posterior(prior, [reading('off', -12.4)]).functions.constant;
    expect(minus).toBeCloseTo(plus, 12);
  });

  it('does not care in which order the readings were taken', () => {
    const places = fc.uniqueArray(fc.constantFrom(...STITCH_PLACES), { minLength: 2 });
    fc.assert(
      fc.property(indexes, places, (truth, some) => {
        const readings = some.map((place) => truthfulReading(truth, place));
        const forward = posterior(unlabelled(), readings).hypotheses;
        const backward = posterior(unlabelled(), [...readings].reverse()).hypotheses;
        expect(farthest([...forward], [...backward])).toBeLessThan(1e-9);
      }),
    );
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
      expect(Math.max(...preparedNeedOf(need).serving(posterior(certain('none'), [])))).toBe(1);
  });
});
