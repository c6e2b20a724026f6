import { EMPTY_VEHICLE, isPanelLeft, vehicleRequests } from './newVehicle';
import type { VehicleDraft } from './newVehicle';

const withLid = (text: string): VehicleDraft => ({
  ...EMPTY_VEHICLE,
  make: ' Tern ',
  model: 'Skua',
  yearFrom: '2019',
  panel: {
    ...EMPTY_VEHICLE.panel,
    location: 'Driver’s footwell',
    panel: { ...EMPTY_VEHICLE.panel.panel, text },
  },
});
const DRAFT = withLid('10 ACC, 15 CIG\n20? IG1, -');

describe('a vehicle as it is typed', () => {
  it('is sent as a model and a panel with its slots where they lie', () => {
    const requests = vehicleRequests(DRAFT);
    if (!requests.ok) throw new Error(JSON.stringify(requests.problems));
    expect(requests.model).toMatchObject({ make: 'Tern', yearFrom: 2019, yearTo: 2019 });
    expect(requests.panel?.id).toBe('dash-panel');
    expect(requests.panel?.input).toMatchObject({
      kind: 'fusePanel',
      base: 0,
      notes: 'Ratings that were hard to read: F3.',
      slots: [
        { position: 'F1', column: 0, row: 0, legend: 'ACC', ratingA: 10 },
        { position: 'F2', column: 1, row: 0, legend: 'CIG', ratingA: 15 },
        { position: 'F3', column: 0, row: 1, legend: 'IG1', ratingA: 20 },
        { position: 'F4', column: 1, row: 1 },
      ],
    });
  });

  it('needs no panel: its slots may come one by one', () => {
    const bare = { ...DRAFT, panel: EMPTY_VEHICLE.panel };
    expect(isPanelLeft(bare)).toBe(true);
    expect(vehicleRequests(bare)).toMatchObject({ ok: true, panel: undefined });
    // Half a panel is none that can be left.
    const half = vehicleRequests(withLid(''));
    expect(half.ok ? [] : half.problems.map((one) => one.path)).toEqual(['slots']);
  });

  it('says at which field something is missing, and where on the lid', () => {
    const bare = vehicleRequests(EMPTY_VEHICLE);
    expect(bare.ok ? [] : bare.problems.map((one) => one.path)).toEqual([
      'make',
      'model',
      'yearFrom',
      'yearTo',
    ]);
    const slip = vehicleRequests(withLid('10 ACC, 11 CIG'));
    expect(slip.ok ? [] : slip.problems.map((one) => one.message)).toEqual([
      expect.stringMatching(/^row 1, cell 2: 11 A is no rating/),
    ]);
    const odd = vehicleRequests({ ...DRAFT, yearFrom: '20x9' });
    expect(odd.ok ? [] : odd.problems[0]?.message).toMatch(/four figures/);
    const turned = vehicleRequests({ ...DRAFT, yearTo: '2010' });
    expect(turned.ok ? [] : turned.problems.map((one) => one.path)).toEqual(['yearTo']);
  });
});
