import { v7 as uuidv7 } from 'uuid';
import { mutated, textOf } from './mutate';
import type { Random } from './random';
import { oddValue } from './values';

/** What exists on the server when the requests begin. */
export interface Known {
  readonly modelId: string;
  readonly jobIds: readonly string[];
  readonly slotIds: readonly string[];
  readonly settings: object;
}

/** One request, good or bad. */
export interface FuzzRequest {
  readonly method: string;
  readonly path: string;
  readonly type: string | undefined;
  readonly body: string | Uint8Array | undefined;
  /** What is stored under which id when it is taken. */
  readonly makes?: { readonly kind: 'job' | 'reading' | 'tap'; readonly id: string };
  /** What grows by one version when it is taken; the shop by none where it is so already. */
  readonly changes?: 'shop' | `job:${string}`;
  readonly signedIn: boolean;
}

const STATE = {
  key: 'run',
  lamps: false,
  driverDoor: 'open',
  doorOpenedSinceKeyOff: false,
  asleep: false,
  brake: false,
  minutesSinceKeyOff: 3,
};
const NAMES = ['Dashcam', 'Dåshçam 🔌', '<b>Cam</b>', 'Ａ', '\u202ecam', 'x'.repeat(80), '0'];

type Make = (
  known: Known,
  random: Random,
) => Omit<FuzzRequest, 'signedIn' | 'type' | 'body'> & {
  readonly plain?: unknown;
  readonly csv?: string;
};

/** Every route, each with a request that the server would take. */
const ROUTES: readonly Make[] = [
  () => ({ method: 'GET', path: '/session' }),
  () => ({
    method: 'POST',
    path: '/session',
    // Another login each time: the wait after wrong passwords is looked at elsewhere.
    plain: { login: `nobody-${uuidv7()}`, password: 'wrong' },
  }),
  () => ({ method: 'GET', path: '/models' }),
  (known, random) => ({
    method: 'GET',
    path: `/pick-list?job=${random.pick([...known.jobIds, uuidv7(), 'x', ''])}&job=${random.pick([...known.jobIds, '__proto__'])}`,
  }),
  (known) => ({ method: 'GET', path: `/models/${known.modelId}` }),
  (known) => ({ method: 'GET', path: `/models/${known.modelId}/taps` }),
  (known) => ({ method: 'GET', path: `/models/${known.modelId}/taps.csv` }),
  (known, random) => ({
    method: 'GET',
    path: `/jobs/${random.pick(known.jobIds)}/papers/taps.pdf?sheet=${random.pick(['A4', 'LETTER', '%'])}`,
  }),
  (known, random) => ({
    method: 'PUT',
    path: `/models/${known.modelId}/body`,
    plain: {
      style: random.pick(['van', 'boat']),
      heightM: random.pick([0.3, 20]),
      passages: [{ id: random.pick(['a b sill', '🧵 x']), lengthM: 1, blocked: true }],
    },
  }),
  (known, random) => ({
    method: 'POST',
    path: `/models/${known.modelId}/taps.csv`,
    csv: csvOf(known, random),
  }),
  () => ({ method: 'GET', path: '/devices' }),
  (_known, random) => ({
    method: 'PUT',
    path: `/devices/${random.pick([uuidv7(), '🧵', uuidv7()])}`,
    plain: {
      ...{ kind: 'lucky-thread-device', version: random.pick([1, 1, 2]), note: 'Made up.' },
      device: {
        name: 'Made up',
        options: [{ id: 'amp', name: 'Factory amplifier' }],
        feeds: [
          {
            ...{ id: 'a', name: 'A', role: 'constant', currentA: random.pick([1, -1, 1e9]) },
            ...{ direction: random.pick(['in', 'up']), onlyWith: random.pick(['amp', 'gone']) },
          },
        ],
      },
    },
  }),
  () => ({ method: 'DELETE', path: `/devices/${uuidv7()}` }),
  () => ({ method: 'GET', path: '/jobs' }),
  () => ({ method: 'GET', path: '/shop' }),
  (known) => ({
    method: 'PUT',
    path: '/shop',
    plain: { version: 1, settings: known.settings },
    changes: 'shop',
  }),
  newJob,
  newJob,
  (known, random) => ({ method: 'GET', path: `/jobs/${random.pick(known.jobIds)}` }),
  (known, random) => ({ method: 'GET', path: `/jobs/${random.pick(known.jobIds)}/readings` }),
  (known, random) => ({ method: 'GET', path: `/jobs/${random.pick(known.jobIds)}/taps` }),
  changedJob,
  changedJob,
  newReading,
  newReading,
  newReading,
  (known, random) => ({
    method: 'PUT',
    path: `/jobs/${random.pick(known.jobIds)}/readings/${uuidv7()}/withdrawal`,
  }),
  (known, random) => {
    const id = uuidv7();
    return {
      method: 'PUT',
      path: `/jobs/${random.pick(known.jobIds)}/taps/${id}`,
      plain: {
        feedId: 'a',
        fuseA: 2,
        awg: 18,
        note: 'n',
      },
      makes: { kind: 'tap', id },
    };
  },
  () => ({ method: 'GET', path: '/nowhere' }),
];

