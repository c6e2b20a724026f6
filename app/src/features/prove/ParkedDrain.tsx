import { memo } from 'react';
import { FALLS_ASLEEP_MIN, parkedDrain } from '@lucky-thread/core/prove';
import type { SizingField } from '@lucky-thread/core/size';
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

/** What is typed, as it lies on the device; a slip that was no number comes back from it as null. */
interface Typed {
  readonly beforeA?: number | null;
  readonly afterA?: number | null;
  readonly asleepMin?: number | null;
}

/** What the parked car draws, before and after, and when it fell asleep: only where the device hangs on a constant. */
export const ParkedDrain = memo(function ParkedDrain({ job, onNote }: ClosingProps) {
  const units = useUnits();
  const { draft, setDraft } = useKeptDraft<Typed>(`drain ${job.id}`, {});
  if (!job.device.feeds.some(({ role }) => role === 'constant')) return null;
  const fields = FIELDS.map((field) => {
    const noted = closingValue(job, field.item);
    const value = draft[field.key] ?? noted;
    return { ...field, noted, value, problem: fieldProblem(field.range, value, units) };
  });
  const [beforeA, afterA, asleepAfterMin] = fields.map(({ value }) => value);
  const whole = fields.every(({ problem }) => problem === undefined);
  const changed = fields.filter(({ value, noted }) => value !== undefined && value !== noted);
  const verdict =
    beforeA === undefined || afterA === undefined || !whole
      ? undefined
      : parkedDrain({ beforeA, afterA, standbyA: standbyOf(job), asleepAfterMin });
  const isNoted = changed.length === 0 && fields.some(({ noted }) => noted !== undefined);
  return (
    <Card testID="parked-drain">
      <Words kind="heading">What it draws parked</Words>
      <Words kind="small">
        {`Clamp on the battery’s minus, doors shut, key away, ${FALLS_ASLEEP_MIN} minutes: once with the added fuses out, once with them in.`}
      </Words>
      {fields.map(({ key, label, unit, value, problem, testID }) => (
        <NumberField
          key={key}
          label={label}
          of={{ unit }}
          value={value}
          problem={problem}
          testID={testID}
          onValue={(next) => setDraft({ ...draft, [key]: next })}
        />
      ))}
      {verdict?.good === false && <Caution testID="drain-verdict">{verdict.text}</Caution>}
      {verdict?.good === true && <Words testID="drain-verdict">{`✓ ${verdict.text}`}</Words>}
      <ActionButton
        label={isNoted ? 'Noted on the job' : 'Note it on the job'}
        testID="drain-note"
        disabled={!whole || changed.length === 0}
        onPress={() =>
          changed.forEach(({ item, value }) => onNote({ item, done: true, value: value ?? null }))
        }
      />
    </Card>
  );
});

interface DrainField {
  readonly key: keyof Typed;
  readonly item: string;
  readonly label: string;
  readonly unit: string;
  readonly range: SizingField;
  readonly testID: string;
}

const FIELDS: readonly DrainField[] = [
  {
    ...{ key: 'beforeA', item: DRAIN_ITEMS.before, label: 'Fuses out', unit: 'A' },
    ...{ range: 'parasiticA', testID: 'drain-before' },
  },
  {
    ...{ key: 'afterA', item: DRAIN_ITEMS.after, label: 'Fuses in', unit: 'A' },
    ...{ range: 'parasiticA', testID: 'drain-after' },
  },
  {
    ...{ key: 'asleepMin', item: DRAIN_ITEMS.asleep, label: 'Fell asleep after', unit: 'min' },
    ...{ range: 'asleepMin', testID: 'drain-asleep' },
  },
];
