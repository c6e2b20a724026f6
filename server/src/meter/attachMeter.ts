import type { IncomingMessage, Server } from 'node:http';
import { ServerResponse } from 'node:http';
import type { Duplex } from 'node:stream';
import { benchCar } from '@lucky-thread/core/bench';
import type { Request, RequestHandler, Response } from 'express';
import { validate as isUuid } from 'uuid';
import { WebSocketServer } from 'ws';
import { actorOf } from '../auth/session';
import type { Database } from '../db/database';
import { Problem } from '../http/problem';
import { getJob } from '../jobs/jobService';
import { findBench } from '../vehicles/modelRepository';
import { meterSession } from './meterSession';

/** What the meter's connection needs. */
export interface MeterParts {
  readonly db: Database;
  /** The same session handling as for requests. */
  readonly sessions: RequestHandler;
  readonly random: () => number;
}

const PATH = /^\/api\/jobs\/([^/]+)\/meter$/;
/** Longest message taken, bytes. */
const MAX_PAYLOAD = 4096;

/**
 * Answers WebSocket connections at `/api/jobs/<id>/meter` with the simulated meter of the job's car. The answer drops
 * every connection, which would otherwise keep the server from closing.
 */
export function attachMeter(server: Server, parts: MeterParts): () => void {
  const sockets = new WebSocketServer({ noServer: true, maxPayload: MAX_PAYLOAD });
  server.on('upgrade', (request, socket, head) => {
    open(request, parts).then(
      (session) =>
        sockets.handleUpgrade(request, socket, head, (connection) => {
          connection.on('message', (data) => {
            for (const line of data.toString().split('\n'))
              if (line.trim() !== '') connection.send(session.answer(line));
          });
        }),
      (error: unknown) => refuse(socket, error),
    );
  });
  return () => {
    for (const client of sockets.clients) client.terminate();
  };
}

async function open(
  request: IncomingMessage,
  parts: MeterParts,
): Promise<ReturnType<typeof meterSession>> {
  const jobId = PATH.exec(new URL(request.url ?? '', 'http://here').pathname)?.[1];
  if (jobId === undefined || !isUuid(jobId)) throw new Refusal(404);
  if (!isSameOrigin(request)) throw new Refusal(403);
  await new Promise<void>((resolve, reject) => {
    const response = new ServerResponse(request) as unknown as Response;
    parts.sessions(request as Request, response, (error?: unknown) =>
      error === undefined ? resolve() : reject(error instanceof Error ? error : new Refusal(500)),
    );
  });
  const actor = actorOf(request as Request);
  const job = await getJob(parts.db, actor, jobId);
  const bench = await findBench(parts.db, actor.shopId, job.vehicle.modelId);
  if (bench === undefined) throw new Refusal(409);
  return meterSession(benchCar(bench), parts.random);
}

/** A page of another origin has no business at the meter. */
function isSameOrigin(request: IncomingMessage): boolean {
  const { origin, host } = request.headers;
  return origin === undefined || new URL(origin).host === host;
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
  const status =
    error instanceof Refusal
      ? error.status
      : error instanceof Problem
        ? error.document.status
        : 500;
  socket.end(`HTTP/1.1 ${status} Refused\r\nConnection: close\r\n\r\n`);
}
