/**
 * What the server does with a request: answers with a status, breaks the line, is silent, serves somebody
 * else's session, or has a newer version.
 */
export type FakeAnswer = number | 'down' | 'silent' | 'other-user' | 'stale';

/** A server in place of the real one, and what it was asked. */
export interface FakeServer {
  /** What it does with the next requests; with those after them all goes well. */
  answers: FakeAnswer[];
  /** What it answers where all goes well. */
  body: object | null;
  /** Method and path of each request. */
  readonly asked: string[];
  /** What each request carried. */
  readonly carried: unknown[];
  /** Who each request says made it. */
  readonly makers: (string | null)[];
}

/** A request to a path of our own; Node's wants a whole address. */
class PathRequest {
  readonly url: string;
  readonly method: string;
  readonly headers: Headers;
  readonly signal: AbortSignal | undefined;
  readonly carried: unknown;
  constructor(
    url: string,
    init: { method: string; headers?: Headers; signal?: AbortSignal; body?: unknown },
  ) {
    this.url = url;
    this.method = init.method;
    this.headers = new Headers(init.headers);
    this.signal = init.signal;
    this.carried = init.body;
  }
  clone(): this {
    return this;
  }
}

/** Puts a server of one's own in place of the network. */
export function fakeServer(): FakeServer {
  const server: FakeServer = { answers: [], body: {}, asked: [], carried: [], makers: [] };
  globalThis.Request = PathRequest as unknown as typeof Request;
  globalThis.fetch = ((input: unknown) => {
    const request = input as PathRequest;
    server.asked.push(`${request.method} ${new URL(request.url, 'http://here').pathname}`);
    server.makers.push(request.headers.get('made-by'));
    server.carried.push(request.carried);
    return answerTo(request, server.answers.shift() ?? 200, server.body);
  }) as unknown as typeof fetch;
  return server;
}

function answerTo(
  request: PathRequest,
  answer: FakeAnswer,
  body: object | null,
): Promise<Response> {
  if (answer === 'down') return Promise.reject(new TypeError('no network'));
  if (answer === 'silent')
    return new Promise((_resolve, reject) =>
      request.signal?.addEventListener('abort', () => reject(request.signal?.reason as Error)),
    );
  const status = typeof answer === 'number' ? answer : 409;
  const type = typeof answer === 'number' ? 't' : answer;
  const refusal = { title: 'No', detail: 'no such slot', status, type };
  return Promise.resolve(
    new Response(JSON.stringify(answer === 200 ? body : refusal), {
      status,
      headers: { 'content-type': 'application/json' },
    }),
  );
}

/** Lets everything that is on its way arrive. */
export async function settled(): Promise<void> {
  for (let turn = 0; turn < 30; turn += 1)
    await new Promise<void>((resolve) => {
      setImmediate(() => resolve());
    });
}

/** Puts a server in place that answers each request when the test says so, and with what; those that wait are handed on as they come. */
export function patientServer(onWaiting: (answer: (body: unknown) => void) => void): void {
  globalThis.Request = PathRequest as unknown as typeof Request;
  const headers = { 'content-type': 'application/json' };
  globalThis.fetch = () =>
    new Promise((resolve) => {
      onWaiting((body) => resolve(new Response(JSON.stringify(body), { headers })));
    });
}
