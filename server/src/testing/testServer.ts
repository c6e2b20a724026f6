import type { AddressInfo } from 'node:net';
import { randomUUID } from 'node:crypto';
import type {
  FeedPlanInput,
  JobView,
  ModelSummary,
  ModelView,
  ProblemDocument,
  ReadingView,
  TapPage,
} from '@lucky-thread/contract';
import { DEFAULT_SETTINGS } from '@lucky-thread/contract';
import { seenBy } from '@lucky-thread/work';
import { benchCar, meterReading, seededRandom } from '@lucky-thread/core/bench';
import { nextState, stateAt } from '@lucky-thread/core/vehicle';
import pg from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { createServer } from '../app';
import { migrateDatabase, openDatabase } from '../db/database';
import { handOverFindings } from '../meter/handOverFindings';
import { provingReadings } from '../meter/provingReadings';
import { DEMO_ACCOUNTS, DEMO_VEHICLES, seed } from '../demo/seed';

/** An answer of the server under test. */
export interface Answer<T> {
  /** HTTP status. */
  readonly status: number;
  /** What its JSON says; the text itself where it is none. */
  readonly body: T;
  /** The body as text. */
  readonly text: string;
  /** The body as it came. */
  readonly bytes: Uint8Array<ArrayBuffer>;
  /** Its header fields. */
  readonly headers: Headers;
}

/** A server with a database of its own. */
export interface TestServer {
  /** Address of the API's origin, without a slash at the end. */
  readonly base: string;
  /** The database of its own. */
  readonly databaseUrl: string;
  /** Closes the server and drops its database. */
  readonly stop: () => Promise<void>;
  /** Forgets all jobs, readings and tap points. */
  readonly forget: () => Promise<void>;
  /** Closes and starts anew on the same database, as after a kill. */
  readonly restart: () => Promise<void>;
  /** Somebody with a cookie jar; signed in unless told otherwise. */
  readonly visitor: (as?: 'installer' | 'lead' | 'nobody') => Promise<Visitor>;
}

/** Where the test cluster is; set by the test command. */
export function clusterUrl(): string {
  const url = process.env.TEST_DATABASE_URL;
  if (url === undefined)
    throw new Error('TEST_DATABASE_URL is not set: run these tests with npm test');
  return url;
}

/** From which database one is copied that is set up and filled already; an empty one is made where nobody names any. */
function copied(): string {
  const template = process.env.TEST_DATABASE_TEMPLATE;
  return template === undefined ? '' : ` template ${template}`;
}

/** Starts a server with the demo data on a fresh database. */
export async function startTestServer(): Promise<TestServer> {
  const name = `test_${randomUUID().replaceAll('-', '')}`;
  await administer(`create database ${name}${copied()}`);
  const url = new URL(clusterUrl());
  url.pathname = `/${name}`;
  let running = await serve(url.href);
  return {
    get base() {
      return running.base;
    },
    databaseUrl: url.href,
    stop: async () => {
      await running.close();
      await administer(`drop database ${name} with (force)`);
    },
    forget: () => administer('truncate jobs cascade', url.href),
    restart: async () => {
      await running.close();
      running = await serve(url.href);
    },
    visitor: async (as = 'installer') => {
      const visitor = new Visitor(() => running.base);
      const account = DEMO_ACCOUNTS.find((one) => one.login === as);
      if (account !== undefined)
        await visitor.post('/session', { login: account.login, password: account.password });
      return visitor;
    },
  };
}

async function serve(url: string): Promise<{ base: string; close: () => Promise<void> }> {
  await migrateDatabase(url);
  const database = openDatabase(url);
  const { demoAccounts } = await seed(database.db, true);
  const server = createServer({
    database,
    demoAccounts,
    sessionSecret: 'a secret for tests that outlives a restart',
    webFolder: undefined,
    random: seededRandom(1),
    // Loaded by whoever asks for a paper: few tests do, and it brings a typesetter along.
    makePaper: async (order) => (await import('../papers/makePaper')).makePaper(order),
  });
  server.listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const { port } = server.address() as AddressInfo;
  return {
    base: `http://127.0.0.1:${port}/api`,
    close: async () => {
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
      await database.close();
    },
  };
}

async function administer(statement: string, connectionString = clusterUrl()): Promise<void> {
  const client = new pg.Client({ connectionString });
  await client.connect();
  await client.query(statement);
  await client.end();
}

/** A client that keeps its cookie. */
export class Visitor {
  private cookie = '';
  private readonly base: () => string;
  /** Ids of demo vehicles by name: they stay what they are. */
  private readonly modelIds = new Map<string, string>();

  constructor(base: () => string) {
    this.base = base;
  }

