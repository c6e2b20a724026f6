import type { JobView } from '@lucky-thread/contract';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../ui/ActionButton';
import { Field } from '../ui/Field';
import { SPACE } from '../ui/tokens';
import { Words } from '../ui/Words';
import { isLogged } from '../work/phases';
import { JobDay } from './JobDay';
import { useJobChange } from '../work/useJobChange';

/** The day it is for, what holds a job up, and opening one again that was logged: said in a few words, for whoever takes it up next. */
export function JobStanding({ job }: { readonly job: JobView }) {
  const change = useJobChange(job);
  const isReopened = job.reopened !== null;
  return (
    <View style={styles.stack} testID="job-standing">
      {!isLogged(job) && <JobDay job={job} onDay={(day) => change.setStanding({ day })} />}
      <Said
        name="waits"
        label="What does it wait for?"
        hint="a part, the customer, another day"
        ask="It has to wait…"
        said={job.waitsFor === null ? undefined : `Waits for ${job.waitsFor}`}
        done="It is here: go on"
        onSay={(waitsFor) => change.setStanding({ waitsFor })}
      />
      {(isLogged(job) || isReopened) && (
        <Said
          name="reopened"
          label="Why is it opened again?"
          hint="e.g. the recorder stops in the car wash"
          ask="Open it again…"
          said={isReopened ? `Open again: ${job.reopened}` : undefined}
          done="Put right: close it"
          onSay={(reopened) => change.setStanding({ reopened })}
        />
      )}
    </View>
  );
}

function Said(props: {
  readonly name: string;
  readonly label: string;
  readonly hint: string;
  readonly ask: string;
  /** What was said; undefined where nothing was. */
  readonly said: string | undefined;
  readonly done: string;
  readonly onSay: (text: string | null) => void;
}) {
  const [typed, setTyped] = useState<string>();
  const { name, said } = props;
  if (said !== undefined)
    return (
      <View style={styles.row}>
        <Words kind="label" style={styles.grow} testID={`${name}-said`}>
          △ {said}
        </Words>
        <ActionButton
          label={props.done}
          testID={`${name}-over`}
          onPress={() => props.onSay(null)}
        />
      </View>
    );
  if (typed === undefined)
    return (
      <ActionButton
        kind="quiet"
        label={props.ask}
        testID={`${name}-ask`}
        onPress={() => setTyped('')}
      />
    );
  const text = typed.trim();
  const say = (): void => {
    setTyped(undefined);
    // Letter by letter: a sign of two halves is not cut in two.
    if (text !== '') props.onSay([...text].slice(0, LONGEST).join(''));
  };
  return (
    <View style={styles.row}>
      <View style={styles.grow}>
        <Field
          label={props.label}
          hint={props.hint}
          testID={`${name}-text`}
          value={typed}
          onChange={setTyped}
          onSubmit={say}
        />
      </View>
      <ActionButton label="Note it" testID={`${name}-say`} disabled={text === ''} onPress={say} />
    </View>
  );
}

/** Longest that can be said, letters. */
const LONGEST = 80;

const styles = StyleSheet.create({
  stack: { gap: SPACE.s },
  row: { flexDirection: 'row', alignItems: 'flex-start', gap: SPACE.s },
  grow: { flex: 1 },
});
