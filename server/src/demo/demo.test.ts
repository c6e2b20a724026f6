import { BENCH_SUPPLIES } from '@lucky-thread/core/bench';
import { CatalogueDevice, DeviceInput, fittedDevice, validate } from '@lucky-thread/contract';
import { DEVICE_CATALOGUE } from './deviceCatalogue';
import { slotsOf } from '@lucky-thread/work';
import { DEMO_VEHICLES } from './seed';

it.each(DEMO_VEHICLES.map((one) => [one.model, one] as const))(
  '%s has a circuit behind every slot',
  (_name, vehicle) => {
    const slots = slotsOf(vehicle).map((slot) => slot.id);
    expect(new Set(slots).size).toBe(slots.length);
    expect(vehicle.bench.circuits.map((circuit) => circuit.slotId).sort()).toEqual(
      [...slots].sort(),
    );
    for (const circuit of vehicle.bench.circuits) {
      expect(BENCH_SUPPLIES).toContain(circuit.supply);
      // Stored as JSON, which knows no infinity.
      expect(JSON.parse(JSON.stringify(circuit.loadOhm))).toBe(circuit.loadOhm);
    }
  },
);

it('differs in what matters: steering, fuse families, key, timed constants, accessory while cranking', () => {
  const families = new Set(DEMO_VEHICLES.map((one) => slotsOf(one)[0]?.family));
  expect(families.size).toBeGreaterThanOrEqual(4);
  expect(new Set(DEMO_VEHICLES.map((one) => one.keyType)).size).toBe(2);
  expect(new Set(DEMO_VEHICLES.flatMap((one) => one.steering))).toEqual(new Set(['left', 'right']));
  const supplies = new Set(
    DEMO_VEHICLES.flatMap((one) => one.bench.circuits.map((circuit) => circuit.supply)),
  );
  for (const supply of [
    'batterySaver',
    'accessoryContact',
    'accessoryContactHeld',
    'retainedPower',
  ] as const)
    expect(supplies).toContain(supply);
});

it.each(DEVICE_CATALOGUE.map((entry) => [entry.device.name, entry.device] as const))(
  '%s is a valid device, whatever of its options is chosen',
  (_name, device) => {
    expect(validate(CatalogueDevice, device).ok).toBe(true);
    const { options = [] } = device;
    for (const chosen of [[], ...options.map(({ id }) => [id]), options.map(({ id }) => id)])
      expect(validate(DeviceInput, fittedDevice(device, chosen)).ok).toBe(true);
  },
);
