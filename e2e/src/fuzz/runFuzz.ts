import { readFileSync } from 'node:fs';
import { setTimeout as wait } from 'node:timers/promises';
import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { randomFrom } from './random';
import type { FuzzRequest, Known } from './requests';
import { nextRequest } from './requests';
import { attackSocket } from './sockets';

/** What is attacked. */
export interface Target {
  readonly base: string;
  readonly databaseUrl: string;
  readonly serverPid: number;
}

/** What came of it. */
export interface FuzzReport {
  readonly requests: number;
  /** Answers by status. */
  readonly statuses: ReadonlyMap<number, number>;
  /** Requests that were answered with 5xx, or not at all. */
  readonly failures: readonly string[];
  /** Stored without being acknowledged, or acknowledged without being stored. */
  readonly halfWrites: readonly string[];
  readonly slowestMs: number;
  readonly slowest: string;
  /** Resident memory of the server, MB: after the first tenth, and at the end; not a number where nobody wanted to know. */
  readonly memoryMb: readonly [number, number];
  /** Jobs that a request stored. */
  readonly jobIds: readonly string[];
}

/** Requests under way at once. */
const AT_ONCE = 6;
/** One request in so many comes with an attack on the meter's socket. */
const SOCKET_EVERY = 12;
const MOST_FAILURES = 20;

/** Sends malformed requests from a seed and looks whether anything breaks; bounded, and to a server of ours alone. */
export async function runFuzz(
  target: Target,
  options: {
    readonly requests: number;
    readonly seed: number;
    /** Whether the server's memory at rest is looked at before and after: that takes ten seconds. */
    readonly memory?: boolean;
  },
): Promise<FuzzReport> {
  const cookie = await signIn(target.base);
  const known = await prepare(target.base, cookie);
  const database = new pg.Client({ connectionString: target.databaseUrl });
  await database.connect();
  const before = await storedIn(database);
  const seen = newLedger();
  const warmUp = Math.ceil(options.requests / 10);
  await send(target, { cookie, known, seen }, { from: 0, to: warmUp, seed: options.seed });
  const memory = (): Promise<number> =>
    options.memory === true ? restingMemoryMb(target.serverPid) : Promise.resolve(NaN);
  const memoryBefore = await memory();
  await send(
    target,
    { cookie, known, seen },
    {
      from: warmUp,
      to: options.requests,
      seed: options.seed,
    },
  );
  const after = await storedIn(database);
  await database.end();
  return {
    requests: options.requests,
    statuses: seen.statuses,
    failures: seen.failures,
    halfWrites: halfWrites(before, after, seen),
    slowestMs: seen.slowestMs(),
    slowest: seen.slowest(),
    memoryMb: [memoryBefore, await memory()],
    jobIds: [...(seen.made.get('job') ?? [])],
  };
}

interface Attack {
  readonly cookie: string;
  readonly known: Known;
  readonly seen: Ledger;
}

async function send(
  target: Target,
  attack: Attack,
  range: { readonly from: number; readonly to: number; readonly seed: number },
): Promise<void> {
  let next = range.from;
  const worker = async (): Promise<void> => {
    for (let number = next++; number < range.to; number = next++) {
      const random = randomFrom(range.seed * 1_000_003 + number);
      if (number % SOCKET_EVERY === 0)
        await attackSocket(
          target.base,
          { cookie: attack.cookie, jobId: random.pick(attack.known.jobIds) },
          random,
        );
      const request = nextRequest(attack.known, random);
      const began = performance.now();
      const answer = await ask(target.base, attack.cookie, request);
      attack.seen.note(request, answer, performance.now() - began);
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, worker));
}

interface Answered {
  readonly status: number;
  readonly text: string;
}

async function ask(base: string, cookie: string, request: FuzzRequest): Promise<Answered | Error> {
  try {
    const response = await fetch(`${base}/api${request.path}`, {
      method: request.method,
      headers: {
        ...(request.signedIn ? { cookie } : {}),
        ...(request.type === undefined ? {} : { 'content-type': request.type }),
      },
      ...(request.body === undefined ? {} : { body: request.body as string }),
    });
    return { status: response.status, text: await response.text() };
  } catch (error) {
    return error instanceof Error ? error : new Error(String(error));
  }
}

function newLedger() {
  const statuses = new Map<number, number>();
  const failures: string[] = [];
  const made = new Map<string, Set<string>>();
  const changed = new Map<string, number>();
  let slowestMs = 0;
  let slowest = '';
  let imported = 0;
  return {
    statuses,
    failures,
    made,
    changed,
    imported: () => imported,
    slowestMs: () => Math.round(slowestMs),
    slowest: () => slowest,
    note: (request: FuzzRequest, answer: Answered | Error, tookMs: number): void => {
      const what = `${request.method} ${request.path.slice(0, 120)}`;
      if (tookMs > slowestMs) [slowestMs, slowest] = [tookMs, what];
      if (answer instanceof Error) {
        if (failures.length < MOST_FAILURES) failures.push(`${what}: ${answer.message}`);
        return;
      }
      statuses.set(answer.status, (statuses.get(answer.status) ?? 0) + 1);
      if (answer.status >= 500 && failures.length < MOST_FAILURES)
        failures.push(`${what}: ${answer.status} for ${String(request.body).slice(0, 300)}`);
      if (answer.status !== 200) return;
      if (request.makes !== undefined) {
        // A path that was spoilt names another id, or none.
        const id = /[0-9a-f-]{36}(?=\?|$)/.exec(request.path)?.[0] ?? request.makes.id;
        const ids = made.get(request.makes.kind) ?? new Set();
        made.set(request.makes.kind, ids.add(id));
      }
      if (request.changes !== undefined)
        changed.set(request.changes, (changed.get(request.changes) ?? 0) + 1);
      if (request.type === 'text/csv')
        imported += (JSON.parse(answer.text) as { added: number }).added;
    },
  };
}
type Ledger = ReturnType<typeof newLedger>;