  get<T>(path: string): Promise<Answer<T>> {
    return this.send('GET', path);
  }
  post<T>(path: string, body?: unknown): Promise<Answer<T>> {
    return this.send('POST', path, body);
  }
  put<T>(path: string, body?: unknown): Promise<Answer<T>> {
    return this.send('PUT', path, body);
  }
  /**
   * Changes a job as the app does, one command after the other, each made on what the job is then. Answers the first that
   * is refused, else the last.
   */
  async change<T = JobView>(jobId: string, change: JobChange): Promise<Answer<T>> {
    let answer = (await this.get<JobView>(`/jobs/${jobId}`)) as Answer<unknown>;
    for (const make of commandsOf(change)) {
      const { path, body } = make(answer.body as JobView);
      answer = await this.put(`/jobs/${jobId}/${path}`, { ...commandHead(), ...body });
      if (answer.status !== 200) break;
    }
    return answer as Answer<T>;
  }
  delete<T>(path: string): Promise<Answer<T>> {
    return this.send('DELETE', path);
  }

  /** Sends a body as it is, of any type. */
  async send<T>(
    method: string,
    path: string,
    body?: unknown,
    {
      type = 'application/json',
      headers = {},
    }: { readonly type?: string; readonly headers?: Readonly<Record<string, string>> } = {},
  ): Promise<Answer<T>> {
    const response = await fetch(`${this.base()}${path}`, {
      method,
      headers: {
        cookie: this.cookie,
        ...(body === undefined ? {} : { 'content-type': type }),
        ...headers,
      },
      ...(body === undefined ? {} : { body: isReady(body) ? body : JSON.stringify(body) }),
    });
    const [cookie] = response.headers.getSetCookie();
    if (cookie !== undefined) this.cookie = cookie.split(';')[0] ?? '';
    const bytes = new Uint8Array(await response.arrayBuffer());
    const text = new TextDecoder().decode(bytes);
    const json = response.headers.get('content-type')?.includes('json') === true;
    return {
      status: response.status,
      body: (json ? JSON.parse(text) : undefined) as T,
      text,
      bytes,
      headers: response.headers,
    };
  }

  /** The header that says who this is, for connections that are no fetch. */
  get cookieHeader(): string {
    return this.cookie;
  }

  /** The model of a demo vehicle. */
  async model(name: string): Promise<ModelView> {
    return (await this.get<ModelView>(`/models/${await this.modelId(name)}`)).body;
  }

  private async modelId(name: string): Promise<string> {
    const known = this.modelIds.get(name);
    if (known !== undefined) return known;
    const { body } = await this.get<ModelSummary[]>('/models');
    for (const { model, id } of body) if (!this.modelIds.has(model)) this.modelIds.set(model, id);
    return this.modelIds.get(name) ?? '';
  }

  /** A fresh job on a demo vehicle, with one switched and one constant feed. */
  async job(name = 'Longboat'): Promise<JobView> {
    const { body } = await this.put<JobView>(
      `/jobs/${uuidv7()}`,
      jobBody(await this.modelId(name)),
    );
    return body;
  }

  /** Reads every added lead of a job as its closing proofs ask, fitted as planned in the simulated car, and tries the rest. */
  async prove(jobId: string): Promise<void> {
    const { body: job } = await this.get<JobView>(`/jobs/${jobId}`);
    const found = (await this.get<ModelView>(`/models/${job.vehicle.modelId}`)).body;
    const { taps } = (await this.get<TapPage>(`/models/${job.vehicle.modelId}/taps`)).body;
    const readings = (await this.get<ReadingView[]>(`/jobs/${jobId}/readings`)).body;
    const bench = DEMO_VEHICLES.find((one) => job.vehicleName.includes(one.model))?.bench;
    if (bench === undefined) throw new Error(`no simulated car behind ${job.vehicleName}`);
    const of = { job, model: seenBy(found, job), taps, readings, settings: DEFAULT_SETTINGS };
    for (const one of provingReadings(of, bench, seededRandom(1)))
      await this.put(`/jobs/${jobId}/readings/${uuidv7()}`, {
        ...one,
        instrument: 'simulatedMeter',
        takenAt: new Date(2026, 4, 4, 1).toISOString(),
      });
    for (const { item, value } of handOverFindings(job))
      await this.put(`/jobs/${jobId}/closing/${item}`, { ...commandHead(), done: true, value });
  }

  /** Takes readings of a slot with the simulated meter and stores them. */
  async probe(jobId: string, sourceId: string, places: readonly Place[]): Promise<void> {
    const { body: job } = await this.get<JobView>(`/jobs/${jobId}`);
    const bench = DEMO_VEHICLES.find((one) => job.vehicleName.includes(one.model))?.bench;
    if (bench === undefined) throw new Error(`no simulated car behind ${job.vehicleName}`);
    const car = benchCar(bench);
    const random = seededRandom(places.length);
    for (const place of places) {
      const touch = { sourceId, ...touchAt(place) };
      const volts = meterReading(car, { pointId: sourceId, ...touchAt(place) }, random);
      await this.put(`/jobs/${jobId}/readings/${uuidv7()}`, {
        ...touch,
        instrument: 'simulatedMeter',
        volts,
        takenAt: new Date(2026, 4, 4).toISOString(),
      });
    }
  }
}

