/** Errors of connections: the database is gone, stopping, starting or full. */
const CONNECTION_CODES = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'ECONNABORTED',
  'EPIPE',
  'ETIMEDOUT',
  '08000',
  '08001',
  '08003',
  '08006',
  '53300',
  '57P01',
  '57P02',
  '57P03',
  '57P05',
]);
/** Errors of waiting: a lock, a statement or a transaction that took too long, or two that waited for each other. */
const WAITING_CODES = new Set(['55P03', '57014', '25P03', '25P04', '40001', '40P01']);
/** What the driver says without a code. */
const DRIVER_MESSAGES =
  /Connection terminated|timeout exceeded when trying to connect|Query read timeout|not queryable|Cannot use a pool after calling end/;

/** How a failed query is to be told: the database is `gone`, or was too `busy`; undefined for every other error. */
export function databaseFailure(error: unknown): 'gone' | 'busy' | undefined {
  if (!(error instanceof Error)) return undefined;
  const code = codeOf(error);
  if (code !== undefined && CONNECTION_CODES.has(code)) return 'gone';
  if (code !== undefined && WAITING_CODES.has(code)) return 'busy';
  if (DRIVER_MESSAGES.test(error.message)) return 'gone';
  return databaseFailure(error.cause);
}

/** The code of an error or of what caused it, e.g. a SQLSTATE; undefined when there is none. */
export function codeOf(error: unknown): string | undefined {
  if (!(error instanceof Error)) return undefined;
  if ('code' in error && typeof error.code === 'string') return error.code;
  return codeOf(error.cause);
}

/** Lines of a stack that are kept. */
const FRAMES = 8;

/** Where an error came from, without its message: messages of a database repeat the values of the query. */
export function framesOf(error: unknown): string[] {
  if (!(error instanceof Error)) return [];
  const frames = (error.stack ?? '').split('\n').filter((line) => /^\s+at /.test(line));
  return frames.slice(0, FRAMES).map((line) => line.trim());
}
