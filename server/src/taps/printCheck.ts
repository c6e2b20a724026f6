import { isAgainstItsPrint, screenSlot, whyOnlyWithReason } from '@lucky-thread/core/choose';
import type { Verdict } from '@lucky-thread/core/identify';
import type { Source } from '@lucky-thread/core/vehicle';
import { invalid } from '../http/problem';

/**
 * A print that the readings speak against is no more harmless than one that warns.
 *
 * @throws Problem 422 when it was taken without a reason.
 */
export function checkPrint(source: Source, verdict: Verdict, reason: string | undefined): void {
  if (source.kind !== 'slot' || reason !== undefined) return;
  const screening = screenSlot(source);
  const label = { safety: screening.class, reason: screening.reason };
  if (!isAgainstItsPrint(label, verdict)) return;
  const why = whyOnlyWithReason(label, verdict) ?? '';
  throw invalid([{ path: 'reason', message: `say in the plan why it was taken. ${why}` }]);
}
