import fc from 'fast-check';
import {
  CreateJobRequest,
  DEFAULT_SETTINGS,
  DeferRequest,
  LogTapRequest,
  MAX_VERSION,
  MOST_PROBLEMS,
  PutPlanRequest,
  PutWiresRequest,
  ReachPhaseRequest,
  ReadingRequest,
  ShowProofRequest,
  SignInRequest,
  TapCsvRow,
  UpdateShopRequest,
  isInstant,
  validate,
} from '../index';
import { SHAPE_LIMITS, shapeProblem } from './plainShape';

const CLASSES = [
  CreateJobRequest,
  LogTapRequest,
  ReadingRequest,
  SignInRequest,
  TapCsvRow,
  DeferRequest,
  PutPlanRequest,
  PutWiresRequest,
  ReachPhaseRequest,
  ShowProofRequest,
  UpdateShopRequest,
] as const;

const HEAD = {
  command: '01890a5d-ac96-774b-bcce-b302099a8058',
  at: '2026-05-04T10:00:00.000Z',
  base: null,
};

const FEED = { id: 'a', name: 'Supply', role: 'switched', currentA: 0.6 };
const VEHICLE = {
  modelId: '01890a5d-ac96-774b-bcce-b302099a8057',
  year: 2020,
  trim: '',
  market: '',
  steering: 'left',
};
const STATE = {
  key: 'run',
  lamps: false,
  driverDoor: 'open',
  doorOpenedSinceKeyOff: false,
  asleep: false,
};
const READING = {
  sourceId: 'dash/F1',
  state: STATE,
  instrument: 'meter',
  volts: 12.4,
  takenAt: '2026-05-04T10:00:00.000Z',
};

function paths(type: new () => object, plain: unknown): string[] {
  const result = validate(type, plain);
  return result.ok ? [] : result.problems.map((one) => one.path);
}

describe('whatever is sent', () => {
  it('validate answers, and never throws', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CLASSES),
        fc.jsonValue({ maxDepth: 20, noUnicodeString: false }),
        (type, plain) => typeof validate(type as new () => object, plain).ok === 'boolean',
      ),
      { numRuns: 1000 },
    );
  });

  it.each(['constructor', '__proto__', 'prototype'])('a field named %s is refused', (key) => {
    const state = JSON.parse(`{"${key}":{"constructor":1}}`) as object;
    expect(paths(ReadingRequest, { ...READING, state })).toEqual(['state']);
    expect(paths(SignInRequest, JSON.parse(`{"${key}":1}`))).toEqual(['']);
  });

  it('nesting beyond any stack is refused at once', () => {
    const deep = JSON.parse(`${'['.repeat(50_000)}${']'.repeat(50_000)}`) as unknown;
    const problem = shapeProblem({ a: deep });
    expect(problem?.message).toContain(`deeper than ${SHAPE_LIMITS.depth}`);
    expect(problem?.path.length).toBeLessThanOrEqual(120);
  });

  it.each([
    ['a NUL', 'a\u0000b'],
    ['half a surrogate pair', '\ud83d'],
    ['240 kB', 'x'.repeat(240_000)],
  ])('a text with %s is refused, whichever field it stands in', (_what, text) => {
    expect(paths(ReadingRequest, { ...READING, sourceId: text })).toEqual(['sourceId']);
    expect(paths(ReadingRequest, { ...READING, glow: text })).toEqual(['glow']);
  });

  it('a text with a whole emoji is a text', () => {
    expect(paths(SignInRequest, { login: '🔌', password: 'x' })).toEqual([]);
  });

  it('26 000 unknown fields give one problem, and many wrong ones at most 50', () => {
    const keys = Object.fromEntries(Array.from({ length: 26_000 }, (_, i) => [`k${i}`, 1]));
    expect(paths(SignInRequest, keys)).toEqual(['']);
    const feeds = Array.from({ length: 12 }, (_, i) => ({ id: i, a: 1, b: 2, c: 3, d: 4, e: 5 }));
    const wrong = validate(CreateJobRequest, { vehicle: VEHICLE, device: { name: 'x', feeds } });
    expect(wrong.ok ? 0 : wrong.problems.length).toBe(MOST_PROBLEMS);
  });
});

