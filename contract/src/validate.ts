import 'reflect-metadata';
import { plainToInstance } from 'class-transformer';
import type { ClassConstructor } from 'class-transformer';
import type { ValidationError } from 'class-validator';
import { validateSync } from 'class-validator';
import type { FieldProblem } from './fieldProblem';
import { shapeProblem } from './rules/plainShape';

/** A checked input, or everything that is wrong with it. */
export type Validated<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly problems: readonly FieldProblem[] };

/** Most problems that one answer names; whoever has more starts with these. */
export const MOST_PROBLEMS = 50;

/**
 * Checks a plain object against a request class; every wrong field is named (the first {@link MOST_PROBLEMS} of them),
 * and fields that the class does not know are problems too. Depth, names, characters and sizes are checked before
 * anything is built.
 */
export function validate<T extends object>(
  type: ClassConstructor<T>,
  plain: unknown,
): Validated<T> {
  if (typeof plain !== 'object' || plain === null || Array.isArray(plain))
    return { ok: false, problems: [{ path: '', message: 'an object is expected' }] };
  const shape = shapeProblem(plain);
  if (shape !== undefined) return { ok: false, problems: [shape] };
  const value = plainToInstance(type, plain);
  // One message per field: the others mostly follow from the first.
  const rules = { whitelist: true, forbidNonWhitelisted: true, stopAtFirstError: true };
  const errors = validateSync(value, rules);
  if (errors.length === 0) return { ok: true, value };
  return { ok: false, problems: errors.flatMap((e) => flatten(e, '')).slice(0, MOST_PROBLEMS) };
}

function flatten(error: ValidationError, prefix: string): FieldProblem[] {
  const path = `${prefix}${error.property}`;
  const own = Object.values(error.constraints ?? {}).map((message) => ({ path, message }));
  return [...own, ...(error.children ?? []).flatMap((child) => flatten(child, `${path}.`))];
}
