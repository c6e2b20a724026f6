import { randomUUID } from 'node:crypto';
import type { RequestHandler } from 'express';
import { Problem } from './problem';

declare module 'express-serve-static-core' {
  interface Request {
    /** Names this request in the log and in the answer's `X-Request-Id`. */
    requestId: string;
  }
}

/** Gives each request an id of its own, which the answer names too. */
export const withRequestId: RequestHandler = (request, response, next) => {
  request.requestId = randomUUID();
  response.set('X-Request-Id', request.requestId);
  next();
};

/** What the API says is for whoever asked, now: no cache keeps it. */
export const noStore: RequestHandler = (_request, response, next) => {
  response.set('Cache-Control', 'no-store');
  next();
};

const LOOPBACK = /^(localhost|127\.0\.0\.1|\[::1\])(:\d{1,5})?$/i;

/**
 * Whether a `Host` header names this machine's own loopback. A page of elsewhere whose name was pointed at this
 * machine must not reach the demo with its open accounts.
 */
export function isLoopbackHost(host: string | undefined): boolean {
  return host !== undefined && LOOPBACK.test(host);
}

/** Refuses requests that were meant for another host. */
export const ownHostOnly: RequestHandler = (request, _response, next) => {
  if (!isLoopbackHost(request.headers.host))
    throw new Problem({
      type: 'unknown-host',
      title: 'This server is not that host',
      detail: 'The demo answers at localhost and 127.0.0.1 only.',
      status: 421,
    });
  next();
};
