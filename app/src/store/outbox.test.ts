import type { JobView, ReadingRequest } from '@lucky-thread/contract';
import { PARKED } from '@lucky-thread/core/vehicle';
import { api } from './api';
import { planDrafted } from './draftsSlice';
import type { JobChangeBody } from './commands';
import { withCommands } from './commands';
import { changeJob, openOutbox, takeReading, withdraw } from './outbox';
import { flushOutbox } from './sending';
import { outboxSentence } from './outboxSentence';
import { probingOpened } from './probeSlice';
import { signedOut } from './sessionSlice';
import type { OutboxItem } from './outboxSlice';
import { commandsIn } from './outboxSlice';
import { makeStore } from './store';
import type { FakeServer } from '../testing/fakeServer';
import { fakeServer, settled } from '../testing/fakeServer';

const mockKept = new Map<string, OutboxItem>();
/** What the device's storage does: as it should, refuses because it is full, or never answers. */
let mockStorage: 'well' | 'full' | 'hanging' = 'well';
jest.mock('./outboxStorage', () => ({
  outboxStorage: {
    all: () => Promise.resolve([...mockKept.values()]),
    keep: (item: OutboxItem) => {
      if (mockStorage === 'full') return Promise.reject(new Error('QuotaExceededError'));
      if (mockStorage === 'hanging') return new Promise(() => undefined);
      return Promise.resolve(void mockKept.set(item.key, item));
    },
    drop: (key: string) => Promise.resolve(void mockKept.delete(key)),
  },
}));

const REQUEST: ReadingRequest = {
  sourceId: 'dash/F1',
  state: {
    key: 'run',
    lamps: false,
    driverDoor: 'open',
    doorOpenedSinceKeyOff: false,
    asleep: false,
  },
  instrument: 'meter',
  volts: 12.4,
  takenAt: '2026-05-04T10:00:00.000Z',
};

let server: FakeServer;

beforeEach(() => {
  mockKept.clear();
  mockStorage = 'well';
  jest.useFakeTimers({ doNotFake: ['setImmediate', 'queueMicrotask'] });
  server = fakeServer();
  server.body = { id: 'x', withdrawnAt: null };
});
afterEach(() => jest.useRealTimers());

