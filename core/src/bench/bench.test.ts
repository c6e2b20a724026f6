import fc from 'fast-check';
import { stateAt } from '../vehicle';
import type { BenchCircuit, BenchVehicle } from './index';
import {
  batteryVoltage,
  generateVehicle,
  lampReading,
  meterReading,
  seededRandom,
  slotVoltage,
} from './index';

const BATTERY = { restV: 12.6, internalOhm: 0.01, crankingA: 200, chargingV: 14.2 };
const CIRCUIT: BenchCircuit = {
  slotId: 'F1',
  supply: 'runContact',
  supplyContact: 'a',
  backFeed: undefined,
  loadOhm: 6,
  blown: false,
  ghostV: 0,
};
const METER = 10e6;

function car(circuit: Partial<BenchCircuit>): BenchVehicle {
  return { battery: BATTERY, circuits: [{ ...CIRCUIT, ...circuit }] };
}

describe('slotVoltage', () => {
  // Voltage divider, computed: 12.6 V over 0.03 Ω of feed, 0.006 Ω of fuse and a 6 Ω load.
  it('agrees with a voltage divider', () => {
    const connection = { contact: 'b', fuseIn: true, instrumentOhm: METER } as const;
    const expected = (12.6 * 6) / (6 + 0.036);
    expect(slotVoltage(BATTERY, CIRCUIT, stateAt('run'), connection)).toBeCloseTo(expected, 4);
  });

  // A 10 MΩ meter on 8 MΩ of stray coupling, computed: it shows 10/(10 + 8) of what couples in.
  it('shows a ghost on an open wire to a meter', () => {
    const open = { ...CIRCUIT, supply: 'unfed', loadOhm: Infinity, ghostV: 3.6 } as const;
    const connection = { contact: 'a', fuseIn: false, instrumentOhm: METER } as const;
    expect(slotVoltage(BATTERY, open, stateAt('run'), connection)).toBeCloseTo(2, 6);
  });

  it('tells the supply side from the load side of an empty slot', () => {
    const at = (contact: 'a' | 'b'): number =>
      slotVoltage(BATTERY, CIRCUIT, stateAt('run'), {
        contact,
        fuseIn: false,
        instrumentOhm: METER,
      });
    expect(at('a')).toBeGreaterThan(12);
    expect(at('b')).toBeLessThan(0.1);
  });

  it('finds both contacts live in a back-fed circuit', () => {
    const fed = { ...CIRCUIT, backFeed: 'battery' } as const;
    const connection = { contact: 'b', fuseIn: false, instrumentOhm: METER } as const;
    expect(slotVoltage(BATTERY, fed, stateAt('run'), connection)).toBeGreaterThan(12);
  });

  it('never leaves the range of its sources', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 1e6, noNaN: true }),
        fc.double({ min: 1, max: 1e7, noNaN: true }),
        fc.boolean(),
        (loadOhm, instrumentOhm, fuseIn) => {
          const volts = slotVoltage(BATTERY, { ...CIRCUIT, loadOhm }, stateAt('run'), {
            contact: 'b',
            fuseIn,
            instrumentOhm,
          });
          expect(volts).toBeGreaterThanOrEqual(0);
          expect(volts).toBeLessThanOrEqual(12.6);
        },
      ),
    );
  });
});

describe('the battery', () => {
  it('sags by Ohm’s law while cranking and rises with the alternator', () => {
    expect(batteryVoltage(BATTERY, stateAt('crank'))).toBeCloseTo(10.6, 6);
    expect(batteryVoltage(BATTERY, stateAt('engine'))).toBe(14.2);
  });
});

describe('instruments', () => {
  it('reads the same truth by meter and lamp', () => {
    const touch = { slotId: 'F1', contact: undefined, state: stateAt('run') } as const;
    expect(meterReading(car({}), touch, seededRandom(1))).toBeGreaterThan(12);
    expect(lampReading(car({}), touch)).toBe('lit');
    expect(lampReading(car({}), { ...touch, state: stateAt('off') })).toBe('dark');
  });

  it('does not light a lamp by a ghost voltage', () => {
    const touch = { slotId: 'F1', contact: undefined, state: stateAt('run') } as const;
    const open = car({ supply: 'unfed', loadOhm: Infinity, ghostV: 5 });
    expect(lampReading(open, touch)).toBe('dark');
    expect(meterReading(open, touch, seededRandom(2))).toBeGreaterThan(1);
  });

  it('has no slot that is not there', () => {
    expect(() =>
      lampReading(car({}), { slotId: 'F9', contact: undefined, state: stateAt('off') }),
    ).toThrow(/F9/);
  });
});

describe('generateVehicle', () => {
  it('gives the same car for the same seed', () => {
    expect(generateVehicle(7)).toEqual(generateVehicle(7));
    expect(generateVehicle(7)).not.toEqual(generateVehicle(8));
  });

  it('keeps to the panel sizes and gives every slot a circuit', () => {
    for (let seed = 1; seed <= 50; seed += 1) {
      const vehicle = generateVehicle(seed);
      expect(vehicle.slots.length).toBeGreaterThanOrEqual(16);
      expect(vehicle.slots.length).toBeLessThanOrEqual(60);
      expect(vehicle.truth.circuits.map((one) => one.slotId)).toEqual(
        vehicle.slots.map((one) => one.id),
      );
    }
  });
});
