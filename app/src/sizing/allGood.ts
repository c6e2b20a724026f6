import type { SizingField } from '@lucky-thread/core/size';
import { numberProblems } from '@lucky-thread/core/size';

/** Whether every number that must be there is there, and in its range. */
export function allGood(
  numbers: Partial<Record<SizingField, number | undefined>>,
  optional: readonly SizingField[] = [],
): boolean {
  return (Object.entries(numbers) as [SizingField, number | undefined][]).every(
    ([field, value]) =>
      (value === undefined && optional.includes(field)) ||
      (value !== undefined && numberProblems({ [field]: value }).length === 0),
  );
}
