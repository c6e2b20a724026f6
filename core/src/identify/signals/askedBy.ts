import type { PreparedNeed } from '../need/needs';

const ASKED = new WeakMap<PreparedNeed, string>();

/** What a need asks of a wire, whatever it is called: what was worked out for one counts for all that ask the same. */
export function askedBy(wanted: PreparedNeed): string {
  const known = ASKED.get(wanted);
  if (known !== undefined) return known;
  const { id: _name, excluded: _out, ...asked } = wanted.need;
  const key = JSON.stringify(asked);
  ASKED.set(wanted, key);
  return key;
}
