import { validate } from '@lucky-thread/contract';
import { Problem } from './problem';

/** A stored entry that is not what its class says: written by an older version, or by hand. */
export class Unreadable extends Problem {
  constructor(what: string, path: string) {
    super({
      type: 'unreadable',
      title: `${what} cannot be read`,
      detail: `What is stored of it is damaged at ${path}. Nothing was deleted.`,
      status: 422,
    });
  }
}

/**
 * A stored value, checked on its way out like an input on its way in, so that no screen meets what no request may hold.
 * A `null` where older versions took one counts as left out.
 *
 * @throws Unreadable when it does not fit its class.
 */
export function readable<T extends object>(type: new () => T, stored: unknown, what: string): T {
  const plain = withoutNulls(stored);
  const result = validate(type, plain);
  if (!result.ok) throw new Unreadable(what, result.problems[0]?.path || 'its beginning');
  return plain as T;
}

function withoutNulls(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(withoutNulls);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, one]) => one !== null)
      .map(([key, one]) => [key, withoutNulls(one)]),
  );
}