function newJob(known: Known, random: Random): ReturnType<Make> {
  const id = uuidv7();
  const inrush = random.chance(0.3) ? { inrushA: random.pick([0.01, 400]), inrushS: 0.001 } : {};
  return {
    method: 'PUT',
    path: `/jobs/${id}`,
    plain: {
      vehicle: {
        modelId: known.modelId,
        year: random.pick([1980, 2018, 2040]),
        trim: random.pick(['', 'Standard', '🚐', 'x'.repeat(40)]),
        market: random.pick(['', 'Islands', '\u0644']),
        steering: random.pick(['left', 'right']),
        noTrace: random.chance(0.5),
      },
      device: {
        name: random.pick(NAMES),
        feeds: [
          { id: 'a', name: 'Supply', role: 'switched', currentA: random.pick([0.01, 0.6, 80]) },
          {
            id: random.pick(['b', '__proto__', '🔋']),
            name: '\u200b',
            role: 'constant',
            currentA: 0.5,
            ...inrush,
          },
        ],
      },
    },
    makes: { kind: 'job', id },
  };
}

function changedJob(known: Known, random: Random): ReturnType<Make> {
  const id = random.pick(known.jobIds);
  const head = { command: uuidv7(), at: '2026-05-04T10:00:00.000Z' };
  const plan = {
    feedId: 'a',
    sourceId: random.pick(known.slotIds),
    oneWayM: random.pick([0.05, 3, 30]),
    returnPath: 'body',
    sizing: { systemV: 12, ambientC: random.pick([-40, 100]), bundle: random.pick([1, 60]) },
    measuredA: random.pick([0, 100]),
  };
  const wires = [
    { id: 'harness/W1', name: random.pick(['W1', '🧵']), colour: 'BU/PK' },
    { id: 'harness/W2', name: 'W2', tapedWith: 'harness/W1' },
  ];
  const base = random.pick([null, null, uuidv7()]);
  const { path, plain } = random.pick([
    { path: 'phase', plain: { ...head, phase: random.pick(['vehicle', 'find', 'size', 'log']) } },
    { path: 'feeds/a/plan', plain: { ...head, base, plan: random.pick([plan, plan, null]) } },
    { path: 'wires', plain: { ...head, base, wires } },
    {
      path: `deferred/${random.pick(['asleep', 'crank', '__proto__'])}`,
      plain: { ...head, left: random.pick([true, false]) },
    },
    {
      path: 'route',
      plain: { ...head, route: random.pick([null, { mount: 'screenTop', aim: 'short' }]) },
    },
    {
      path: `steps/${random.pick(['off', 'fit:a@F1', '__proto__', '%00', 'ß'])}`,
      plain: { ...head, done: random.pick([true, false]), reason: random.pick([null, 'later']) },
    },
    {
      path: `closing/${random.pick(['drain-before', 'hand-over:hood', '__proto__', 'drop-off:%00', 'drop-off:ß'])}`,
      plain: {
        ...head,
        done: random.pick([true, false]),
        value: random.pick([null, 0.03, 7200, -1e9]),
      },
    },
    {
      path: `proofs/${uuidv7()}`,
      plain: { feedId: 'a', kind: 'live', at: head.at, readingIds: random.pick([[], [uuidv7()]]) },
    },
  ]);
  return { method: 'PUT', path: `/jobs/${id}/${path}`, plain, changes: `job:${id}` };
}