describe('the outbox', () => {
  it('keeps a reading before it sends it, and forgets it once stored', async () => {
    const store = makeStore();
    store.dispatch(takeReading('job', REQUEST));
    expect(store.getState().outbox).toHaveLength(1);
    await settled();
    expect(server.asked[0]).toMatch(/^PUT \/api\/jobs\/job\/readings\//);
    expect(store.getState().outbox).toEqual([]);
    expect(mockKept.size).toBe(0);
  });

  it('shows a reading that could not be saved as unsaved, and retries it by itself', async () => {
    const store = makeStore();
    server.answers = ['down'];
    store.dispatch(takeReading('job', REQUEST));
    await settled();
    expect(store.getState().outbox[0]?.status).toBe('unsaved');
    expect(mockKept.size).toBe(1);
    await jest.advanceTimersByTimeAsync(5000);
    await settled();
    expect(store.getState().outbox).toEqual([]);
  });

  it.each([500, 503, 401])('keeps a reading that the server answered with %d', async (status) => {
    const store = makeStore();
    server.answers = [status];
    store.dispatch(takeReading('job', REQUEST));
    await settled();
    expect(store.getState().outbox[0]?.status).toBe('unsaved');
  });

  it('marks what the server refuses, with its reason, and goes on with the rest', async () => {
    const store = makeStore();
    server.answers = [422, 200];
    store.dispatch(takeReading('job', REQUEST));
    store.dispatch(takeReading('job', REQUEST));
    await settled();
    expect(store.getState().outbox).toMatchObject([{ status: 'refused', problem: 'no such slot' }]);
  });

  it('takes up after a reload what was left', async () => {
    const first = makeStore();
    server.answers = ['down'];
    first.dispatch(takeReading('job', REQUEST));
    await settled();
    const second = makeStore();
    await second.dispatch(openOutbox());
    expect(second.getState().outbox).toEqual([]);
    expect(mockKept.size).toBe(0);
  });

  it('never sends a withdrawn reading again, but takes it back in case the server has it', async () => {
    const store = makeStore();
    server.answers = ['down', 404];
    store.dispatch(takeReading('job', REQUEST));
    await settled();
    const [first] = store.getState().outbox;
    const unsaved = first?.kind === 'reading' ? first.readingId : '';
    server.asked.length = 0;
    store.dispatch(withdraw('job', unsaved));
    await settled();
    expect(server.asked).toEqual([`PUT /api/jobs/job/readings/${unsaved}/withdrawal`]);
    expect(store.getState().outbox).toEqual([]);
    store.dispatch(withdraw('job', 'stored'));
    await settled();
    expect(server.asked.at(-1)).toBe('PUT /api/jobs/job/readings/stored/withdrawal');
  });

  it('steps over what the server fails at, says so, and tries it again later', async () => {
    const store = makeStore();
    server.answers = [500, 200, 200];
    const [bad] = [1, 2, 3].map(() => store.dispatch(takeReading('job', REQUEST)));
    await settled();
    expect(server.asked).toHaveLength(3);
    expect(store.getState().outbox).toMatchObject([
      { readingId: bad, status: 'unsaved', problem: 'no such slot' },
    ]);
    await jest.advanceTimersByTimeAsync(5000);
    await settled();
    expect(store.getState().outbox).toEqual([]);
  });

  it('lets no withdrawal overtake its own reading', async () => {
    const store = makeStore();
    server.answers = Array.from({ length: 20 }, () => 500);
    const id = store.dispatch(takeReading('job', REQUEST));
    store.dispatch(withdraw('job', id));
    await settled();
    expect(server.asked.length).toBeGreaterThan(0);
    expect(server.asked.filter((path) => path.endsWith('withdrawal'))).toEqual([]);
    expect(store.getState().outbox.map((item) => item.kind)).toEqual(['reading', 'withdrawal']);
  });

  it('gives a request up that is never answered, and goes on', async () => {
    const store = makeStore();
    server.answers = ['silent'];
    store.dispatch(takeReading('job', REQUEST));
    await settled();
    expect(store.getState().outbox[0]?.status).toBe('sending');
    await jest.advanceTimersByTimeAsync(16_000);
    await settled();
    expect(store.getState().outbox[0]?.status ?? 'stored').not.toBe('sending');
    await jest.advanceTimersByTimeAsync(60_000);
    await settled();
    expect(store.getState().outbox).toEqual([]);
  });

  it('tries less and less often while nothing gets through', async () => {
    const store = makeStore();
    server.answers = Array.from({ length: 50 }, () => 'down' as const);
    store.dispatch(takeReading('job', REQUEST));
    await settled();
    await jest.advanceTimersByTimeAsync(5 * 60_000);
    expect(server.asked.length).toBeGreaterThan(5);
    expect(server.asked.length).toBeLessThan(12);
  });

  it.each(['full', 'hanging'] as const)(
    'sends a reading that a %s storage can’t keep, and says that it is adrift',
    async (storage) => {
      const store = makeStore();
      mockStorage = storage;
      server.answers = ['down', 200];
      store.dispatch(takeReading('job', REQUEST));
      await settled();
      await jest.advanceTimersByTimeAsync(2500);
      await settled();
      expect(server.asked).toHaveLength(1);
      if (storage === 'full')
        expect(outboxSentence(store.getState().outbox, undefined)).toMatch(/leave this page open/);
      await jest.advanceTimersByTimeAsync(65_000);
      await settled();
      expect(store.getState().outbox).toEqual([]);
    },
  );
});

describe('after a change of user', () => {
  /** A store in which somebody is signed in. */
  async function storeOf(id: string) {
    const store = makeStore();
    await signInAs(store, id);
    return store;
  }
  async function signInAs(store: ReturnType<typeof makeStore>, id: string): Promise<void> {
    const user = { id, name: id, role: 'installer' as const, shopName: 'Shop' };
    await store.dispatch(
      api.util.upsertQueryData('session', undefined, { user, demoAccounts: [] }),
    );
  }

  it('entries wait for who made them', async () => {
    const store = await storeOf('installer');
    server.answers = ['down'];
    store.dispatch(takeReading('job', REQUEST));
    await settled();
    expect(server.makers).toEqual(['installer']);
    await signInAs(store, 'lead');
    await store.dispatch(flushOutbox());
    await jest.advanceTimersByTimeAsync(60_000);
    expect(server.asked).toHaveLength(1);
    expect(outboxSentence(store.getState().outbox, 'lead')).toMatch(/^1 entry is somebody else’s/);
    await signInAs(store, 'installer');
    await store.dispatch(flushOutbox());
    expect(server.makers).toEqual(['installer', 'installer']);
    expect(store.getState().outbox).toEqual([]);
  });

  it('in another tab nothing is dropped, and signing in is asked for', async () => {
    const store = await storeOf('installer');
    server.answers = ['other-user'];
    store.dispatch(takeReading('job', REQUEST));
    await settled();
    expect(store.getState().outbox[0]?.status).toBe('unsaved');
    expect(store.getState().session.expired).toBe(true);
  });

  it('signing out forgets where one was, and keeps what is not sent', async () => {
    const store = await storeOf('installer');
    server.answers = ['down'];
    store.dispatch(takeReading('job', REQUEST));
    await settled();
    store.dispatch(probingOpened({ jobId: 'job', state: PARKED, deferred: [] }));
    store.dispatch(planDrafted({ jobId: 'job', plan: { feedId: 'a', sourceId: 's' } }));
    store.dispatch(signedOut());
    expect(store.getState()).toMatchObject({ probe: {}, drafts: {} });
    expect(store.getState().outbox).toHaveLength(1);
  });
});

describe('order', () => {
  it('sends in the order of taking', async () => {
    const store = makeStore();
    server.answers = ['down'];
    const ids = [1, 2, 3].map(() => store.dispatch(takeReading('job', REQUEST)));
    await settled();
    server.asked.length = 0;
    await store.dispatch(flushOutbox());
    expect(server.asked).toEqual(ids.map((id) => `PUT /api/jobs/job/readings/${id}`));
  });
});

describe('changes to a job', () => {
  const JOB = {
    id: 'job',
    phase: 'find',
    plan: [],
    planVersions: {},
    proofs: [],
    harness: [],
    wiresVersion: null,
    deferred: [],
    device: { feeds: [{ id: 'a' }, { id: 'b' }] },
  } as unknown as JobView;
  const planned = (feedId: string, sourceId: string): JobChangeBody => ({
    kind: 'plan',
    body: { feedId, plan: { feedId, sourceId } },
  });

  it('go out in the order of making, one waiting for the other', async () => {
    const store = makeStore();
    store.dispatch(changeJob(JOB, [planned('a', 'F1'), planned('b', 'F2')]));
    store.dispatch(changeJob(JOB, [{ kind: 'phase', body: { phase: 'size' } }]));
    await settled();
    expect(server.asked).toEqual([
      'PUT /api/jobs/job/feeds/a/plan',
      'PUT /api/jobs/job/feeds/b/plan',
      'PUT /api/jobs/job/phase',
    ]);
    expect(store.getState().outbox).toEqual([]);
  });

  it('wait behind one that the server failed at, while readings pass it', async () => {
    const store = makeStore();
    server.answers = [500, 200, 500];
    store.dispatch(changeJob(JOB, [planned('a', 'F1'), planned('b', 'F2')]));
    store.dispatch(takeReading('job', REQUEST));
    await settled();
    expect(server.asked.some((one) => one.includes('/feeds/a/'))).toBe(true);
    expect(server.asked.some((one) => one.includes('/feeds/b/'))).toBe(false);
    expect(server.asked.some((one) => one.includes('/readings/'))).toBe(true);
    expect(store.getState().outbox.map((item) => item.kind)).toEqual(['job', 'job']);
  });

  it('are kept on the device, taken up after a reload, and done on the screen meanwhile', async () => {
    server.answers = ['down', 'down', 'down'];
    const first = makeStore();
    first.dispatch(changeJob(JOB, [planned('a', 'F1')]));
    await settled();
    expect(mockKept.size).toBe(1);
    const second = makeStore();
    server.answers = ['down'];
    await second.dispatch(openOutbox());
    const shown = withCommands(JOB, commandsIn(second.getState().outbox, 'job'));
    expect(shown.plan).toEqual([{ feedId: 'a', sourceId: 'F1' }]);
    await second.dispatch(flushOutbox());
    expect(mockKept.size).toBe(0);
  });

  it('that are refused are done no more, and forgotten with the next one', async () => {
    const store = makeStore();
    server.answers = [409];
    store.dispatch(changeJob(JOB, [planned('a', 'F1')]));
    await settled();
    expect(store.getState().outbox).toMatchObject([{ kind: 'job', status: 'refused' }]);
    expect(commandsIn(store.getState().outbox, 'job')).toEqual([]);
    store.dispatch(changeJob(JOB, [planned('a', 'F2')]));
    await settled();
    expect(store.getState().outbox).toEqual([]);
  });

  it.each([
    [
      'a slot',
      { kind: 'slot', body: { placeId: 'dash', position: 'F1', marks: {}, holds: 'model' } },
    ],
    ['a wire', { kind: 'wires', body: { wires: [{ id: 'dash/F1', name: 'F1' }] } }],
  ] as const)(
    'that make %s known come before its readings, while others pass',
    async (_what, change) => {
      const store = makeStore();
      server.answers = [500];
      store.dispatch(changeJob({ ...JOB, seen: [] }, [change]));
      const behind = store.dispatch(takeReading('job', REQUEST));
      const beside = store.dispatch(takeReading('job', { ...REQUEST, sourceId: 'dash/F2' }));
      await settled();
      await store.dispatch(flushOutbox());
      await settled();
      expect(store.getState().outbox).toEqual([]);
      const made = server.asked.findLastIndex((one) => !one.includes('/readings/'));
      const sentAt = (id: string): number => server.asked.findIndex((one) => one.endsWith(id));
      expect(made).toBeGreaterThan(0);
      expect(sentAt(behind)).toBeGreaterThan(made);
      expect(sentAt(beside)).toBeLessThan(made);
    },
  );

  it('that prove something wait for the readings that they name', async () => {
    const store = makeStore();
    server.answers = [500];
    const reading = store.dispatch(takeReading('job', REQUEST));
    await settled();
    server.asked.length = 0;
    server.answers = [500];
    const proof: JobChangeBody = {
      kind: 'proof',
      body: { feedId: 'a', kind: 'live', readingIds: [reading] },
    };
    store.dispatch(changeJob(JOB, [proof]));
    await settled();
    expect(server.asked.filter((one) => one.includes('/proofs/'))).toEqual([]);
    await store.dispatch(flushOutbox());
    await settled();
    expect(server.asked.map((one) => one.split('/')[4])).toEqual([
      'readings',
      'readings',
      'proofs',
    ]);
    expect(store.getState().outbox).toEqual([]);
  });
});
