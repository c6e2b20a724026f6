import type { ReadingRequest, ReadingView } from '@lucky-thread/contract';
import { flushOutbox, openOutbox, takeReading, withdraw } from './outbox';
import type { OutboxItem } from './outboxSlice';
import { makeStore } from './store';

const mockKept = new Map<string, OutboxItem>();
jest.mock('./outboxStorage', () => ({
  outboxStorage: {
    all: () => Promise.resolve([...mockKept.values()]),
    keep: (item: OutboxItem) => Promise.resolve(void mockKept.set(item.key, item)),
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

/** What the server does with the next requests: a status, or a broken line. */
let answers: (number | 'down')[] = [];
let asked: string[] = [];

/** A request to a path of our own; Node's wants a whole address. */
class PathRequest {
  readonly url: string;
  readonly method: string;
  constructor(url: string, init: { method: string }) {
    this.url = url;
    this.method = init.method;
  }
  clone(): this {
    return this;
  }
}

beforeEach(() => {
  globalThis.Request = PathRequest as unknown as typeof Request;
  mockKept.clear();
  answers = [];
  asked = [];
  jest.useFakeTimers({ doNotFake: ['setImmediate', 'queueMicrotask'] });
  globalThis.fetch = jest.fn((input: Request | string | URL) => {
    const request = input as Request;
    asked.push(`${request.method} ${new URL(request.url, 'http://here').pathname}`);
    const answer = answers.shift() ?? 200;
    if (answer === 'down') return Promise.reject(new TypeError('no network'));
    const view = { id: 'x', withdrawnAt: null } as unknown as ReadingView;
    const body =
      answer === 200 ? view : { title: 'No', detail: 'no such slot', status: answer, type: 't' };
    return Promise.resolve(
      new Response(JSON.stringify(body), {
        status: answer,
        headers: { 'content-type': 'application/json' },
      }),
    );
  }) as unknown as typeof fetch;
});
afterEach(() => jest.useRealTimers());

/** Lets everything that is on its way arrive. */
async function settled(): Promise<void> {
  for (let turn = 0; turn < 30; turn += 1)
    await new Promise<void>((resolve) => {
      setImmediate(() => resolve());
    });
}

describe('the outbox', () => {
  it('keeps a reading before it sends it, and forgets it once stored', async () => {
    const store = makeStore();
    store.dispatch(takeReading('job', REQUEST));
    expect(store.getState().outbox).toHaveLength(1);
    await settled();
    expect(asked[0]).toMatch(/^PUT \/api\/jobs\/job\/readings\//);
    expect(store.getState().outbox).toEqual([]);
    expect(mockKept.size).toBe(0);
  });

  it('shows a reading that could not be saved as unsaved, and retries it by itself', async () => {
    const store = makeStore();
    answers = ['down'];
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
    answers = [status];
    store.dispatch(takeReading('job', REQUEST));
    await settled();
    expect(store.getState().outbox[0]?.status).toBe('unsaved');
  });

  it('marks what the server refuses, with its reason, and goes on with the rest', async () => {
    const store = makeStore();
    answers = [422, 200];
    store.dispatch(takeReading('job', REQUEST));
    store.dispatch(takeReading('job', REQUEST));
    await settled();
    expect(store.getState().outbox).toMatchObject([{ status: 'refused', problem: 'no such slot' }]);
  });

  it('takes up after a reload what was left', async () => {
    const first = makeStore();
    answers = ['down'];
    first.dispatch(takeReading('job', REQUEST));
    await settled();
    const second = makeStore();
    await second.dispatch(openOutbox());
    expect(second.getState().outbox).toEqual([]);
    expect(mockKept.size).toBe(0);
  });

  it('forgets an unsaved reading that is withdrawn, and sends a withdrawal for a stored one', async () => {
    const store = makeStore();
    answers = ['down'];
    store.dispatch(takeReading('job', REQUEST));
    await settled();
    const unsaved = store.getState().outbox[0]?.readingId ?? '';
    store.dispatch(withdraw('job', unsaved));
    expect(store.getState().outbox).toEqual([]);
    store.dispatch(withdraw('job', 'stored'));
    await settled();
    expect(asked.at(-1)).toBe('PUT /api/jobs/job/readings/stored/withdrawal');
  });

  it('sends in the order of taking', async () => {
    const store = makeStore();
    answers = ['down'];
    const ids = [1, 2, 3].map(() => store.dispatch(takeReading('job', REQUEST)));
    await settled();
    asked = [];
    await store.dispatch(flushOutbox());
    expect(asked).toEqual(ids.map((id) => `PUT /api/jobs/job/readings/${id}`));
  });
});
