import fc from 'fast-check';
import { nextState, stateAt } from '../vehicle';
import type { BenchCircuit, BenchVehicle, BenchWire } from './index';
import {
  UNTOUCHED,
  benchCar,
  fuseAfter,
  generateHarness,
  generateVehicle,
  lampShows,
  ledShows,
  meterReading,
  meterShows,
  ohmmeterShows,
  popShows,
  restVoltage,
  seededRandom,
  tapCurrents,
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
const NOTHING = 1e12;
const RUN = stateAt('run');

function vehicle(circuit: Partial<BenchCircuit>, wires: readonly BenchWire[] = []): BenchVehicle {
  return { battery: BATTERY, circuits: [{ ...CIRCUIT, ...circuit }], wires };
}

function wire(behind: BenchWire['behind'], id = 'W1'): BenchWire {
  return { id, behind };
}

function volts(car: ReturnType<typeof benchCar>, pointId: string, state = RUN): number {
  return meterReading(car, { pointId, state }, seededRandom(1));
}

describe('slots of a solved car', () => {
  it('tell the supply side from the load side with the fuse out', () => {
    const car = benchCar(vehicle({}), { ...UNTOUCHED, pulled: new Set(['F1']) });
    const at = (contact: 'a' | 'b'): number =>
      meterReading(car, { pointId: 'F1', contact, state: RUN }, seededRandom(1));
    expect(at('a')).toBeGreaterThan(12);
    expect(at('b')).toBeLessThan(0.2);
  });

  it('are live on both sides when fed back', () => {
    const car = benchCar(vehicle({ backFeed: 'battery' }), {
      ...UNTOUCHED,
      pulled: new Set(['F1']),
    });
    const touch = { pointId: 'F1', contact: 'b' as const, state: RUN };
    expect(meterReading(car, touch, seededRandom(1))).toBeGreaterThan(12);
  });

  it('sag by Ohm’s law while cranking and rise with the alternator', () => {
    const car = benchCar(vehicle({ supply: 'battery', loadOhm: NOTHING }));
    // 12.6 V less 200 A through 10 mΩ, computed.
    expect(Math.abs(volts(car, 'F1', stateAt('crank')) - 10.6)).toBeLessThan(0.15);
    expect(volts(car, 'F1', stateAt('engine'))).toBeGreaterThan(13);
  });

  it('follow a relay that its coil pulls in', () => {
    const car = benchCar(vehicle({ supply: 'accessoryRelay' }));
    expect(volts(car, 'F1', stateAt('acc'))).toBeGreaterThan(12);
    expect(volts(car, 'F1', stateAt('off'))).toBeLessThan(0.2);
  });

  it('show shed loads dropping after minutes, and a held relay letting go', () => {
    for (const supply of ['loadShed', 'heldMainRelay', 'delayTimer'] as const) {
      const car = benchCar(vehicle({ supply }));
      const off = stateAt('off');
      expect(volts(car, 'F1', off)).toBeGreaterThan(12);
      expect(volts(car, 'F1', nextState(off, { kind: 'wait', minutes: 15 }))).toBeLessThan(0.2);
    }
  });

  it('have no slot that is not there', () => {
    expect(() => volts(benchCar(vehicle({})), 'F9')).toThrow(/F9/);
  });
});

describe('instruments', () => {
  const open = benchCar(vehicle({}, [wire({ is: 'open', ghostV: 3.6 })]));

  // A 10 MΩ meter on 8 MΩ of stray coupling, computed: it shows 10/(10 + 8) of what couples in.
  it('show a ghost on an open wire to the meter, and nothing to the lamp', () => {
    expect(volts(open, 'W1')).toBeCloseTo(2, 1);
    expect(lampShows(open, { pointId: 'W1', state: RUN }).burns).toBe('dark');
  });

  it('light a filament lamp on a feed and an LED on a mere pull-up', () => {
    const pulled = { is: 'switchToGround', by: 'door', pullUpOhm: 2000 } as const;
    const car = benchCar(vehicle({}, [wire(pulled)]));
    const shut = nextState(RUN, { kind: 'door', to: 'closed' });
    expect(lampShows(car, { pointId: 'F1', state: RUN }).burns).toBe('lit');
    expect(lampShows(car, { pointId: 'W1', state: shut }).burns).toBe('dark');
    expect(ledShows(car, { pointId: 'W1', state: shut })).not.toBe('dark');
  });

  it('wake a sleeping module when the lamp pulls its input down', () => {
    const pulled = { is: 'switchToGround', by: 'door', pullUpOhm: 2000 } as const;
    const car = benchCar(vehicle({}, [wire(pulled)]));
    const asleep = { ...stateAt('asleep'), driverDoor: 'closed' as const };
    expect(lampShows(car, { pointId: 'W1', state: asleep }).woke).toBe(true);
    expect(lampShows(car, { pointId: 'F1', state: asleep }).woke).toBe(false);
  });

  it('read too little through a bad clip', () => {
    const car = benchCar(vehicle({}));
    const touch = { pointId: 'F1', state: RUN };
    const bad = { ...touch, clip: { to: 'ground', ohm: 5e6 } as const };
    expect(meterReading(car, bad, seededRandom(1))).toBeLessThan(9);
    expect(lampShows(car, bad).burns).toBe('dark');
  });

  it('light a lamp clipped to the constant on ground, and on nothing else', () => {
    const wires = [
      wire({ is: 'feed', supply: 'battery', loadOhm: 1e6 }, 'const'),
      wire({ is: 'ground', ohm: 0.1 }, 'ground'),
      wire({ is: 'open', ghostV: 0 }, 'open'),
    ];
    const car = benchCar(vehicle({}, wires));
    const burns = (pointId: string) =>
      lampShows(car, {
        pointId,
        state: stateAt('off'),
        clip: { to: { pointId: 'const' }, ohm: 0.05 },
      }).burns;
    expect([burns('ground'), burns('open')]).toEqual(['lit', 'dark']);
  });

  it('show digits that jump where the dimmer pulses', () => {
    const car = benchCar(vehicle({}, [wire({ is: 'illumination', bulbW: 10, pulsed: true })]));
    expect(meterShows(car, { pointId: 'W1', state: stateAt('dimmed') }, seededRandom(1)).kind).toBe(
      'pulsing',
    );
    // The illumination wire rests at ground through its cold bulbs: a few ohms. Common practice.
    const ohms = ohmmeterShows(car, { pointId: 'W1', state: stateAt('off') });
    expect(ohms.kind === 'ohms' && ohms.ohm).toBeLessThan(5);
  });

  it.each([
    ['a data line', { is: 'data', biasV: 2.5 }, 2.5],
    ['an amplifier output', { is: 'amplifierOutput', speaker: 'x', positive: true }, 6.2],
    ['a sensor feed', { is: 'sensor' }, 5],
  ] as const)('find %s at its own voltage', (_name, behind, expected) => {
    expect(volts(benchCar(vehicle({}, [wire(behind)])), 'W1')).toBeCloseTo(expected, 1);
  });

  it('turn a pair of lock leads round: both rest on ground, one rises', () => {
    const wires = [
      wire({ is: 'lockMotor', by: 'lock' }, 'L'),
      wire({ is: 'lockMotor', by: 'unlock' }, 'U'),
    ];
    const car = benchCar(vehicle({}, wires));
    expect(volts(car, 'L', stateAt('off'))).toBeLessThan(0.2);
    expect(volts(car, 'L', stateAt('lock'))).toBeGreaterThan(11);
    expect(volts(car, 'U', stateAt('lock'))).toBeLessThan(0.2);
  });

  it('step a resistive lock switch down', () => {
    const car = benchCar(vehicle({}, [wire({ is: 'lockResistive' })]));
    // 5 V through 1 kΩ on 330 Ω, computed: 1.24 V.
    expect(volts(car, 'W1', stateAt('lock'))).toBeCloseTo(1.24, 1);
    expect(volts(car, 'W1', stateAt('off'))).toBeGreaterThan(4);
  });

  it('refuse to measure ohms on a live point', () => {
    expect(ohmmeterShows(benchCar(vehicle({})), { pointId: 'F1', state: RUN }).kind).toBe('live');
  });
});

describe('the 9 V pop', () => {
  const speaker = (positive: boolean) =>
    ({ is: 'speaker', speaker: 'L', positive, ohm: 4 }) as const;
  const car = benchCar(
    vehicle({}, [
      wire(speaker(true), 'plus'),
      wire(speaker(false), 'minus'),
      wire({ is: 'data', biasV: 2.5 }, 'data'),
      wire({ is: 'amplifierOutput', speaker: 'L', positive: true }, 'driven'),
    ]),
  );
  const pop = (plusId: string, minusId: string) =>
    popShows(car, { plusId, minusId, state: stateAt('off') });

  // Plus on plus moves the cone out: common practice.
  it('moves the cone out with plus on plus, in the other way round', () => {
    expect(pop('plus', 'minus')).toMatchObject({ speaker: 'L', cone: 'out', harm: undefined });
    expect(pop('minus', 'plus').cone).toBe('in');
  });

  it('is silent and harmful on a data line', () => {
    expect(pop('plus', 'data')).toMatchObject({ cone: 'none', harm: 'data is a data wire' });
  });

  it('is harmful on an amplifier’s output, switched off too', () => {
    expect(pop('plus', 'driven')).toMatchObject({
      cone: 'none',
      harm: expect.stringContaining('amplifier'),
    });
  });

  it('reads the speaker’s own ohms between its leads', () => {
    const ohms = ohmmeterShows(car, { pointId: 'plus', otherId: 'minus', state: stateAt('off') });
    expect(ohms.kind === 'ohms' && ohms.ohm).toBeCloseTo(4.2, 1);
  });
});

describe('a fitted tap', () => {
  const tap = (lineBladeAt: 'a' | 'b', originalFuseA: number | undefined = 10) =>
    benchCar(vehicle({ loadOhm: 6 }), {
      ...UNTOUCHED,
      taps: [{ slotId: 'F1', lineBladeAt, originalFuseA, addedFuseA: 5, addedLoadOhm: 6 }],
    });

  // Two loads of 6 Ω at 12.6 V draw about 2.1 A each, computed.
  it('shares the load between its fuses the right way round', () => {
    const { originalA, addedA } = tapCurrents(tap('a'), 'F1', RUN);
    expect(originalA).toBeCloseTo(2.1, 1);
    expect(addedA).toBeCloseTo(2.1, 1);
  });

  it('puts both currents through the original fuse when reversed', () => {
    const { originalA, addedA } = tapCurrents(tap('b'), 'F1', RUN);
    // Kirchhoff's current law.
    const right = tapCurrents(tap('a'), 'F1', RUN);
    expect(originalA / (right.originalA + right.addedA)).toBeCloseTo(1, 2);
    expect(originalA).toBeGreaterThan(1.9 * addedA);
  });

  it('leaves the added circuit dead when reversed and the original fuse is out', () => {
    const reversed = benchCar(vehicle({ loadOhm: 6 }), {
      ...UNTOUCHED,
      taps: [
        {
          slotId: 'F1',
          lineBladeAt: 'b',
          originalFuseA: undefined,
          addedFuseA: 5,
          addedLoadOhm: 6,
        },
      ],
    });
    expect(tapCurrents(reversed, 'F1', RUN).addedA).toBeLessThan(0.01);
  });

  // ISO 8820-3, from memory: 110 % holds 100 h, 135 % opens between 0.75 and 600 s, 600 % within 0.1 s.
  it.each([
    [10, 11, 3600, 'holds'],
    [10, 13.5, 0.5, 'holds'],
    [10, 13.5, 60, 'may open'],
    [10, 13.5, 700, 'opens'],
    [10, 60, 0.2, 'opens'],
  ] as const)('a %d A fuse with %d A for %d s %s', (rating, current, seconds, fate) => {
    expect(fuseAfter(rating, current, seconds)).toBe(fate);
  });
});

// BCI table, from memory: 100 % 12.65 V, 50 % 12.24 V, 0 % 11.89 V, within 0.05 V.
it.each([
  [1, 12.65],
  [0.5, 12.24],
  [0, 11.89],
])('rests at the table’s voltage when charged to %d', (charge, expected) => {
  expect(Math.abs(restVoltage(charge) - expected)).toBeLessThan(0.05);
});

describe('generated cars', () => {
  it('are the same for the same seed', () => {
    expect(generateVehicle(7)).toEqual(generateVehicle(7));
    expect(generateHarness(7)).toEqual(generateHarness(7));
    expect(generateVehicle(7)).not.toEqual(generateVehicle(8));
  });

  it('keep to their sizes and give every slot and wire something behind it', () => {
    for (let seed = 1; seed <= 60; seed += 1) {
      const car = generateVehicle(seed);
      expect(car.slots.length).toBeGreaterThanOrEqual(16);
      expect(car.slots.length).toBeLessThanOrEqual(60);
      expect(car.truth.circuits.map((one) => one.slotId)).toEqual(car.slots.map((one) => one.id));
      const { wires, truth } = generateHarness(seed);
      expect(wires.length).toBeGreaterThanOrEqual(12);
      expect(wires.length).toBeLessThanOrEqual(24);
      expect(truth.wires?.map((one) => one.id)).toEqual(wires.map((one) => one.id));
    }
  });

  it('never show a voltage outside what battery and alternator can give', () => {
    const seeds = fc.integer({ min: 1, max: 5000 });
    fc.assert(
      fc.property(seeds, fc.constantFrom('off', 'run', 'crank', 'engine', 'asleep'), (seed, at) => {
        const { truth, slots } = generateVehicle(seed);
        const network = benchCar(truth).at(stateAt(at)).on;
        const first = slots[0]?.id ?? '';
        const seen = network.voltage(`${first}#a`);
        expect(seen).toBeGreaterThan(-0.01);
        expect(seen).toBeLessThan(15);
      }),
      { numRuns: 25 },
    );
  });
});
