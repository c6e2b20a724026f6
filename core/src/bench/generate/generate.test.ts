import {
  FADED_HARNESS,
  POOR_LEGENDS,
  USUAL_HARNESS,
  USUAL_LEGENDS,
  generateHarness,
  generateVehicle,
} from '../index';
import type { GeneratedHarness, GeneratedVehicle, LegendQuality } from '../index';
import { CIRCUIT_KINDS } from './circuitKinds';

const SEEDS = Array.from({ length: 150 }, (_, index) => 60_001 + index);

function carsOf(quality: LegendQuality): GeneratedVehicle[] {
  return SEEDS.map((seed) => generateVehicle(seed, quality));
}

/** Share of all slots for which something holds. */
function share(cars: readonly GeneratedVehicle[], holds: (legend: string | undefined) => boolean) {
  const slots = cars.flatMap((car) => car.slots);
  return slots.filter((slot) => holds(slot.legend)).length / slots.length;
}

const VAGUE = new Set(CIRCUIT_KINDS.flatMap((kind) => kind.vague));

describe('generated panels', () => {
  it.each([
    ['usual', USUAL_LEGENDS],
    ['poor', POOR_LEGENDS],
  ] as const)('have as many missing and vague legends as %s panels have', (_name, quality) => {
    const cars = carsOf(quality);
    expect(share(cars, (legend) => legend === undefined)).toBeCloseTo(quality.missing, 1);
    expect(share(cars, (legend) => VAGUE.has(legend ?? ''))).toBeCloseTo(quality.ambiguous, 1);
  });

  it('hold about a quarter of dangerous circuits, an airbag in every car', () => {
    const cars = carsOf(USUAL_LEGENDS);
    const slots = cars.flatMap((car) => car.slots);
    const dangerous = slots.filter((slot) => slot.critical).length / slots.length;
    expect(dangerous).toBeGreaterThan(0.15);
    expect(dangerous).toBeLessThan(0.35);
    for (const car of cars) expect(car.slots.some((slot) => slot.critical)).toBe(true);
  });

  it('never print a restraint legend on another circuit', () => {
    const restraint = ['A/BAG', 'SRS', 'AIRBAG'];
    for (const slot of carsOf(POOR_LEGENDS).flatMap((car) => car.slots))
      if (restraint.includes(slot.legend ?? '')) expect(slot.critical).toBe(true);
  });

  it('print on some dangerous circuits what belongs to harmless ones', () => {
    const lies = carsOf(POOR_LEGENDS)
      .flatMap((car) => car.slots)
      .filter((slot) => slot.critical && slot.legend !== undefined && !slot.namedCritical);
    expect(lies.length).toBeGreaterThan(0);
  });

  it('have supplies entering on either side, floating slots and circuits fed back', () => {
    const circuits = carsOf(USUAL_LEGENDS).flatMap((car) => car.truth.circuits);
    const part = (holds: (one: (typeof circuits)[number]) => boolean): number =>
      circuits.filter(holds).length / circuits.length;
    expect(part((one) => one.supplyContact === 'a')).toBeCloseTo(0.5, 1);
    expect(part((one) => one.loadOhm > 1e9)).toBeGreaterThan(0.04);
    expect(part((one) => one.backFeed !== undefined)).toBeGreaterThan(0.002);
    expect(part((one) => one.groundOhm !== undefined)).toBeGreaterThan(0.01);
  });
});

describe('generated bunches', () => {
  const usual = SEEDS.map((seed) => generateHarness(seed, USUAL_HARNESS));
  const count = (harness: GeneratedHarness, role: string): number =>
    Object.values(harness.roles).filter((truth) => truth.role === role).length;

  it('have one constant, one feed with the key, and speakers in pairs', () => {
    for (const harness of usual) {
      expect(count(harness, 'constant')).toBe(1);
      const switched = ['accessory', 'retainedAccessory', 'ignitionRun'];
      expect(switched.reduce((sum, role) => sum + count(harness, role), 0)).toBe(1);
      expect(count(harness, 'ground')).toBeGreaterThanOrEqual(1);
      expect([4, 8]).toContain(count(harness, 'speaker'));
    }
  });

  it('have one plus and one minus per speaker, taped to each other or to nothing', () => {
    for (const harness of usual) {
      const leads = Object.entries(harness.roles).filter(([, truth]) => truth.role === 'speaker');
      const names = new Set(leads.map(([, truth]) => truth.speaker));
      for (const name of names) {
        const pair = leads.filter(([, truth]) => truth.speaker === name);
        expect(pair.map(([, truth]) => truth.positive).sort()).toEqual([false, true]);
        for (const [id] of pair) {
          const { tapedWith } = harness.wires.find((wire) => wire.id === id) ?? {};
          if (tapedWith !== undefined) expect(pair.map(([other]) => other)).toContain(tapedWith);
        }
      }
    }
  });

  it('keep fewer of their colours, and less tape, when they are old', () => {
    const faded = SEEDS.map((seed) => generateHarness(seed, FADED_HARNESS));
    const taped = (of: readonly GeneratedHarness[]): number =>
      of.flatMap((one) => one.wires).filter((wire) => wire.tapedWith !== undefined).length;
    expect(taped(faded)).toBeLessThan(taped(usual));
  });

  it('hang on an amplifier now and then, all speakers of a bunch alike', () => {
    const amplified = usual.filter((one) =>
      Object.values(one.roles).some((truth) => truth.amplified),
    );
    expect(amplified.length).toBeGreaterThan(0);
    for (const { roles } of amplified)
      for (const truth of Object.values(roles))
        expect(truth.amplified).toBe(truth.role === 'speaker');
  });
});
