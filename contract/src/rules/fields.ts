import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  ArrayUnique,
  IsInt,
  IsObject,
  Max,
  Min,
  ValidateBy,
  ValidateIf,
  ValidateNested,
  isISO8601,
} from 'class-validator';
import type { ValidationOptions } from 'class-validator';
import { numberProblems, rangeText } from '@lucky-thread/core/size/terms';
import type { SizingField } from '@lucky-thread/core/size';
import { isInstant } from './isInstant';

/** Highest value of a version; one below what PostgreSQL's integer holds, since a change adds one. */
export const MAX_VERSION = 2 ** 31 - 2;

function all(...decorators: readonly PropertyDecorator[]): PropertyDecorator {
  return (target, property) => decorators.forEach((decorate) => decorate(target, property));
}

/** The field may be left out; `null` is not the same as left out. */
export function Optional(): PropertyDecorator {
  return ValidateIf((_object, value) => value !== undefined);
}

/** The field must be there, and may be null. */
export function OrNull(): PropertyDecorator {
  return ValidateIf((_object, value) => value !== null);
}

/** A number within what the sizing takes: the range stands once, with the computation. */
export function InRange(field: SizingField, options?: ValidationOptions): PropertyDecorator {
  return ValidateBy(
    {
      name: 'inRange',
      validator: {
        validate: (value: unknown) =>
          typeof value === 'number' && numberProblems({ [field]: value }).length === 0,
        defaultMessage: () => rangeText(field),
      },
    },
    options,
  );
}

/** One nested object of a class; a list is none. */
export function Nested(type: () => new () => object): PropertyDecorator {
  return all(
    IsObject({ message: '$property must be one object' }),
    ValidateNested(),
    Type(type) as PropertyDecorator,
  );
}

/** A list of nested objects of a class. */
export function NestedList(
  type: () => new () => object,
  size: { readonly min?: number; readonly max: number; readonly tooFew?: string },
): PropertyDecorator {
  return all(
    ArrayMinSize(size.min ?? 0, {
      message: size.tooFew ?? `$property must be a list of at least ${size.min ?? 0}`,
    }),
    ArrayMaxSize(size.max, { message: `$property must be a list of at most ${size.max}` }),
    IsObject({ each: true, message: 'each entry of $property must be one object' }),
    ValidateNested({ each: true }),
    Type(type) as PropertyDecorator,
  );
}

/** Entries of a list differ in one of their fields; what is no entry is left to the other rules. */
export function UniqueBy<T>(field: keyof T, message: string): PropertyDecorator {
  return ArrayUnique((entry: T | null | undefined) => entry?.[field], { message });
}

/** Most rows or columns of a panel or connector. */
const MOST_LINES = 50;

/** A row or a column of a panel or connector, from 0. */
export function GridIndex(): PropertyDecorator {
  return all(
    IsInt({ message: '$property is a whole number' }),
    Min(0, { message: '$property counts from 0' }),
    Max(MOST_LINES - 1, { message: `there are at most ${MOST_LINES} rows and columns` }),
  );
}

/** The version that a change was made from. */
export function Version(): PropertyDecorator {
  return all(
    IsInt({ message: 'the version must be a whole number' }),
    Min(1, { message: 'the version is at least 1' }),
    Max(MAX_VERSION, { message: `the version is at most ${MAX_VERSION}` }),
  );
}

/** A moment with its offset from UTC, e.g. `2026-05-04T10:00:00.000Z`. */
export function Instant(): PropertyDecorator {
  return ValidateBy({
    name: 'instant',
    validator: {
      validate: isInstant,
      defaultMessage: () => 'must be a moment such as 2026-05-04T10:00:00.000Z',
    },
  });
}

/** A day of the calendar, e.g. `2026-05-04`. */
export function CalendarDay(): PropertyDecorator {
  return ValidateBy({
    name: 'calendarDay',
    validator: {
      validate: (value: unknown) =>
        typeof value === 'string' && value.length === 10 && isISO8601(value, { strict: true }),
      defaultMessage: () => '$property must be a day such as 2026-05-04',
    },
  });
}
