import type { IncomingMessage, Server } from 'node:http';
import { ServerResponse } from 'node:http';
import type { Duplex } from 'node:stream';
import { DEFAULT_SETTINGS } from '@lucky-thread/contract';
import type { BenchVehicle, FittedLead } from '@lucky-thread/core/bench';
import { benchCar } from '@lucky-thread/core/bench';
import { seenBy } from '@lucky-thread/work';
import type { Request, RequestHandler, Response } from 'express';
import { validate as isUuid } from 'uuid';
import type { WebSocket } from 'ws';
import { WebSocketServer } from 'ws';
import type { Actor } from '../auth/session';
import { userOf } from '../auth/session';
import type { Database } from '../db/database';
import { databaseFailure, framesOf } from '../http/failures';
import { Problem, unauthenticated } from '../http/problem';
import { getJob } from '../jobs/jobService';
import { findShop } from '../shop/shopRepository';
import { findBench } from '../vehicles/modelRepository';
import { findPlaces } from '../vehicles/placeRepository';
import type { Holder, MeterConnections } from './connections';
import { fittedLeadsOf } from './fittedLeads';
import { lineBudget } from './lineBudget';
import type { MeterSession } from './meterSession';
import { METER_ERRORS, meterSession } from './meterSession';

/** What the meter's connection needs. */
export interface MeterParts {
  /** Where jobs and benches are read. */
  readonly db: Database;
  /** The same session handling as for requests. */
  readonly sessions: RequestHandler;
  /** Uniform in [0, 1); noise of the readings. */
  readonly random: () => number;
  /** Whether a `Host` header is one that this server answers to. */
  readonly isOwnHost: (host: string | undefined) => boolean;
}

const PATH = /^\/api\/jobs\/([^/?]+)\/meter(\?.*)?$/;
/** Longest message taken, bytes. */
const MAX_PAYLOAD = 4096;
/** A client that is told to go and does not is let go after this, ms. */
const CLOSE_MS = 1000;
/** Answers that may wait for a client to read them, bytes; one that never reads is let go. */
const MOST_UNREAD = 64 * 1024;

/**
 * Answers WebSocket connections at `/api/jobs/<id>/meter` with the simulated meter of the job's car. Nothing that a
 * client does to its socket, before, during or after the handshake, reaches further than that socket.
 */
export function attachMeter(
  server: Server,
  connections: MeterConnections,
  parts: MeterParts,
): void {
  const sockets = new WebSocketServer({
    ...{ noServer: true, maxPayload: MAX_PAYLOAD, closeTimeout: CLOSE_MS },
  });
  server.on('upgrade', (request, socket, head) => {
    // From here on the socket is ours alone: a reset without a listener would end the process.
    socket.on('error', () => socket.destroy());
    if (!PATH.test(request.url ?? '')) return answerPlainly(server, request, socket);
    admit(request, connections, parts).then(
      ({ session, holder }) => {
        if (socket.destroyed) return;
        sockets.handleUpgrade(request, socket, head, (connection) => {
          connections.add(connection, holder);
          converse(connection, session);
        });
      },
      (error: unknown) => refuse(socket, error),
    );
  });
}

/** Line in, line out. What a malformed frame or a broken connection throws ends this connection alone. */
function converse(connection: WebSocket, session: MeterSession): void {
  const hasLinesLeft = lineBudget(() => performance.now());
  // Lines are answered in their order: one that has to look something up holds the next ones back.
  let before: Promise<void> | undefined;
  const answered = (line: string): Promise<void> | undefined => {
    const answer = hasLinesLeft() ? answerTo(session, line) : METER_ERRORS.overrun;
    if (typeof answer === 'string') {
      connection.send(answer);
      return undefined;
    }
    return answer.then(
      (text) => connection.send(text),
      (error: unknown) => connection.send(failed(error)),
    );
  };
  connection.on('error', () => connection.terminate());
  connection.on('message', (data, isBinary) => {
    if (isBinary) return connection.close(1003, 'text only');
    for (const line of data.toString().split('\n')) {
      if (line.trim() === '') continue;
      if (connection.bufferedAmount > MOST_UNREAD) return connection.terminate();
      const pending = before === undefined ? answered(line) : before.then(() => answered(line));
      before = pending;
      void pending?.then(() => {
        if (before === pending) before = undefined;
      });
    }
  });
}

