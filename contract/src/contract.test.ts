import { SIZING_RANGES } from '@lucky-thread/core/size';
import {
  CreateJobRequest,
  DEFAULT_SETTINGS,
  DeviceInput,
  FeedPlanInput,
  PHASES,
  ReadingRequest,
  SignInRequest,
  TapCsvRow,
  modelName,
  modelYears,
  shownOf,
  PutPlanRequest,
  UpdateShopRequest,
  needsOf,
  toTapClaim,
  validate,
} from './index';
import type { TapPointView } from './index';

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
const JOB = {
  vehicle: {
    modelId: '01890a5d-ac96-774b-bcce-b302099a8057',
    year: 2020,
    trim: '',
    market: '',
    steering: 'left',
  },
  device: {
    name: 'Dashcam',
    feeds: [{ id: 'a', name: 'Supply', role: 'switched', currentA: 0.6 }],
  },
};

function paths(result: ReturnType<typeof validate>): string[] {
  return result.ok ? [] : result.problems.map((one) => one.path);
}

describe('the ranges of a feed and its plan', () => {
  const FEED = { id: 'a', name: 'Supply', role: 'switched', currentA: 1 };
  const feed = (more: object) =>
    paths(validate(DeviceInput, { name: 'Camera', feeds: [{ ...FEED, ...more }] }));
  const plan = (more: object) =>
    paths(validate(FeedPlanInput, { feedId: 'a', sourceId: 's', ...more }));
  const sizing = (more: object) => plan({ sizing: more });
  it.each([
    ['currentA', 'currentA', feed],
    ['inrushA', 'peakA', feed],
    ['inrushS', 'peakS', feed],
    ['standbyA', 'standbyA', feed],
    ['oneWayM', 'oneWayM', plan],
    ['measuredA', 'originalA', plan],
    ['sharedA', 'sharedA', plan],
    ['dropLimitPercent', 'dropLimitPercent', sizing],
    ['ambientC', 'ambientC', sizing],
    ['bundle', 'bundle', sizing],
    ['spareA', 'spareA', sizing],
    ['returnM', 'returnM', sizing],
  ] as const)('%s is what the sizing takes as %s, and nothing else', (field, of, problems) => {
    const { low, high } = SIZING_RANGES[of];
    for (const good of [low, high]) expect(problems({ [field]: good })).toEqual([]);
    for (const bad of [low - 1, high + 1, Number.NaN, Infinity, '2', null])
      expect(problems({ [field]: bad })).toEqual([expect.stringContaining(field)]);
  });
});

describe('ReadingRequest', () => {
  it('takes a reading as the app makes it', () => {
    expect(validate(ReadingRequest, READING).ok).toBe(true);
    expect(
      validate(ReadingRequest, { ...READING, instrument: 'lamp', volts: undefined, glow: 'dim' })
        .ok,
    ).toBe(true);
  });

  it.each(['twelve', '12.4', -500, 1e9, null, undefined, Number.NaN])(
    'refuses %p as volts',
    (volts) => {
      expect(paths(validate(ReadingRequest, { ...READING, volts }))).toContain('volts');
    },
  );

  it('refuses a lamp without its glow, a strange contact and a state that cannot be', () => {
    expect(paths(validate(ReadingRequest, { ...READING, instrument: 'lamp' }))).toContain('glow');
    expect(paths(validate(ReadingRequest, { ...READING, contact: 'c' }))).toEqual(['contact']);
    expect(
      paths(validate(ReadingRequest, { ...READING, state: { ...STATE, key: 'half' } })),
    ).toEqual(['state.key']);
  });

  it('refuses a reading without the state of the car', () => {
    expect(paths(validate(ReadingRequest, { ...READING, state: undefined }))).toEqual(['state']);
  });

  it('refuses what it does not know', () => {
    expect(paths(validate(ReadingRequest, { ...READING, takenBy: 'me' }))).toEqual(['takenBy']);
  });
});

describe('CreateJobRequest', () => {
  it('takes a job', () => {
    expect(validate(CreateJobRequest, JOB).ok).toBe(true);
  });
  it.each([1900, 2100, 2020.5, '2020'])('refuses the year %p', (year) => {
    const job = { ...JOB, vehicle: { ...JOB.vehicle, year } };
    expect(paths(validate(CreateJobRequest, job))).toContain('vehicle.year');
  });
  it('says every problem of a feed with its path', () => {
    const feeds = [{ id: 'a', name: '', role: 'magic', currentA: 500 }];
    const found = paths(validate(CreateJobRequest, { ...JOB, device: { name: 'X', feeds } }));
    expect(found).toEqual(
      expect.arrayContaining([
        'device.feeds.0.name',
        'device.feeds.0.role',
        'device.feeds.0.currentA',
      ]),
    );
  });
  it('refuses a device without feeds, and one with the same feed twice', () => {
    const feed = JOB.device.feeds[0];
    for (const feeds of [[], [feed, feed]])
      expect(paths(validate(CreateJobRequest, { ...JOB, device: { name: 'X', feeds } }))).toContain(
        'device.feeds',
      );
  });
  it.each(['vehicle', 'device'])('refuses a job without its %s', (part) => {
    expect(paths(validate(CreateJobRequest, { ...JOB, [part]: undefined }))).toEqual([part]);
  });
  it.each([null, 'text', 7, []])('refuses %p, which is no object', (body) => {
    expect(validate(CreateJobRequest, body).ok).toBe(false);
  });
});

/** A change as it is sent. */
const HEAD = {
  command: '01890a5d-ac96-774b-bcce-b302099a8058',
  at: '2026-05-04T10:00:00.000Z',
  base: null,
};