/** What the database holds that requests can make or change. */
interface Stored {
  readonly job: ReadonlySet<string>;
  readonly reading: ReadonlySet<string>;
  readonly tap: ReadonlySet<string>;
  readonly imported: number;
  readonly versions: ReadonlyMap<string, number>;
}

async function storedIn(database: pg.Client): Promise<Stored> {
  const ids = async (query: string): Promise<Set<string>> =>
    new Set((await database.query<{ id: string }>(query)).rows.map((row) => row.id));
  const jobs = await database.query<{ id: string; version: number }>(
    'select id, version from jobs',
  );
  const shops = await database.query<{ version: number }>('select version from shops');
  const taps = await database.query<{ taps: string }>(
    'select count(*) as taps from tap_points where job_id is null',
  );
  return {
    job: new Set(jobs.rows.map((row) => row.id)),
    reading: await ids('select id from readings'),
    tap: await ids('select id from tap_points where job_id is not null'),
    imported: Number(taps.rows[0]?.taps),
    versions: new Map([
      ...jobs.rows.map((row): [string, number] => [`job:${row.id}`, row.version]),
      ['shop', shops.rows[0]?.version ?? 0],
    ]),
  };
}

/** Where what is stored is not what was acknowledged. */
function halfWrites(before: Stored, after: Stored, seen: Ledger): string[] {
  const problems: string[] = [];
  for (const kind of ['job', 'reading', 'tap'] as const) {
    const acknowledged = seen.made.get(kind) ?? new Set<string>();
    for (const id of after[kind])
      if (!before[kind].has(id) && !acknowledged.has(id))
        problems.push(`${kind} ${id} is stored, but was not acknowledged`);
    for (const id of acknowledged)
      if (!after[kind].has(id)) problems.push(`${kind} ${id} was acknowledged, but is not stored`);
  }
  for (const [what, version] of before.versions) {
    const grown = (after.versions.get(what) ?? 0) - version;
    const acknowledged = seen.changed.get(what) ?? 0;
    // What the shop's ways are already is acknowledged to whoever sends it again, and grows nothing.
    const isHalf = what === 'shop' ? grown > acknowledged : grown !== acknowledged;
    if (isHalf)
      problems.push(`${what} grew by ${grown} versions, ${acknowledged} changes were acknowledged`);
  }
  const added = after.imported - before.imported;
  if (added !== seen.imported())
    problems.push(`${added} tap points were imported, ${seen.imported()} acknowledged`);
  return problems;
}

/** Jobs to be changed and probed. */
const JOBS = 40;

async function prepare(base: string, cookie: string): Promise<Known> {
  const get = async <T>(path: string): Promise<T> =>
    (await (await fetch(`${base}/api${path}`, { headers: { cookie } })).json()) as T;
  const models = await get<{ id: string; model: string }[]>('/models');
  const modelId = models.find((one) => one.model === 'Longboat')?.id ?? '';
  const model = await get<{ places: { sources: { id: string }[] }[] }>(`/models/${modelId}`);
  const { settings } = await get<{ settings: object }>('/shop');
  const jobIds = Array.from({ length: JOBS }, () => uuidv7());
  for (const id of jobIds) {
    const { status } = await fetch(`${base}/api/jobs/${id}`, {
      method: 'PUT',
      headers: { cookie, 'content-type': 'application/json' },
      body: JSON.stringify({
        vehicle: { modelId, year: 2020, trim: '', market: '', steering: 'right' },
        device: {
          name: 'Dashcam',
          feeds: [{ id: 'a', name: 'Supply', role: 'switched', currentA: 0.6 }],
        },
      }),
    });
    if (status !== 200) throw new Error(`a job could not be made: ${status}`);
  }
  const slotIds = model.places.flatMap((place) => place.sources.map((source) => source.id));
  return { modelId, jobIds, slotIds, settings };
}

async function signIn(base: string): Promise<string> {
  const response = await fetch(`${base}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ login: 'installer', password: 'pull-the-right-thread' }),
  });
  const [cookie] = response.headers.getSetCookie();
  if (cookie === undefined) throw new Error('the demo could not be entered');
  return cookie.split(';')[0] ?? '';
}

/** Looks at a server's memory while it has nothing to do: it is given back bit by bit. */
const LOOKS = 20;
const LOOK_MS = 250;

/** Least resident memory of a process at rest, MB. */
async function restingMemoryMb(pid: number): Promise<number> {
  let least = Infinity;
  for (let look = 0; look < LOOKS; look += 1) {
    least = Math.min(least, memoryMb(pid));
    await wait(LOOK_MS);
  }
  return least;
}

/** Resident memory of a process, MB. */
function memoryMb(pid: number): number {
  const status = readFileSync(`/proc/${pid}/status`, 'utf8');
  return Math.round(Number(/VmRSS:\s+(\d+)/.exec(status)?.[1] ?? 0) / 1024);
}
