import type { JobView } from '@lucky-thread/contract';
import { FALLS_ASLEEP_MIN, parkedDrain } from '@lucky-thread/core/prove';
import { fieldProblem } from '../../sizing/fieldProblem';
import { useKeptDraft } from '../../store/keptDraft';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { NumberField } from '../../ui/NumberField';
import { useUnits } from '../../ui/Units';
import { Words } from '../../ui/Words';

/** What the parked car draws, before and after: only where the device hangs on a constant. */
export function ParkedDrain({ job }: { readonly job: JobView }) {
  const units = useUnits();
  const { draft, setDraft } = useKeptDraft<{ readonly beforeA?: number; readonly afterA?: number }>(
    `drain ${job.id}`,
    {},
  );
  if (!job.device.feeds.some(({ role }) => role === 'constant')) return null;
  // A slip that was no number comes back from the device as null.
  const [beforeA, afterA] = [draft.beforeA ?? undefined, draft.afterA ?? undefined];
  const standbyA = job.device.feeds.reduce((sum, feed) => sum + (feed.standbyA ?? 0), 0);
  const problems = [beforeA, afterA].map((value) => fieldProblem('parasiticA', value, units));
  const verdict =
    beforeA === undefined || afterA === undefined || problems.some((one) => one !== undefined)
      ? undefined
      : parkedDrain({ beforeA, afterA, standbyA });
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
    </Card>
  );
}
