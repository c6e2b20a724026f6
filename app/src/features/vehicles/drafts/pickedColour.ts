import type { WireColourCode } from '@lucky-thread/core/vehicle';
import { WIRE_COLOURS } from '@lucky-thread/core/vehicle';

const CODES = Object.keys(WIRE_COLOURS) as WireColourCode[];
/** A colour without a stripe at the end of what was typed. */
const LAST = new RegExp(`(?:^|[,;\\n\\s&])(${CODES.join('|')})\\s*,?\\s*$`);

/** What was typed with another wire behind it. */
export function withBase(text: string, code: WireColourCode): string {
  const before = text.trimEnd();
  const apart = before === '' || /[,;\n&]$/.test(before) ? '' : ',';
  return `${before}${apart}${before === '' ? '' : ' '}${code}`;
}

/** The stripes that the last wire can have; undefined when it has one already, or there is none. */
export function withStripe(text: string):
  | {
      readonly base: WireColourCode;
      readonly codes: readonly WireColourCode[];
      /** What was typed with the stripe on its last wire. */
      readonly with: (code: WireColourCode) => string;
    }
  | undefined {
  const base = LAST.exec(text)?.[1] as WireColourCode | undefined;
  if (base === undefined) return undefined;
  return {
    base,
    codes: CODES.filter((code) => code !== base),
    with: (code) => `${text.trimEnd().replace(/,$/, '').trimEnd()}/${code}`,
  };
}
