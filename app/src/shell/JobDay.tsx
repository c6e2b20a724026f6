import type { JobView } from '@lucky-thread/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../ui/ActionButton';
import { Choice } from '../ui/Choice';
import { Field } from '../ui/Field';
import { SPACE } from '../ui/tokens';
import { Words } from '../ui/Words';
import { dayWords, daysFrom } from '../ui/days';
import { useToday } from '../ui/useToday';

/** Days that are offered by a touch. */
const OFFERED = 7;
const NO_DAY = 'none';

/** The day that a job is for: what is loaded into the van for a day goes by it. */
export function JobDay(props: {
  readonly job: Pick<JobView, 'day'>;
  readonly onDay: (day: string | null) => void;
}) {
  const { day } = props.job;
  const [open, setOpen] = useState(false);
  const [typed, setTyped] = useState('');
  const today = useToday();
  const offered = daysFrom(today, OFFERED);
  const choose = (chosen: string | null): void => {
    setOpen(false);
    setTyped('');
    props.onDay(chosen);
  };
  const ask = (
    <ActionButton
      kind="quiet"
      label={day === null ? 'For which day…' : 'Another day…'}
      testID="day-ask"
      onPress={() => setOpen(true)}
    />
  );
  if (!open)
    return day === null ? (
      ask
    ) : (
      <View style={styles.row}>
        <Words kind="label" style={styles.grow} testID="job-day">
          {`For ${dayWords(day, today)}`}
        </Words>
        {ask}
      </View>
    );
  return (
    <View style={styles.stack}>
      <Words kind="label">For which day?</Words>
      <Choice
        label="For which day"
        testID="day"
        options={[
          ...offered.map((value) => ({ value, label: dayWords(value, today) })),
          { value: NO_DAY, label: 'no day yet' },
        ]}
        value={day ?? NO_DAY}
        onChange={(value) => choose(value === NO_DAY ? null : value)}
      />
      <View style={styles.typed}>
        <View style={styles.grow}>
          <Field
            label="A later day"
            hint={`year-month-day, e.g. ${offered.at(-1) ?? ''}`}
            problem={typed === '' || isDay(typed) ? undefined : 'a day such as 2026-05-04'}
            testID="day-typed"
            value={typed}
            onChange={setTyped}
          />
        </View>
        <ActionButton
          label="Note it"
          testID="day-note"
          disabled={!isDay(typed)}
          onPress={() => choose(typed.trim())}
        />
      </View>
    </View>
  );
}

/** Whether a text is a day that there is; the 31st of a short month is none. */
function isDay(text: string): boolean {
  const day = text.trim();
  const at = new Date(`${day}T12:00:00Z`);
  return (
    /^\d{4}-\d{2}-\d{2}$/.test(day) &&
    !Number.isNaN(at.getTime()) &&
    at.toISOString().startsWith(day)
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.s },
  row: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  typed: { flexDirection: 'row', alignItems: 'flex-start', gap: SPACE.s },
  grow: { flex: 1 },
});
