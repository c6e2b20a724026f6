import type { FieldProblem } from '../fieldProblem';

/**
 * Limits of an input before anything is built from it. They lie far above what the application sends, and far below
 * what would hurt: deep nesting ends the stack of whatever walks it recursively.
 */
export const SHAPE_LIMITS = {
  /** Objects and lists within each other. */
  depth: 10,
  /** Fields of one object. */
  fields: 60,
  /** Entries of one list. */
  entries: 200,
  /** Values altogether. */
  values: 5000,
  /** Characters of one text. */
  characters: 4000,
} as const;

/** Most characters of a path that are repeated to the client. */
const PATH_CHARACTERS = 120;
/** Keys that mean something to the language itself. */
const RESERVED = new Set(['__proto__', 'constructor', 'prototype']);
/** C0 controls save tab, line feed and carriage return: PostgreSQL takes no NUL, and no text of ours has the others. */
const CONTROL = /[\u0000-\u0008\u000B\u000C\u000E-\u001F]/;

interface Step {
  readonly value: unknown;
  readonly path: string;
  readonly depth: number;
}

/** Half of a surrogate pair: no character, and nothing that UTF-8 can hold. */
const HALF_PAIR = /\p{Surrogate}/gu;

/** Whether a text can be stored: no control characters, no half of a surrogate pair. */
export function isStorableText(text: string): boolean {
  return !CONTROL.test(text) && text.search(HALF_PAIR) < 0;
}

/**
 * The first thing about a plain value's shape that nothing further may be built from: depth, number, names, characters,
 * sizes. Undefined when there is none. Walks without recursion and stops at the first, so that the answer is short
 * and quick whatever was sent.
 */
export function shapeProblem(plain: unknown): FieldProblem | undefined {
  const steps: Step[] = [{ value: plain, path: '', depth: 0 }];
  let values = 0;
  for (let step = steps.pop(); step !== undefined; step = steps.pop()) {
    values += 1;
    if (values > SHAPE_LIMITS.values)
      return { path: '', message: `at most ${SHAPE_LIMITS.values} values are taken` };
    const message = problemOf(step);
    if (message !== undefined) return { path: shown(step.path), message };
    steps.push(...below(step));
  }
  return undefined;
}

function problemOf({ value, depth }: Step): string | undefined {
  if (typeof value === 'string') return textProblem(value);
  if (typeof value !== 'object' || value === null) return undefined;
  if (depth >= SHAPE_LIMITS.depth) return `is nested deeper than ${SHAPE_LIMITS.depth} levels`;
  if (Array.isArray(value))
    return value.length > SHAPE_LIMITS.entries
      ? `has more than ${SHAPE_LIMITS.entries} entries`
      : undefined;
  const keys = Object.keys(value);
  if (keys.length > SHAPE_LIMITS.fields) return `has more than ${SHAPE_LIMITS.fields} fields`;
  const odd = keys.find((key) => RESERVED.has(key) || !isStorableText(key) || key.length > 60);
  return odd === undefined ? undefined : `cannot have a field ${JSON.stringify(shown(odd))}`;
}

function textProblem(text: string): string | undefined {
  if (text.length > SHAPE_LIMITS.characters)
    return `is longer than ${SHAPE_LIMITS.characters} characters`;
  return isStorableText(text) ? undefined : 'holds characters that are no text';
}

function below({ value, path, depth }: Step): Step[] {
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).map(([key, one]) => ({
    value: one as unknown,
    path: path === '' ? key : `${path}.${key}`,
    depth: depth + 1,
  }));
}

function shown(path: string): string {
  return path.slice(0, PATH_CHARACTERS).replace(HALF_PAIR, '\uFFFD');
}
