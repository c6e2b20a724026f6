import fc from 'fast-check';
import type { BenchWireKind, GeneratedBunch } from '../bench';
import { benchCar, generateBunch, practiceBunch, PRACTICE_BUNCHES } from '../bench';
import type { JoinedLead, JointChoice } from './joints';
import { choiceOf, jointFor, jointOutcome } from './joints';

const BATTERY = { restV: 12.6, internalOhm: 0.009, crankingA: 180, chargingV: 14.2 };
const GIVES_GROUND: JoinedLead = { direction: 'out', polarity: 'ground', standsA: 0.25 };
const GIVES_PLUS: JoinedLead = { direction: 'out', polarity: 'plus', standsA: 10 };
const LISTENS: JoinedLead = { direction: 'in', polarity: 'ground', standsA: 0 };

function outcome(behind: BenchWireKind, lead: JoinedLead, choice: JointChoice = 'itself') {
  const bunch: GeneratedBunch = {
    ...{ wires: [{ id: 'W1', behind }], battery: BATTERY, carries: new Map() },
    lockKind: 'negative',
  };
  const car = benchCar({ battery: BATTERY, circuits: [], wires: bunch.wires });
  return jointOutcome(bunch, car, { wireId: 'W1', lead, choice });
}

const NEGATIVE: BenchWireKind = {
  ...{ is: 'switchToGround', by: 'lock', pullUpOhm: 1000, from: 'battery' },
};

describe('what comes of a joint', () => {
  // Common practice: a module's pull-up gives some milliamperes, any output to ground stands it.
  it('is right where an output to ground meets a switch to ground', () => {
    const { works, amps, burns } = outcome(NEGATIVE, GIVES_GROUND);
    expect(works).toBe(true);
    expect(amps).toBeCloseTo(12.6 / 1000, 3);
    expect(burns).toBe(false);
  });

  // Common practice: both leads of a lock motor rest on ground through the switch; plus onto one is a short.
  it('burns where plus meets an uncut lead of a lock motor at rest', () => {
    const { works, amps, burns, wanted } = outcome({ is: 'lockMotor', by: 'lock' }, GIVES_PLUS);
    expect(works).toBe(false);
    expect(amps).toBeGreaterThan(30);
    expect(burns).toBe(true);
    expect(wanted?.by).toBe('relays');
  });

  it('burns an output to ground as soon as the car’s own switch puts plus on the wire', () => {
    const { burns, at } = outcome({ is: 'lockPositive', by: 'unlock' }, GIVES_GROUND);
    expect(burns).toBe(true);
    expect(at).toBe('unlock');
  });

  it('burns an output to ground on a constant at once', () => {
    const { burns } = outcome({ is: 'feed', supply: 'battery', loadOhm: 1e6 }, GIVES_GROUND);
    expect(burns).toBe(true);
  });

  it('blows the fuse where one relay makes plus of it on a wire that the car’s switch grounds', () => {
    const { works, burns, at } = outcome(NEGATIVE, GIVES_GROUND, 'relay');
    expect([works, burns, at]).toEqual([false, true, 'lock']);
  });

  it('lets two relays stand where both motor leads are cut, and nothing else', () => {
    const motor: BenchWireKind = { is: 'lockMotor', by: 'lock' };
    expect(outcome(motor, GIVES_GROUND, 'twoRelays')).toMatchObject({ works: true, burns: false });
    expect(outcome(NEGATIVE, GIVES_GROUND, 'twoRelays').works).toBe(false);
  });

  it('wants the button’s resistor on a ladder', () => {
    const ladder: BenchWireKind = { is: 'lockResistive' };
    expect(outcome(ladder, GIVES_GROUND, 'resistor')).toMatchObject({ works: true, burns: false });
    expect(outcome(ladder, GIVES_GROUND).works).toBe(false);
  });

  it('draws by Ohm’s law through a resistor that stands on a constant', () => {
    const { amps, burns } = outcome(
      { is: 'feed', supply: 'battery', loadOhm: 1e6 },
      GIVES_GROUND,
      'resistor',
    );
    expect(amps).toBeCloseTo(12.6 / 100, 2);
    expect(burns).toBe(false);
  });

  it('disturbs data and sensor lines, but for the interface module', () => {
    for (const behind of [{ is: 'data', biasV: 2.5 }, { is: 'sensor' }] as const) {
      expect(outcome(behind, GIVES_GROUND)).toMatchObject({ works: false, disturbs: true });
      expect(outcome(behind, GIVES_GROUND, 'module')).toMatchObject({
        works: true,
        disturbs: false,
      });
    }
  });

  it('drives nothing where the device only listens', () => {
    const constant: BenchWireKind = { is: 'feed', supply: 'battery', loadOhm: 1e6 };
    expect(outcome(constant, LISTENS)).toMatchObject({ amps: 0, burns: false, works: false });
    expect(outcome(NEGATIVE, LISTENS).works).toBe(true);
  });

  it('refuses a wire that is not there', () => {
    const bunch = generateBunch(1);
    const car = benchCar({ battery: bunch.battery, circuits: [], wires: bunch.wires });
    expect(() =>
      jointOutcome(bunch, car, { wireId: 'W99', lead: LISTENS, choice: 'itself' }),
    ).toThrow(/no wire W99/);
  });

  it('never burns where the right joint is made on the right wire', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...PRACTICE_BUNCHES),
        fc.integer({ min: 1, max: 400 }),
        fc.constantFrom(
          ...(['lock', 'unlock'] as const).map((signal) => [signal, GIVES_GROUND] as const),
          ['parkingLamps', GIVES_PLUS] as const,
        ),
        (kind, seed, [signal, lead]) => {
          const bunch = practiceBunch(kind, seed);
          const car = benchCar({ battery: bunch.battery, circuits: [], wires: bunch.wires });
          for (const wireId of bunch.carries.get(signal) ?? []) {
            const behind = bunch.wires.find(({ id }) => id === wireId)?.behind;
            const wanted = behind === undefined ? undefined : jointFor(lead, behind);
            if (wanted === undefined) throw new Error(`nothing is right on ${wireId}`);
            const made = jointOutcome(bunch, car, { wireId, lead, choice: choiceOf(wanted) });
            expect(made).toMatchObject({ works: true, burns: false, disturbs: false });
          }
        },
      ),
      { numRuns: 60 },
    );
  });
});
