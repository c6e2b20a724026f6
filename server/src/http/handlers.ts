import { STATUS_CODES } from 'node:http';
import type { ErrorRequestHandler, RequestHandler } from 'express';
import { validate } from '@lucky-thread/contract';
import type { ProblemDocument } from '@lucky-thread/contract';
import { Problem, invalid, notFound } from './problem';

/**
 * Checks an input against its request class.
 *
 * @throws Problem with every wrong field and its path.
 */
export function checked<T extends object>(type: new () => T, body: unknown): T {
  const result = validate(type, body);
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
export const problemHandler: ErrorRequestHandler = (error: unknown, _request, response, next) => {
  if (response.headersSent) return next(error);
  const document = documentOf(error);
  if (document.status >= 500) console.error(error);
  response.status(document.status).type('application/problem+json').json(document);
};

function documentOf(error: unknown): ProblemDocument {
  if (error instanceof Problem) return error.document;
  const status = statusOf(error);
  if (status < 500)
    return { type: 'bad-request', title: STATUS_CODES[status] ?? 'Bad request', status };
  if (isConnectionLoss(error))
    return {
      type: 'database-unavailable',
      title: 'The database does not answer',
      detail: 'Nothing was lost: try again in a moment.',
      status: 503,
    };
  return { type: 'internal', title: 'Something went wrong on the server', status: 500 };
}

/** Body parsers mark their errors with a status. */
function statusOf(error: unknown): number {
  const status = error instanceof Error && 'status' in error ? error.status : undefined;
  return typeof status === 'number' && status >= 400 && status < 500 ? status : 500;
}

const CONNECTION_CODES = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  '57P01',
  '57P03',
  '08006',
  '08001',
]);

function isConnectionLoss(error: unknown): boolean {
  if (!(error instanceof Error)) return false;
  if ('code' in error && CONNECTION_CODES.has(String(error.code))) return true;
  return isConnectionLoss(error.cause) || /Connection terminated/.test(error.message);
}
