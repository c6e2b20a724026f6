import type { JobView, ModelView } from '@lucky-thread/contract';
import { isWholeJob, openFeeds, slotFeeds, takenByOthers } from './index';

const MODEL = {
  places: [
    {
      id: 'kick',
      kind: 'loom',
      name: 'Kick panel',
      reach: { steps: [], fasteners: [], tools: [] },
      sources: [
        { kind: 'wire', id: 'kick/1', name: '1' },
        { kind: 'wire', id: 'kick/2', name: '2' },
      ],
    },
  ],
} as unknown as ModelView;

function jobWith(planned: readonly (readonly [feedId: string, sourceId: string])[]) {
  const job = {
    device: {
      name: 'Starter',
      feeds: [
        { id: 'lock', name: 'Lock', role: 'lock', currentA: 0.25 },
        { id: 'hood', name: 'Hood', role: 'hood', currentA: 0.05, optional: true },
        { id: 'g', name: 'Ground', role: 'ground', currentA: 1 },
      ],
    },
    plan: planned.map(([feedId, sourceId]) => ({ feedId, sourceId })),
    harness: [],
  } as unknown as JobView;
  return { job, model: MODEL };
}

it('waits for what the device needs, and not for what may be left off', () => {
  expect(openFeeds(jobWith([])).map(({ id }) => id)).toEqual(['lock']);
  expect(openFeeds(jobWith([['lock', 'kick/1']]))).toEqual([]);
  expect(isWholeJob(jobWith([['lock', 'kick/1']]))).toBe(true);
});

it('is not whole with nothing but what may be left off', () => {
  expect(isWholeJob(jobWith([['hood', 'kick/2']]))).toBe(false);
  expect(isWholeJob(jobWith([]))).toBe(false);
});

it('lets unlock lie on the wire of lock, and nothing else', () => {
  const feeds = ['lock', 'unlock', 'horn'].map((role) => ({
    ...{ id: role, name: role, role, currentA: 0.25 },
  }));
  const job = {
    device: { name: 'Locks', feeds },
    plan: [{ feedId: 'lock', sourceId: 'kick/1' }],
    harness: [],
  } as unknown as JobView;
  const model = { places: [] };
  const taken = slotFeeds({ job }).map((feed) => takenByOthers({ job, model }, feed));
  expect(taken).toEqual([[], [], ['kick/1']]);
});
