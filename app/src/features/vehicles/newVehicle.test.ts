import { EMPTY_VEHICLE, placeId, readPanel, vehicleRequests } from './newVehicle';

const DRAFT = {
  ...EMPTY_VEHICLE,
  make: ' Tern ',
  model: 'Skua',
  yearFrom: '2019',
  panel: {
    ...EMPTY_VEHICLE.panel,
    location: 'Driver’s footwell',
    text: '10 ACC, 15 CIG\n20? IG1, -',
  },
};

describe('a vehicle as it is typed', () => {
  it('is sent as a model and a panel with its slots where they lie', () => {
    const requests = vehicleRequests(DRAFT);
    if (!requests.ok) throw new Error(JSON.stringify(requests.problems));
    expect(requests.model).toMatchObject({ make: 'Tern', yearFrom: 2019, yearTo: 2019 });
    expect(requests.panelId).toBe('dash-panel');
    expect(requests.panel.notes).toBe('Ratings that were hard to read: F3.');
    expect(requests.panel.slots).toEqual([
      { position: 'F1', column: 0, row: 0, legend: 'ACC', ratingA: 10 },
      { position: 'F2', column: 1, row: 0, legend: 'CIG', ratingA: 15 },
      { position: 'F3', column: 0, row: 1, legend: 'IG1', ratingA: 20 },
      { position: 'F4', column: 1, row: 1 },
    ]);
  });

  it('says at which field something is missing, and where on the lid', () => {
    const bare = vehicleRequests(EMPTY_VEHICLE);
    expect(bare.ok ? [] : bare.problems.map((one) => one.path)).toEqual([
      'make',
      'model',
      'yearFrom',
      'yearTo',
      'location',
      'slots',
    ]);
    const slip = vehicleRequests({ ...DRAFT, panel: { ...DRAFT.panel, text: '10 ACC, 11 CIG' } });
    expect(slip.ok ? [] : slip.problems.map((one) => one.message)).toEqual([
      expect.stringMatching(/^row 1, cell 2: 11 A is no rating/),
    ]);
    const odd = vehicleRequests({ ...DRAFT, yearFrom: '20x9' });
    expect(odd.ok ? [] : odd.problems[0]?.message).toMatch(/four figures/);
    const turned = vehicleRequests({ ...DRAFT, yearTo: '2010' });
    expect(turned.ok ? [] : turned.problems.map((one) => one.path)).toEqual(['yearTo']);
  });

  it('numbers from 1 while no number is typed', () => {
    const read = readPanel({ ...DRAFT.panel, first: 'x' });
    expect(read.slots.map((slot) => slot.position)).toEqual(['F1', 'F2', 'F3', 'F4']);
  });
});

// A place's id is a short word in small letters: server/src/vehicles/modelService.ts.
it.each([
  ['Dash panel', 'dash-panel'],
  ['Boîte à fusibles', 'boite-a-fusibles'],
  ['  ', 'panel'],
  ['Harness', 'panel'],
  ['Motorraum, hinten links oben', 'motorraum-hinten-lin'],
])('makes of “%s” the id %s', (name, id) => {
  expect(placeId(name)).toBe(id);
  expect(placeId(name)).toMatch(/^[a-z0-9-]{1,20}$/);
});