/** Whether a body goes out as it is. */
function isReady(body: unknown): body is string | Uint8Array<ArrayBuffer> {
  return typeof body === 'string' || body instanceof Uint8Array;
}

/** A feed's plan as a test writes it, with the proofs that are shown for it. */
export interface PlanChange extends Partial<Record<keyof FeedPlanInput, unknown>> {
  /** Which feed. */
  readonly feedId: string;
  /** Proofs that were given, by kind. */
  readonly proofs?: readonly string[];
}

/** What a test changes of a job. */
export interface JobChange {
  /** Wires of the cut harness. */
  readonly harness?: readonly object[];
  /** Plans of feeds. */
  readonly plan?: readonly PlanChange[];
  /** Where the job stands. */
  readonly phase?: string;
  /** Needs that are put off, by id. */
  readonly deferred?: readonly string[];
}

/** What a command carries besides its change. */
export function commandHead(): { readonly command: string; readonly at: string } {
  return { command: uuidv7(), at: '2026-05-04T10:00:00.000Z' };
}

type Command = (job: JobView) => { readonly path: string; readonly body: object };

function commandsOf({ harness, plan = [], phase, deferred = [] }: JobChange): Command[] {
  return [
    ...(harness === undefined
      ? []
      : [(job: JobView) => ({ path: 'wires', body: { base: job.wiresVersion, wires: harness } })]),
    ...plan.flatMap(({ proofs = [], ...one }): Command[] => [
      (job) => ({
        path: `feeds/${one.feedId}/plan`,
        body: { base: job.planVersions[one.feedId] ?? null, plan: one },
      }),
      ...proofs.map((kind) => () => {
        // Proofs are events: their id stands in the address.
        const body = { feedId: one.feedId, kind, readingIds: [], command: undefined };
        return { path: `proofs/${uuidv7()}`, body };
      }),
    ]),
    ...(phase === undefined ? [] : [() => ({ path: 'phase', body: { phase } })]),
    ...deferred.map((place) => () => ({ path: `deferred/${place}`, body: { left: true } })),
  ];
}

/** A place to read at; `a` and `b` are the contacts of the empty slot at run. */
export type Place = 'off' | 'acc' | 'run' | 'crank' | 'asleep' | 'justOff' | 'a' | 'b';

function touchAt(place: Place): { state: ReturnType<typeof stateAt>; contact?: 'a' | 'b' } {
  return place === 'a' || place === 'b'
    ? { state: stateAt('run'), contact: place }
    : { state: stateAt(place) };
}

/** Feeds that the tests' jobs have. */
export const FEEDS = [
  { id: 'memory', name: 'Memory', role: 'constant', currentA: 0.5 },
  { id: 'switched', name: 'Supply', role: 'switched', currentA: 0.6, liveInAcc: true },
] as const;

/** The body of a new job. */
export function jobBody(modelId: string) {
  return {
    vehicle: { modelId, year: 2020, trim: 'Standard', market: 'Islands', steering: 'right' },
    device: { name: 'Dashcam', feeds: FEEDS },
  };
}

/** A model as a shop enters it. */
export function modelBody() {
  return {
    make: 'Tern',
    model: 'Skua',
    generation: '',
    yearFrom: 2018,
    yearTo: 2022,
    trims: [],
    markets: [],
    steering: ['right'],
    keyType: 'key',
    use: '',
  };
}

/** A panel of one slot. */
export function panelBody() {
  return {
    kind: 'fusePanel',
    base: 0,
    name: 'Dash panel',
    location: 'Left of the wheel',
    steps: ['Open the flap.'],
    notes: '',
    look: {
      family: 'mini',
      lie: 'tall',
      landmarkA: 'door side',
      landmarkB: 'wheel side',
      clearance: 'clear',
    },
    slots: [{ position: 'F1', column: 0, row: 0, ratingA: 10, legend: 'ACC' }],
  };
}

/** A reading at a slot. */
export function readingBody(sourceId: string, volts: unknown = 12.4): object {
  const state = nextState(stateAt('off'), { kind: 'key', to: 'run' });
  return { sourceId, state, instrument: 'meter', volts, takenAt: '2026-05-04T10:00:00.000Z' };
}

/** The paths that a refusal names. */
export function problemPaths(answer: Answer<unknown>): string[] {
  return ((answer.body as ProblemDocument).errors ?? []).map((one) => one.path);
}
