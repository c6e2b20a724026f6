import type { Assumption, Month, MonthPlan, SafeSettings } from '@lucky-thread/core/size/battery';
import { safeSettings, simulateMonth, weighAssumptions } from '@lucky-thread/core/size/battery';

/** Everything about a month: its course, the settings that keep it safe, and what it hangs on. */
export interface MonthAnswer {
  /** The battery over the days. */
  readonly month: Month;
  /** Settings that leave a start; undefined when none does. */
  readonly safe: SafeSettings | undefined;
  /** What was taken as given. */
  readonly assumptions: readonly Assumption[];
}

/** Works a month out. */
export function workOutMonth(plan: MonthPlan): MonthAnswer {
  return {
    month: simulateMonth(plan),
    safe: safeSettings(plan),
    assumptions: weighAssumptions(plan),
  };
}
