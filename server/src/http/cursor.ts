import { isStorableText } from '@lucky-thread/contract';
import { invalid } from './problem';

/** Longest cursor that is read, characters. */
const LONGEST = 600;

/** Where a page ends, as an opaque text for the next request. */
export function cursorOf(parts: readonly string[]): string {
  return Buffer.from(JSON.stringify(parts)).toString('base64url');
}

/**
 * Where the page before ended, as its parts; undefined for the first page.
 *
 * @param forms what each part must look like
 * @throws Problem when it is no cursor of ours.
 */
export function cursorIn(value: unknown, forms: readonly RegExp[]): readonly string[] | undefined {
  if (value === undefined) return undefined;
  const parts = typeof value === 'string' && value.length <= LONGEST ? partsOf(value) : undefined;
  const fits =
    parts?.length === forms.length &&
    parts.every((part, index) => isStorableText(part) && forms[index]?.test(part) === true);
  if (!fits) throw invalid([{ path: 'after', message: 'is no place in this list' }]);
  return parts;
}

function partsOf(text: string): string[] | undefined {
  try {
    const parsed: unknown = JSON.parse(Buffer.from(text, 'base64url').toString('utf8'));
    const isTexts = Array.isArray(parsed) && parsed.every((part) => typeof part === 'string');
    return isTexts ? parsed : undefined;
  } catch {
    // Not ours: the caller says so.
    return undefined;
  }
}

/** A timestamp as PostgreSQL writes it. */
export const TIMESTAMP_FORM = /^\d{4}-\d{2}-\d{2} \d{2}:\d{2}:\d{2}(\.\d{1,6})?[+-]\d{2}(:\d{2})?$/;
/** An id. */
export const ID_FORM = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;
/** Any text that an id of a source can be. */
export const SOURCE_FORM = /^.{1,80}$/s;
