import { once } from 'node:events';
import type { Socket } from 'node:net';
import WebSocket from 'ws';
import { frame, rawSocket, untilClosed, upgradeRequest } from '../testing/rawSocket';
import type { TestServer, Visitor } from '../testing/testServer';
import { startTestServer } from '../testing/testServer';
import { MOST_PER_USER, newMeterConnections } from './connections';
import { lineBudget } from './lineBudget';

let server: TestServer;
let visitor: Visitor;
let path: string;
beforeAll(async () => {
  server = await startTestServer();
  visitor = await server.visitor();
  path = `/api/jobs/${(await visitor.job()).id}/meter`;
});
afterAll(() => server.stop());
afterEach(async () => expect((await visitor.get('/jobs')).status).toBe(200));

/** A handshake that went through, below the WebSocket library. */
async function opened(): Promise<Socket> {
  const socket = await rawSocket(server.base);
  socket.write(upgradeRequest(path, { Cookie: visitor.cookieHeader }));
  const [answer] = (await once(socket, 'data')) as [Buffer];
  expect(answer.toString()).toMatch(/^HTTP\/1.1 101/);
  return socket;
}

function connect(): WebSocket {
  const url = `${server.base.replace('http', 'ws').replace('/api', '')}${path}`;
  const socket = new WebSocket(url, { headers: { cookie: visitor.cookieHeader } });
  socket.on('error', () => undefined);
  return socket;
}

async function answerTo(socket: WebSocket, line: string): Promise<string> {
  socket.send(line);
  const [data] = (await once(socket, 'message')) as [Buffer];
  return data.toString();
}

describe('the meter’s socket stands', () => {
  it.each(['/', '/api/session', '/api/jobs/x/meter', '/nowhere', '*'])(
    'resets during an upgrade of %s by strangers',
    async (target) => {
      for (let round = 0; round < 5; round += 1) {
        const socket = await rawSocket(server.base);
        socket.write(upgradeRequest(target));
        socket.resetAndDestroy();
      }
      const late = await rawSocket(server.base);
      late.write(upgradeRequest(target));
      await once(late, 'data');
      late.resetAndDestroy();
    },
  );

  it('a reset right after the handshake, and one in the middle of a frame', async () => {
    (await opened()).resetAndDestroy();
    const socket = await opened();
    socket.write(frame(1, Buffer.from('*IDN?')).subarray(0, 4));
    socket.resetAndDestroy();
  });

  it.each([
    ['too large', frame(1, Buffer.alloc(5000, 'x'))],
    ['unmasked', Buffer.from([0x81, 0x02, 0x2a, 0x2a])],
    ['of an opcode that is none', frame(3, Buffer.from('x'))],
    ['with reserved bits', Buffer.concat([Buffer.from([0xf1, 0x81]), Buffer.alloc(5)])],
    ['not UTF-8', frame(1, Buffer.from([0xff, 0xfe, 0xc0]))],
    ['a ping longer than a ping may be', frame(9, Buffer.alloc(300))],
    ['binary', frame(2, Buffer.from('*IDN?'))],
  ])('a frame that is %s: that connection alone ends, soon', async (_what, bytes) => {
    const other = connect();
    await once(other, 'open');
    const socket = await opened();
    const sent = performance.now();
    socket.write(bytes);
    await untilClosed(socket);
    expect(performance.now() - sent).toBeLessThan(5000);
    expect(await answerTo(other, '*IDN?')).toContain('LUCKY THREAD');
    other.close();
    await once(other, 'close');
  });

  it.each([
    'SIM:STAT {"key":{"constructor":1}}',
    'SIM:STAT {"__proto__":{"key":"run"}}',
    `SIM:STAT ${'['.repeat(900)}`,
    'SIM:STAT []',
    'SIM:STAT {"key":null}',
    'constructor',
    '__proto__ 1',
    'SIM:PROB "constructor"',
    'SIM:POP? "__proto__","toString"',
  ])('the line %.40s: an error number and the next answer', async (line) => {
    const socket = connect();
    await once(socket, 'open');
    expect(await answerTo(socket, line)).toMatch(/^-\d{3},/);
    expect(await answerTo(socket, '*IDN?')).toContain('LUCKY THREAD');
    socket.close();
    await once(socket, 'close');
  });

  it('an origin that is no address', async () => {
    const socket = await rawSocket(server.base);
    socket.write(upgradeRequest(path, { Cookie: visitor.cookieHeader, Origin: 'http://[' }));
    expect((await untilClosed(socket)).toString()).toMatch(/^HTTP\/1.1 403/);
  });

  it('an upgrade that is not ours: the request is answered like any other', async () => {
    const socket = await rawSocket(server.base);
    socket.write(upgradeRequest('/api/health', { Upgrade: 'h2c' }));
    const answer = (await untilClosed(socket)).toString();
    expect(answer).toMatch(/^HTTP\/1.1 200/);
    expect(answer).toContain('{"ok":true}');
  });

  it('more connections of one person than a person has hands', async () => {
    const sockets = Array.from({ length: MOST_PER_USER }, connect);
    await Promise.all(sockets.map((socket) => once(socket, 'open')));
    const socket = await rawSocket(server.base);
    socket.write(upgradeRequest(path, { Cookie: visitor.cookieHeader }));
    expect((await untilClosed(socket)).toString()).toMatch(/^HTTP\/1.1 429/);
    for (const one of sockets) one.close();
    await Promise.all(sockets.map((one) => once(one, 'close')));
  });

  it('a client that asks and never reads: it is let go', async () => {
    const socket = await opened();
    socket.pause();
    const lines = frame(1, Buffer.from('x\n'.repeat(2000)));
    await new Promise<void>((resolve) => {
      socket.on('close', () => resolve());
      const push = (): void => {
        if (socket.destroyed) return;
        socket.write(lines, () => setImmediate(push));
      };
      push();
    });
  });
});

