import type { Random } from './random';

/** Values that code forgets about: each has ended some program somewhere. */
const ODD: readonly unknown[] = [
  null,
  true,
  false,
  0,
  -0,
  -1,
  1,
  0.1,
  1e308,
  -1e308,
  5e-324,
  2 ** 31 - 1,
  2 ** 31,
  2 ** 53,
  '',
  ' ',
  '0',
  'null',
  'NaN',
  'constructor',
  '__proto__',
  'toString',
  '\u0000',
  'a\u0000b',
  '\ud800',
  '\udfff x',
  '\u202e txt',
  'é'.repeat(300),
  'x'.repeat(5000),
  '<script>alert(1)</script>',
  "'; drop table jobs; --",
  '=1+1',
  '../../etc/passwd',
  '%00',
  '2026-02-30T00:00:00Z',
  '2026-W01-1',
  '2026-123',
  '01890a5d-ac96-774b-bcce-b302099a8057',
  [],
  [null],
  [[]],
  [1, 2, 3],
  {},
  { constructor: 1 },
  { toString: null },
  { length: 3 },
  { key: { constructor: 1 } },
];

/** A value that is seldom what was expected. */
export function oddValue(random: Random): unknown {
  if (random.chance(0.03)) return nested(random.pick([5, 12, 500, 1500]), random.chance(0.5));
  if (random.chance(0.03)) return Array.from({ length: random.pick([50, 1000]) }, () => 1);
  if (random.chance(0.03)) return manyKeys(random.pick([70, 2000]));
  // A copy: what is spoilt further must not spoil the next request's.
  return structuredClone(random.pick(ODD));
}

/** Names of fields, ours and the language's own. */
export const FIELD_NAMES = [
  'constructor',
  '__proto__',
  'prototype',
  'hasOwnProperty',
  'toJSON',
  'then',
  'length',
  'id',
  'version',
  'state',
  'feeds',
  '',
  'x'.repeat(200),
  '\u0000',
] as const;

function nested(depth: number, asList: boolean): unknown {
  let value: unknown = 1;
  for (let level = 0; level < depth; level += 1) value = asList ? [value] : { a: value };
  return value;
}

function manyKeys(count: number): object {
  return Object.fromEntries(Array.from({ length: count }, (_, index) => [`k${index}`, index]));
}
