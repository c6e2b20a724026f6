import { STATUS_CODES } from 'node:http';
import type { ErrorRequestHandler, Request, RequestHandler } from 'express';
import { validate } from '@lucky-thread/contract';
import type { ProblemDocument, Validated } from '@lucky-thread/contract';
import { codeOf, databaseFailure, framesOf } from './failures';
import { Problem, invalid, notFound } from './problem';

/**
 * Checks an input against its request class.
 *
 * @throws Problem with every wrong field and its path.
 */
export function checked<T extends object>(type: new () => T, body: unknown): T {
  return checkedBy((plain) => validate(type, plain), body);
}

/**
 * Checks an input that has more than one shape.
 *
 * @throws Problem with every wrong field and its path.
 */
export function checkedBy<T>(check: (plain: unknown) => Validated<T>, body: unknown): T {
  const result = check(body);
  if (!result.ok) throw invalid(result.problems);
  return result.value;
}

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/i;

/**
 * The id in a path.
 *
 * @throws Problem when it is no UUID version 7.
 */
export function idIn(value: string | string[] | undefined, what: string): string {
  if (typeof value !== 'string' || !UUID.test(value))
    throw invalid([{ path: `${what} id`, message: 'must be a UUID version 7' }]);
  return value.toLowerCase();
}

/** Unknown API routes. */
export const unknownRoute: RequestHandler = (request) => {
  throw notFound(`${request.method} ${request.path}`);
};

/** Turns whatever was thrown into a problem document; the unexpected is logged, not told. */
export const problemHandler: ErrorRequestHandler = (error: unknown, request, response, next) => {
  if (response.headersSent) return next(error);
  const document = documentOf(error);
  if (document.status >= 500) logFailure(error, request, document.status);
  if (document.status === 503) response.set('Retry-After', '2');
  response.status(document.status).type('application/problem+json').json(document);
};

/** One line: which request, which route, which kind of error. No path, no values, no message. */
function logFailure(error: unknown, request: Request, status: number): void {
  const route = (request.route as { readonly path?: unknown } | undefined)?.path;
  console.error(
    JSON.stringify({
      request: request.requestId,
      status,
      method: request.method,
      route: typeof route === 'string' ? route : 'none',
      error: error instanceof Error ? error.name : typeof error,
      code: codeOf(error),
      at: status === 503 ? undefined : framesOf(error),
    }),
  );
}

function documentOf(error: unknown): ProblemDocument {
  if (error instanceof Problem) return error.document;
  const status = statusOf(error);
  if (status < 500)
    return { type: 'bad-request', title: STATUS_CODES[status] ?? 'Bad request', status };
  switch (databaseFailure(error)) {
    case 'gone':
      return {
        type: 'database-unavailable',
        title: 'The database does not answer',
        detail: 'Nothing was lost: try again in a moment.',
        status: 503,
      };
    case 'busy':
      return {
        type: 'database-busy',
        title: 'The database was busy for too long',
        detail: 'Nothing was half-written: try again in a moment.',
        status: 503,
      };
    case undefined:
      return { type: 'internal', title: 'Something went wrong on the server', status: 500 };
  }
}

/** Body parsers mark their errors with a status. */
function statusOf(error: unknown): number {
  const status = error instanceof Error && 'status' in error ? error.status : undefined;
  return typeof status === 'number' && status >= 400 && status < 500 ? status : 500;
}
