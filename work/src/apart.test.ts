import type { JobView, ModelView } from '@lucky-thread/contract';
import { PARKED } from '@lucky-thread/core/vehicle';
import { findSessionOf } from './index';

const reach = { steps: [], fasteners: [], tools: [] };
const wire = (id: string, colour: string) => ({
  ...{ kind: 'wire', id, name: id.split('/')[1], colour },
});
const PLACES = [
  { ...{ id: 'kick', kind: 'loom', name: 'Kick panel', reach }, sources: [wire('kick/1', 'GN')] },
  {
    ...{ id: 'column', kind: 'loom', name: 'Column', reach },
    sources: [wire('column/1', 'GN'), wire('column/2', 'GN')],
  },
];
const OF = {
  model: { places: PLACES } as unknown as ModelView,
  taps: [],
  job: {
    id: 'job',
    vehicle: { modelId: 'm', year: 2020, trim: '', market: '', steering: 'left' },
    device: { name: 'x', feeds: [{ id: 'l', name: 'Lock', role: 'lock', currentA: 0.2 }] },
    harness: PLACES.flatMap(({ sources }) => sources),
    plan: [],
    seen: [],
  } as unknown as JobView,
};

it('says at which place a wire is, where two go by the same name', () => {
  const names = findSessionOf(OF, [], { state: PARKED }).sources.map(({ name }) => name);
  const [kick = '', column = '', alone = ''] = names;
  expect(kick).toMatch(/^1.* at Kick panel$/);
  expect(column).toMatch(/^1.* at Column$/);
  expect(alone).not.toMatch(/ at /);
  expect(new Set(names).size).toBe(3);
});

it('knows at which source the probe sits still: the one that was read last', () => {
  const reading = (sourceId: string) => ({
    ...{ id: sourceId, sourceId, contact: undefined, state: PARKED },
    value: { kind: 'volts', volts: 0 } as const,
  });
  const on = (ids: readonly string[]) => findSessionOf(OF, ids.map(reading), { state: PARKED }).on;
  expect([on([]), on(['kick/1', 'column/2'])]).toEqual([undefined, 'column/2']);
});