function newReading(known: Known, random: Random): ReturnType<Make> {
  const id = uuidv7();
  const seen = random.pick<object>([
    { instrument: 'meter', volts: random.pick([-0, 12.4, -100, 1e-300]) },
    { instrument: 'meter', volts: 1, highVolts: 9 },
    { instrument: 'lamp', glow: 'dim' },
    { instrument: 'ohmmeter', ohms: 0 },
    { instrument: 'ohmmeter' },
  ]);
  return {
    method: 'PUT',
    path: `/jobs/${random.pick(known.jobIds)}/readings/${id}`,
    plain: {
      sourceId: random.pick(known.slotIds),
      state: { ...STATE, key: random.pick(['off', 'acc', 'run', 'crank']) },
      ...seen,
      takenAt: random.pick(['2026-05-04T10:00:00.000Z', '1970-01-01T00:00:00Z']),
    },
    makes: { kind: 'reading', id },
  };
}

function csvOf(known: Known, random: Random): string {
  const head =
    'id,slot,function,supply_contact,year_from,year_to,trim,market,grade,fuse_a,wire_awg,note,logged_by,logged_at';
  const cells = [
    uuidv7(),
    random.pick(known.slotIds),
    'accessory',
    'a',
    '2018',
    '2020',
    '',
    '',
    'forum',
    '2',
    '18',
    random.pick(['', "'=1", '"a ""b"""', '🔌']),
    '',
    '',
  ];
  if (random.chance(0.6)) {
    const odd = oddValue(random);
    cells[random.below(cells.length)] =
      typeof odd === 'string' ? odd : JSON.stringify(odd).slice(0, 2000);
  }
  const rows = Array.from({ length: random.pick([1, 1, 3]) }, () => cells.join(','));
  return [random.chance(0.9) ? head : head.slice(random.below(80)), ...rows].join(
    random.pick(['\r\n', '\n']),
  );
}

/** The next request: mostly one of ours with something wrong about it, now and then one that is right. */
export function nextRequest(known: Known, random: Random): FuzzRequest {
  const { plain, csv, ...made } = random.pick(ROUTES)(known, random);
  const path = random.chance(0.06) ? oddPath(made.path, random) : made.path;
  const signedIn = random.chance(0.95);
  if (csv !== undefined)
    return {
      ...made,
      path,
      signedIn,
      type: 'text/csv',
      body: random.chance(0.05) ? new Uint8Array([0xff, 0xfe, 0x41]) : csv,
    };
  if (plain === undefined) return { ...made, path, signedIn, type: undefined, body: undefined };
  const value = random.chance(0.15) ? plain : mutated(plain, random);
  const type = random.chance(0.97)
    ? 'application/json'
    : random.pick(['text/plain', 'application/json; charset=utf-7', 'multipart/form-data', '']);
  return { ...made, path, signedIn, type, body: textOf(value, random) };
}

function oddPath(path: string, random: Random): string {
  const parts = path.split('/');
  parts[1 + random.below(parts.length - 1)] = random.pick([
    '%00',
    '%ff',
    '%',
    '..%2f..',
    '__proto__',
    'constructor',
    'x'.repeat(4000),
    '01890a5d-ac96-774b-bcce-b302099a8057',
    "1' or '1'='1",
    '🔌',
  ]);
  const query = random.chance(0.5)
    ? `?after=${random.pick(['', 'W10', '%00', '[]', 'a&after=b', 'x'.repeat(2000)])}`
    : '';
  return parts.join('/') + query;
}