describe('PutPlanRequest', () => {
  it('wants an id, a moment and what it was made on', () => {
    const plan = { feedId: 'a', sourceId: 'dash/F1' };
    expect(validate(PutPlanRequest, { ...HEAD, plan }).ok).toBe(true);
    expect(validate(PutPlanRequest, { ...HEAD, base: HEAD.command, plan: null }).ok).toBe(true);
    for (const field of ['command', 'at', 'base', 'plan'] as const)
      expect(paths(validate(PutPlanRequest, { ...HEAD, plan, [field]: undefined }))).toEqual([
        field,
      ]);
    expect(paths(validate(PutPlanRequest, { ...HEAD, command: 'mine', plan }))).toEqual([
      'command',
    ]);
  });
  it.each([-1, 0, 31, '3'])('refuses a lead of %p m', (oneWayM) => {
    const plan = { feedId: 'a', sourceId: 's', oneWayM };
    expect(paths(validate(PutPlanRequest, { ...HEAD, plan }))).toEqual(['plan.oneWayM']);
  });
  it('knows the phases in the order people work', () => {
    expect(PHASES).toEqual([
      'vehicle',
      'device',
      'find',
      'choose',
      'size',
      'build',
      'prove',
      'log',
    ]);
  });
});

it('wants login and password', () => {
  expect(paths(validate(SignInRequest, {}))).toEqual(['login', 'password']);
});

it('reads numbers out of a CSV row, and takes an empty cell for none', () => {
  const row = {
    id: '01890a5d-ac96-774b-bcce-b302099a8057',
    source: 'dash/F1',
    function: 'constant',
    supply_contact: 'a',
    year_from: '2019',
    year_to: '2020',
    trim: '',
    market: '',
    grade: 'forum',
    fuse_a: '7.5',
    wire_awg: '18',
    note: '',
    logged_by: '',
    logged_at: '',
  };
  const read = validate(TapCsvRow, row);
  expect(read.ok && read.value).toMatchObject({ year_from: 2019, fuse_a: 7.5 });
  expect(paths(validate(TapCsvRow, { ...row, fuse_a: '' }))).toEqual(['fuse_a']);
});

it('turns feeds into needs, ground left out', () => {
  const feeds = [
    { id: 'a', name: 'A', role: 'constant' as const, currentA: 1 },
    { id: 'g', name: 'G', role: 'ground' as const, currentA: 1 },
  ];
  expect(needsOf({ name: 'X', feeds }).map((need) => need.id)).toEqual(['a']);
});

it('weighs a tap point by the jobs that spoke of it and the places that were seen', () => {
  const tap = {
    trim: 'Base',
    market: '',
    readings: [{ place: 'off', ...shownOf({ kind: 'volts', volts: 12.4 }) }],
    confirmedJobs: 3,
    contradictedJobs: 2,
    observations: [],
  } as unknown as TapPointView;
  const claim = toTapClaim(tap);
  expect([claim.confirmed, claim.contradicted]).toEqual([3, 2]);
  expect(claim.seen).toEqual(['off']);
  expect(claim.applicability.trims).toEqual(['Base']);
});

describe('plans and settings', () => {
  const plan = { feedId: 'a', sourceId: 'dash/F1' };
  it('take what the sizing sheet makes', () => {
    const whole = {
      ...plan,
      reason: 'nothing else in reach',
      measuredA: 3.2,
      sizing: { systemV: 13.8, dropLimitPercent: 5, insulation: 80, ambientC: 45, bundle: 4 },
    };
    expect(validate(PutPlanRequest, { ...HEAD, plan: whole }).ok).toBe(true);
  });

  it.each([
    ['plan.measuredA', { measuredA: -1 }],
    ['plan.ground', { ground: 'paint' }],
    ['plan.reason', { reason: '' }],
    ['plan.sizing.ambientC', { sizing: { ambientC: 300 } }],
    ['plan.sizing.insulation', { sizing: { insulation: 70 } }],
    ['plan.sizing.bundle', { sizing: { bundle: 0 } }],
  ])('refuse a slip at %s', (path, slip) => {
    const request = { ...HEAD, plan: { ...plan, ...slip } };
    expect(paths(validate(PutPlanRequest, request))).toEqual([path]);
  });

  it('refuse settings without a part, or with a wire that nobody sells', () => {
    expect(validate(UpdateShopRequest, { version: 1, settings: DEFAULT_SETTINGS }).ok).toBe(true);
    const { van, ...rest } = DEFAULT_SETTINGS;
    expect(paths(validate(UpdateShopRequest, { version: 1, settings: rest }))).toEqual([
      'settings.van',
    ]);
    const odd = { ...DEFAULT_SETTINGS, van: { ...van, conductors: ['0 mm²'] } };
    expect(paths(validate(UpdateShopRequest, { version: 1, settings: odd }))).toEqual([
      'settings.van.conductors',
    ]);
  });
});

describe('a model in one line', () => {
  const model = {
    make: 'Tern',
    model: 'Skua',
    generation: '',
    use: '',
    yearFrom: 2019,
    yearTo: 2019,
  };
  it('leaves out what nobody has said, and names one year once', () => {
    expect(modelName(model)).toBe('Tern Skua');
    expect(modelName({ ...model, generation: 'II' })).toBe('Tern Skua II');
    expect(modelYears(model)).toBe('2019');
    expect(modelYears({ ...model, use: 'moped', yearTo: 2022 })).toBe('moped, 2019–2022');
  });
});