function answerTo(session: MeterSession, line: string): string | Promise<string> {
  try {
    return session.answer(line);
  } catch (error) {
    return failed(error);
  }
}

function failed(error: unknown): string {
  console.error(JSON.stringify({ event: 'the meter failed', at: framesOf(error) }));
  return METER_ERRORS.device;
}

async function admit(
  request: IncomingMessage,
  connections: MeterConnections,
  parts: MeterParts,
): Promise<{ readonly session: MeterSession; readonly holder: Holder }> {
  const jobId = PATH.exec(request.url ?? '')?.[1];
  if (!parts.isOwnHost(request.headers.host)) throw new Refusal(421);
  if (jobId === undefined || !isUuid(jobId)) throw new Refusal(404);
  if (!isSameOrigin(request)) throw new Refusal(403);
  await openSession(request, parts);
  const opened = request as Request;
  const user = userOf(opened);
  if (user === undefined) throw unauthenticated();
  if (!connections.hasRoom(user.id)) throw new Refusal(429);
  const actor = { userId: user.id, shopId: user.shopId, name: user.name };
  const job = await getJob(parts.db, actor, jobId);
  const bench = await findBench(parts.db, user.shopId, job.vehicle.modelId);
  if (bench === undefined) throw new Refusal(409);
  return {
    session: meterSession(benchCar(bench), parts.random, () =>
      leadsOf(parts.db, actor, { jobId, bench }),
    ),
    holder: {
      userId: user.id,
      sessionId: opened.sessionID,
      stands: async () => {
        const again = { headers: request.headers, url: '/', method: 'GET' } as IncomingMessage;
        await openSession(again, parts);
        return userOf(again as Request) !== undefined;
      },
    },
  };
}

/** The leads of a job as they are planned now. */
async function leadsOf(
  db: Database,
  actor: Actor,
  { jobId, bench }: { readonly jobId: string; readonly bench: BenchVehicle },
): Promise<FittedLead[]> {
  const job = await getJob(db, actor, jobId);
  const found = (await findPlaces(db, actor.shopId, job.vehicle.modelId)) ?? { places: [] };
  const settings = (await findShop(db, actor.shopId))?.settings ?? DEFAULT_SETTINGS;
  return fittedLeadsOf({ job, model: seenBy(found, job), settings }, bench);
}

/** Reads the session that a handshake's cookie names. */
function openSession(request: IncomingMessage, parts: MeterParts): Promise<void> {
  return new Promise((resolve, reject) => {
    const response = new ServerResponse(request) as unknown as Response;
    parts.sessions(request as Request, response, (error?: unknown) =>
      error === undefined ? resolve() : reject(error instanceof Error ? error : new Refusal(500)),
    );
  });
}

/** A page of another origin has no business at the meter. */
function isSameOrigin(request: IncomingMessage): boolean {
  const { origin, host } = request.headers;
  return origin === undefined || (URL.canParse(origin) && new URL(origin).host === host);
}

/** A connection that is refused with a status of HTTP. */
class Refusal extends Error {
  readonly status: number;

  constructor(status: number) {
    super(`refused with ${status}`);
    this.status = status;
  }
}

function refuse(socket: Duplex, error: unknown): void {
  const status = statusOf(error);
  if (status === 500)
    console.error(JSON.stringify({ event: 'no meter', status, at: framesOf(error) }));
  socket.end(`HTTP/1.1 ${status} Refused\r\nConnection: close\r\nContent-Length: 0\r\n\r\n`);
}

function statusOf(error: unknown): number {
  if (error instanceof Refusal) return error.status;
  if (error instanceof Problem) return error.document.status;
  return databaseFailure(error) === undefined ? 500 : 503;
}

/** An upgrade that is not ours is no upgrade (RFC 9110, 7.8): the request is answered like any other, once. */
function answerPlainly(server: Server, request: IncomingMessage, socket: Duplex): void {
  // Node hands the socket over before a body was read, so that only requests without one can be answered.
  if (request.method !== 'GET' && request.method !== 'HEAD')
    return refuse(socket, new Refusal(400));
  const response = new ServerResponse(request);
  response.shouldKeepAlive = false;
  response.assignSocket(socket as Parameters<ServerResponse['assignSocket']>[0]);
  response.on('finish', () => socket.end());
  server.emit('request', request, response);
}
