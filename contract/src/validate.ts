import 'reflect-metadata';
import { plainToInstance } from 'class-transformer';
import type { ClassConstructor } from 'class-transformer';
import type { ValidationError } from 'class-validator';
import { validateSync } from 'class-validator';

/** One thing that is wrong with an input, and where. */
export interface FieldProblem {
  /** Path of the field, e.g. `device.feeds.0.currentA`. */
  readonly path: string;
  readonly message: string;
}

/** A checked input, or everything that is wrong with it. */
export type Validated<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly problems: readonly FieldProblem[] };

/** Checks a plain object against a request class; every wrong field is named, and fields that the class does not know are problems too. */
export function validate<T extends object>(
  type: ClassConstructor<T>,
  plain: unknown,
): Validated<T> {
  if (typeof plain !== 'object' || plain === null || Array.isArray(plain))
    return { ok: false, problems: [{ path: '', message: 'an object is expected' }] };
  const value = plainToInstance(type, plain);
  // One message per field: the others mostly follow from the first.
  const rules = { whitelist: true, forbidNonWhitelisted: true, stopAtFirstError: true };
  const errors = validateSync(value, rules);
  if (errors.length === 0) return { ok: true, value };
  return { ok: false, problems: errors.flatMap((error) => flatten(error, '')) };
}

function flatten(error: ValidationError, prefix: string): FieldProblem[] {
  const path = `${prefix}${error.property}`;
  const own = Object.values(error.constraints ?? {}).map((message) => ({ path, message }));
  return [...own, ...(error.children ?? []).flatMap((child) => flatten(child, `${path}.`))];
}
