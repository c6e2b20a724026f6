import type { SizingField } from '@lucky-thread/core/size';
import { SIZING_RANGES, numberProblems } from '@lucky-thread/core/size';
import type { Quantity, UnitSystem } from '@lucky-thread/core/units';
import { shown } from '@lucky-thread/core/units';

/** Fields whose range is told in the user's units. */
const QUANTITY_OF: Partial<Record<SizingField, Quantity>> = {
  oneWayM: 'length',
  returnM: 'length',
  ambientC: 'temperature',
  temperatureC: 'temperature',
  boltMm: 'smallLength',
  clearanceMm: 'smallLength',
};

/** What is wrong with a number, in the user's units; undefined when it is right or not given. */
export function fieldProblem(
  field: SizingField,
  value: number | undefined,
  system: UnitSystem,
): string | undefined {
  if (numberProblems({ [field]: value }).length === 0) return undefined;
  const { low, high, unit, name } = SIZING_RANGES[field];
  const quantity = QUANTITY_OF[field];
  const text = (end: number): string =>
    quantity === undefined ? `${end} ${unit}`.trim() : shown(quantity, end, system);
  return `${name} must lie between ${text(low)} and ${text(high)}`;
}
