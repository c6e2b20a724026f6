import fc from 'fast-check';
import type { Element } from '../bench';
import { CHASSIS, solveNetwork } from '../bench';
import { E24, nearestE24, solveLadder } from './ladder';

/** What a meter shows on a ladder's wire, by nodal analysis: 10 MΩ to ground beside whatever else hangs there. */
function read(car: { volts: number; pullUp: number; rest: number }, extra?: number): number {
  const toGround = (ohm: number): Element => ({ kind: 'resistor', a: 'wire', b: CHASSIS, ohm });
  const network = solveNetwork([
    { kind: 'voltage', plus: 'supply', minus: CHASSIS, volts: car.volts },
    { kind: 'resistor', a: 'supply', b: 'wire', ohm: car.pullUp },
    toGround(car.rest),
    toGround(10e6),
    ...(extra === undefined ? [] : [toGround(extra)]),
  ]);
  return network.voltage('wire');
}

const CAR = fc.record({
  volts: fc.constantFrom(5, 8, 12),
  pullUp: fc.integer({ min: 300, max: 5000 }),
  rest: fc.integer({ min: 2000, max: 50_000 }),
});

describe('a ladder of resistors', () => {
  it('is solved back to the resistors that a network of nodes was made of', () => {
    fc.assert(
      fc.property(
        CAR,
        fc.integer({ min: 50, max: 4000 }),
        fc.integer({ min: 300, max: 3000 }),
        (car, button, test) => {
          const found = solveLadder({
            restV: read(car),
            test: { ohm: test, volts: read(car, test) },
            buttonV: { lock: read(car, button) },
          });
          if (!found.ok) throw new Error(found.because);
          const [rung] = found.rungs;
          if (rung?.ok !== true) throw new Error('no rung');
          expect(rung.ohm / button).toBeCloseTo(1, 4);
          expect(found.sourceOhm).toBeCloseTo(1 / (1 / car.pullUp + 1 / car.rest + 1e-7), 1);
          // What is soldered in is what the car will read.
          expect(rung.volts).toBeCloseTo(read(car, rung.standardOhm), 3);
        },
      ),
    );
  });

  it('follows a worked divider: 4 V behind 1 kΩ, 1 V at a third of it', () => {
    const found = solveLadder({
      restV: 4,
      test: { ohm: 1000, volts: 2 },
      buttonV: { lock: 1, unlock: 2, panic: 0 },
    });
    expect(found).toMatchObject({ ok: true, sourceOhm: 1000 });
    if (!found.ok) return;
    expect(found.rungs).toMatchObject([
      { button: 'lock', standardOhm: 330, toldApart: true },
      { button: 'unlock', standardOhm: 1000, toldApart: true },
      { button: 'panic', ohm: 0, standardOhm: 0, volts: 0 },
    ]);
  });

  it('says that steps too near for a 5 % resistor are not told apart', () => {
    const found = solveLadder({
      restV: 5,
      test: { ohm: 1000, volts: 2.5 },
      buttonV: { lock: 2.5, unlock: 2.62 },
    });
    if (!found.ok) throw new Error(found.because);
    expect(found.rungs.every((rung) => rung.ok && !rung.toldApart)).toBe(true);
    const twins = solveLadder({
      restV: 5,
      test: { ohm: 1000, volts: 2.5 },
      buttonV: { lock: 2.5, unlock: 2.52 },
    });
    if (!twins.ok) throw new Error(twins.because);
    expect(twins.rungs.every((rung) => rung.ok && rung.used === 1)).toBe(true);
  });

  it.each([
    [{ restV: 0, test: { ohm: 1000, volts: 0 } }, /no voltage/],
    [{ restV: 5, test: { ohm: 1000, volts: 4.98 } }, /part of the way/],
    [{ restV: 5, test: { ohm: 1000, volts: 0.01 } }, /part of the way/],
    [{ restV: 5, test: { ohm: 0, volts: 2 } }, /must be known/],
    [{ restV: Number.NaN, test: { ohm: 1000, volts: 2 } }, /no voltage/],
  ])('refuses %j', (given, why) => {
    const found = solveLadder({ ...given, buttonV: { lock: 1 } });
    expect(found.ok || found.because).toMatch(why);
  });

  it('does not make a resistor for a button that lifts the wire or leaves it', () => {
    const found = solveLadder({
      restV: 2,
      test: { ohm: 1000, volts: 1 },
      buttonV: { lock: 4, unlock: 2 },
    });
    expect(found).toMatchObject({
      rungs: [
        { ok: false, because: expect.stringMatching(/rises/) },
        { ok: false, because: expect.stringMatching(/does not move/) },
      ],
    });
  });

  it('takes values that are sold: IEC 60063, E24', () => {
    expect(E24).toHaveLength(24);
    expect([330, 333, 340, 99, 980, 4.9e3, 1e6].map(nearestE24)).toEqual(
      [330, 330, 330, 100, 1000, 5100, 1e6].map((one) => expect.closeTo(one, 6)),
    );
  });
});
