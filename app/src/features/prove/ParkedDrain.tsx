import { FALLS_ASLEEP_MIN, parkedDrain } from '@lucky-thread/core/prove';
import { DRAIN_ITEMS, closingValue, standbyOf } from '@lucky-thread/work';
import { fieldProblem } from '../../sizing/fieldProblem';
import { useKeptDraft } from '../../store/keptDraft';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { NumberField } from '../../ui/NumberField';
import { useUnits } from '../../ui/Units';
import { Words } from '../../ui/Words';
import type { ClosingProps } from './closing';

/** What the parked car draws, before and after: only where the device hangs on a constant. */
export function ParkedDrain({ job, onNote }: ClosingProps) {
  const units = useUnits();
  const { draft, setDraft } = useKeptDraft<{ readonly beforeA?: number; readonly afterA?: number }>(
    `drain ${job.id}`,
    {},
  );
  if (!job.device.feeds.some(({ role }) => role === 'constant')) return null;
  const noted = closingValue(job, DRAIN_ITEMS.before);
  const after = closingValue(job, DRAIN_ITEMS.after);
  // A slip that was no number comes back from the device as null.
  const [beforeA, afterA] = [draft.beforeA ?? noted, draft.afterA ?? after];
  const problems = [beforeA, afterA].map((value) => fieldProblem('parasiticA', value, units));
  const whole = !problems.some((one) => one !== undefined);
  const verdict =
    beforeA === undefined || afterA === undefined || !whole
      ? undefined
      : parkedDrain({ beforeA, afterA, standbyA: standbyOf(job) });
  const note = (): void => {
    for (const [item, value] of [
      [DRAIN_ITEMS.before, beforeA],
      [DRAIN_ITEMS.after, afterA],
    ] as const)
      if (value !== undefined) onNote({ item, done: true, value });
  };
  const isNoted = beforeA === noted && afterA === after;
  return (
    <Card testID="parked-drain">
      <Words kind="heading">What it draws parked</Words>
      <Words kind="small">
        {`Clamp on the battery’s minus, doors shut, key away, ${FALLS_ASLEEP_MIN} minutes: once with the added fuses out, once with them in.`}
      </Words>
      <NumberField
        label="Fuses out"
        of={{ unit: 'A' }}
        value={beforeA}
        problem={problems[0]}
        testID="drain-before"
        onValue={(value) => setDraft({ ...draft, beforeA: value })}
      />
      <NumberField
        label="Fuses in"
        of={{ unit: 'A' }}
        value={afterA}
        problem={problems[1]}
        testID="drain-after"
        onValue={(value) => setDraft({ ...draft, afterA: value })}
      />
      {verdict?.good === false && <Caution testID="drain-verdict">{verdict.text}</Caution>}
      {verdict?.good === true && <Words testID="drain-verdict">{`✓ ${verdict.text}`}</Words>}
      <ActionButton
        label={isNoted && noted !== undefined ? 'Noted on the job' : 'Note it on the job'}
        testID="drain-note"
        disabled={!whole || isNoted}
        onPress={note}
      />
    </Card>
  );
}
