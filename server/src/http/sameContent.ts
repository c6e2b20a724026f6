import { isDeepStrictEqual } from 'node:util';

/** Whether two values say the same once both are JSON: order of fields and fields left out make no difference. */
export function sameContent(left: unknown, right: unknown): boolean {
  return isDeepStrictEqual(asJson(left), asJson(right));
}

function asJson(value: unknown): unknown {
  return value === undefined ? undefined : (JSON.parse(JSON.stringify(value)) as unknown);
}