describe('the meter’s connections', () => {
  it('end with their session', async () => {
    const own = await server.visitor('lead');
    const url = `${server.base.replace('http', 'ws').replace('/api', '')}${path}`;
    const socket = new WebSocket(url, { headers: { cookie: own.cookieHeader } });
    await once(socket, 'open');
    await own.delete('/session');
    await once(socket, 'close');
  });

  it('are dropped when they answer no ping or their session is gone, not when nobody can tell', async () => {
    const connections = newMeterConnections();
    const ends: string[] = [];
    const fake = (name: string, answers: boolean) => {
      const listeners = new Map<string, () => void>();
      return {
        on: (event: string, listener: () => void) => listeners.set(event, listener),
        ping: () => answers && listeners.get('pong')?.(),
        terminate: () => {
          ends.push(name);
          listeners.get('close')?.();
        },
      } as unknown as WebSocket;
    };
    const holder = (stands: () => Promise<boolean>) => ({ userId: 'u', sessionId: 's', stands });
    connections.add(
      fake('silent', false),
      holder(async () => true),
    );
    connections.add(
      fake('ended', true),
      holder(async () => false),
    );
    connections.add(
      fake('unsure', true),
      holder(() => Promise.reject(new Error('no database'))),
    );
    await connections.lookAfter();
    expect(ends).toEqual(['ended']);
    await connections.lookAfter();
    expect(ends).toEqual(['ended', 'silent']);
    connections.close();
    expect(ends).toEqual(['ended', 'silent', 'unsure']);
  });
});

it('a connection’s lines are counted and come back with time', () => {
  let nowMs = 0;
  const take = lineBudget(() => nowMs);
  const taken = (): number => {
    let lines = 0;
    while (take()) lines += 1;
    return lines;
  };
  expect(taken()).toBe(400);
  nowMs += 500;
  expect(taken()).toBe(100);
  nowMs += 60_000;
  expect(taken()).toBe(400);
});