describe('a list is no object', () => {
  it.each([
    [CreateJobRequest, { vehicle: VEHICLE, device: [] }, ['device']],
    [CreateJobRequest, { vehicle: [], device: { name: 'x', feeds: [FEED] } }, ['vehicle']],
    [
      CreateJobRequest,
      { vehicle: VEHICLE, device: { name: 'x', feeds: [[]] } },
      ['device.feeds', 'device.feeds.0'],
    ],
    [
      CreateJobRequest,
      { vehicle: VEHICLE, device: { name: 'x', feeds: [null] } },
      ['device.feeds', 'device.feeds.0'],
    ],
    [CreateJobRequest, { vehicle: VEHICLE, device: { name: 'x', feeds: {} } }, ['device.feeds']],
    [ReadingRequest, { ...READING, state: [] }, ['state']],
    [ReadingRequest, { ...READING, state: [STATE] }, ['state']],
    [UpdateShopRequest, { version: 1, settings: [] }, ['settings']],
    [
      PutPlanRequest,
      { ...HEAD, plan: { feedId: 'a', sourceId: 'b', sizing: [] } },
      ['plan.sizing'],
    ],
    [PutPlanRequest, { ...HEAD, plan: [] }, ['plan']],
    [PutWiresRequest, { ...HEAD, wires: [[]] }, ['wires', 'wires.0']],
    [PutWiresRequest, { ...HEAD, wires: 'none' }, ['wires']],
  ])('%p refuses %j', (type, plain, where) => {
    const got = new Set(paths(type as new () => object, plain));
    expect(got.size).toBeGreaterThan(0);
    for (const path of got) expect(where).toContain(path);
  });
});

describe('null is not the same as left out', () => {
  it.each([
    [ReachPhaseRequest, { command: HEAD.command, at: HEAD.at, phase: null }, 'phase'],
    [DeferRequest, { command: HEAD.command, at: HEAD.at, left: null }, 'left'],
    [PutWiresRequest, { ...HEAD, wires: null }, 'wires'],
    [ReadingRequest, { ...READING, contact: null }, 'contact'],
    [ReadingRequest, { ...READING, clip: null }, 'clip'],
    [ReadingRequest, { ...READING, state: { ...STATE, brake: null } }, 'state.brake'],
  ])('%p refuses %j', (type, plain, path) => {
    expect(paths(type as new () => object, plain)).toEqual([path]);
  });
});

describe('a version', () => {
  it.each([MAX_VERSION + 1, 2 ** 31 - 1, 2 ** 53, 0, 1.5, '1'])('is not %p', (version) => {
    expect(paths(UpdateShopRequest, { version, settings: DEFAULT_SETTINGS })).toEqual(['version']);
  });
  it('can be the highest that the next one still fits after', () => {
    expect(MAX_VERSION + 1).toBe(2_147_483_647);
    const highest = { version: MAX_VERSION, settings: DEFAULT_SETTINGS };
    expect(paths(UpdateShopRequest, highest)).toEqual([]);
  });
});

describe('a moment', () => {
  it.each([
    '2026-05-04T10:00:00Z',
    '2024-02-29T23:59:59.999Z',
    '2026-05-04T10:00:00.000+10:00',
    '2026-12-31T00:00:00-03:30',
  ])('is %s', (text) => expect(isInstant(text)).toBe(true));

  it.each([
    '2026-02-30T10:00:00Z',
    '2025-02-29T10:00:00Z',
    '2026-W18-1',
    '2026-W18-1T10:00:00Z',
    '2026-123',
    '2026-05-04',
    '2026-05-04T24:61:00Z',
    '2026-05-04T10:00:00',
    '1026-05-04T10:00:00Z',
    '+275760-09-13T00:00:00Z',
    'now',
    17,
    null,
  ])('is not %p', (text) => expect(isInstant(text)).toBe(false));

  it('of any date that exists is taken, and reads back as that day', () => {
    const bounds = { min: new Date('2000-01-01'), max: new Date('2199-12-31') };
    fc.assert(
      fc.property(fc.date({ ...bounds, noInvalidDate: true }), (date) =>
        isInstant(date.toISOString()),
      ),
    );
  });
});

describe('what was seen belongs to its instrument', () => {
  it.each([
    [{ glow: 'lit' }, 'glow'],
    [{ ohms: 3 }, 'ohms'],
    [{ cone: 'out' }, 'cone'],
    [{ speaker: 'rear left' }, 'speaker'],
    [{ otherId: 'dash/F2' }, 'otherId'],
  ])('a meter has no %j', (extra, path) => {
    expect(paths(ReadingRequest, { ...READING, ...extra })).toEqual([path]);
  });

  it.each([
    ['lamp', { glow: 'lit' }, { volts: 12 }, 'volts'],
    ['lamp', { glow: 'lit' }, { highVolts: 12 }, 'highVolts'],
    ['ohmmeter', { ohms: 3 }, { glow: 'x'.repeat(3000) }, 'glow'],
    ['pop', { cone: 'out', otherId: 'harness/W2' }, { ohms: 3 }, 'ohms'],
  ])('a %s has no %j beside %j', (instrument, own, extra, path) => {
    const { volts: _volts, ...rest } = READING;
    expect(paths(ReadingRequest, { ...rest, instrument, ...own })).toEqual([]);
    expect(paths(ReadingRequest, { ...rest, instrument, ...own, ...extra })).toEqual([path]);
  });

  it('digits that jump have their highest above their lowest', () => {
    expect(paths(ReadingRequest, { ...READING, volts: 2, highVolts: 7 })).toEqual([]);
    expect(paths(ReadingRequest, { ...READING, volts: 7, highVolts: 2 })).toEqual(['highVolts']);
  });
});
