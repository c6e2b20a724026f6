import { MOST_PROBLEMS } from '@lucky-thread/contract';
import type { FieldProblem, ProblemDocument } from '@lucky-thread/contract';

/** An error that is meant for the client (RFC 9457). */
export class Problem extends Error {
  /** What the client is told. */
  readonly document: ProblemDocument;

  constructor(document: ProblemDocument) {
    super(document.title);
    this.name = 'Problem';
    this.document = document;
  }
}

/** Nothing of that name. */
export function notFound(what: string): Problem {
  return new Problem({ type: 'not-found', title: `${what} not found`, status: 404 });
}

/** Problems that are told in one sentence; the others stand in the list. */
const TOLD = 10;

/** The request was understood but what it says is wrong. */
export function invalid(errors: readonly FieldProblem[]): Problem {
  const more = errors.length - TOLD;
  const told = errors
    .slice(0, TOLD)
    .map((one) => (one.path === '' ? one.message : `${one.path}: ${one.message}`));
  return new Problem({
    type: 'invalid',
    title: 'Some of it is not valid',
    detail: [...told, ...(more > 0 ? [`and ${more} more`] : [])].join('; '),
    status: 422,
    errors: errors.slice(0, MOST_PROBLEMS),
  });
}

/** Somebody else changed it first. */
export function stale(current: unknown): Problem {
  return new Problem({
    type: 'stale',
    title: 'It was changed meanwhile',
    detail: 'Look at what it is now, then make the change again.',
    status: 409,
    current,
  });
}

/** The same id with other contents. */
export function conflict(detail: string, current?: unknown): Problem {
  return new Problem({
    type: 'conflict',
    title: 'That id is taken',
    detail,
    status: 409,
    ...(current === undefined ? {} : { current }),
  });
}

/** More of it is asked for than is made in good time. */
export function tooBusy(what: string): Problem {
  return new Problem({
    type: 'busy',
    title: `${what} are not made as fast as they are asked for`,
    detail: 'Try again in a minute.',
    status: 503,
  });
}

/** Not signed in, or the session ended. */
export function unauthenticated(): Problem {
  return new Problem({ type: 'unauthenticated', title: 'Sign in first', status: 401 });
}
