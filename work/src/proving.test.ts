import type { JobView } from '@lucky-thread/contract';
import { DEFAULT_SETTINGS } from '@lucky-thread/contract';
import type { Reading } from '@lucky-thread/core/identify';
import type { StitchPlace } from '@lucky-thread/core/vehicle';
import { leadPointId, stateAt } from '@lucky-thread/core/vehicle';
import type { JobContext } from './index';
import { drainOf, faultRecordOf, feedProofsOf, missingProofs } from './index';

const MODEL = {
  notes: [],
  places: [
    {
      ...{ id: 'dash', kind: 'fusePanel', name: 'Dash', location: '', notes: '' },
      reach: { steps: [], fasteners: [], tools: [] },
      sources: ['F1', 'F2'].map((name) => ({
        ...{ kind: 'slot', id: `dash/${name}`, position: name, legend: 'ROOM', ratingA: 15 },
        family: 'mini',
      })),
    },
  ],
} as unknown as Parameters<typeof feedProofsOf>[0]['context']['model'];

const JOB = {
  device: {
    name: 'Kit',
    feeds: [
      { id: 'memory', name: 'Memory', role: 'constant', currentA: 0.5 },
      { id: 'supply', name: 'Supply', role: 'switched', currentA: 4 },
      { id: 'lock', name: 'Lock', role: 'lock', currentA: 0.25 },
    ],
  },
  plan: [
    { feedId: 'memory', sourceId: 'dash/F1', oneWayM: 2 },
    { feedId: 'supply', sourceId: 'dash/F2', oneWayM: 2 },
    { feedId: 'lock', sourceId: 'kick/1' },
  ],
  proofs: [{ feedId: 'lock', kind: 'live' }],
  closing: [],
  vehicle: { steering: 'left' },
  route: null,
  harness: [{ id: 'kick/1', name: '1' }],
} as unknown as JobView;

function proofsWith(readings: readonly Reading[]) {
  const context = { job: JOB, model: MODEL, settings: DEFAULT_SETTINGS };
  return feedProofsOf({ context, readings, verdicts: [] });
}

let made = 0;
function reading(sourceId: string, place: StitchPlace, volts: number, more = {}): Reading {
  made += 1;
  return {
    ...{ id: `r${made}`, sourceId, contact: undefined, state: stateAt(place) },
    value: { kind: 'volts', volts },
    ...more,
  };
}

it('reads supplies and watches the device for signals', () => {
  const [memory, supply, lock] = proofsWith([]);
  expect(memory && missingProofs(memory)).toEqual(['live', 'dead', 'original', 'orientation']);
  expect(supply?.proofs.every(({ checks }) => checks.length > 0)).toBe(true);
  expect(lock?.proofs.map(({ shown }) => shown)).toEqual([true, false, false]);
  expect(lock?.proofs.flatMap(({ checks }) => checks)).toEqual([]);
});

it('measures the device’s ground once, with its heaviest supply on', () => {
  const grounds = proofsWith([]).map(({ proofs }) =>
    proofs.flatMap(({ checks }) => checks).some(({ check }) => check.spot === 'ground'),
  );
  expect(grounds).toEqual([false, true, false]);
});

it('holds the far end against what the source gave in that very state, with its fuse in, counted from ground', () => {
  const limit = (...readings: Reading[]): number | undefined =>
    proofsWith(readings)[1]
      ?.proofs.flatMap(({ checks }) => checks)
      .find(({ check }) => check.id === 'end run')?.check.leastV;
  const unmeasured = limit();
  expect(limit(reading('dash/F2', 'run', 12.6))).toBeCloseTo(12.6 - 0.36 - 0.25 - 0.2, 6);
  for (const other of [
    reading('dash/F2', 'acc', 12.6),
    reading('dash/F1', 'run', 12.6),
    reading('dash/F2', 'run', 12.6, { contact: 'a' }),
    reading('dash/F2', 'run', 12.6, { clip: 'constant' }),
    reading('dash/F2', 'run', 3),
  ])
    expect(limit(other)).toBe(unmeasured);
});

it('stands once every reading of it has passed, and only then', () => {
  const end = (place: StitchPlace, volts: number): Reading =>
    reading(leadPointId('end', 'memory', 'dash/F1'), place, volts);
  const shown = (...readings: Reading[]): boolean | undefined =>
    proofsWith(readings)[0]?.proofs.find(({ proof }) => proof.kind === 'live')?.shown;
  expect(shown(end('off', 12.4), end('run', 12.3))).toBe(false);
  expect(shown(end('off', 12.4), end('run', 12.3), end('asleep', 12.4))).toBe(true);
  expect(shown(end('off', 12.4), end('run', 12.3), end('asleep', 1))).toBe(false);
  const elsewhere = leadPointId('end', 'memory', 'dash/F2');
  expect(shown(end('off', 12.4), end('run', 12.3), reading(elsewhere, 'asleep', 12.4))).toBe(false);
});

describe('what a job has on record of a lead that does not work', () => {
  const recordOf = (feedId: string, readings: readonly Reading[], more: Partial<JobView> = {}) => {
    const context = {
      ...{ job: { ...JOB, ...more }, model: MODEL, settings: DEFAULT_SETTINGS, taps: [] },
    } as unknown as JobContext;
    return faultRecordOf({ context, readings, verdicts: [] }, feedId);
  };

  it('is what was proved of it, and not what failed or was read elsewhere', () => {
    const end = leadPointId('end', 'supply', 'dash/F2');
    const record = recordOf('supply', [
      reading(end, 'run', 12.4),
      reading(end, 'off', 9),
      reading(leadPointId('end', 'memory', 'dash/F1'), 'asleep', 12.4),
    ]);
    expect(record?.record).toEqual({
      spliced: false,
      passed: [{ spot: 'end', place: 'run' }],
      drainGood: undefined,
    });
    expect(record?.constant).toBe(false);
    expect(recordOf('memory', [])?.constant).toBe(true);
    expect(recordOf('nothing', [])).toBeUndefined();
  });

  it('says of the checks where they are done on this car, with what was planned', () => {
    const here = recordOf('supply', [])?.here;
    expect(here?.source).toMatch(/^F2 ROOM, Dash/);
    expect(here?.seeFuse).toMatch(/^\d+(\.\d)? A, F2 ROOM, Dash/);
    expect(here?.gauge).toMatch(/^planned: \d+ AWG, 2\.00 m$/);
    expect(here?.inrush).toMatch(/4 A flow$/);
    expect(here).not.toHaveProperty('standbyLabel');
  });

  it('counts the parked current once both sides of it are noted', () => {
    const found = (item: string, value: number) => ({ item, value, by: 'Sam', at: '' });
    const before = found('drain-before', 0.03);
    expect(drainOf({ ...JOB, closing: [before] })).toBeUndefined();
    const closing = [before, found('drain-after', 0.032)];
    expect(recordOf('memory', [], { closing })?.record.drainGood).toBe(true);
    const drawn = [before, found('drain-after', 0.4)];
    expect(recordOf('memory', [], { closing: drawn })?.record.drainGood).toBe(false);
  });
});
