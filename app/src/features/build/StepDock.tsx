import type { BodyGraph, JobStep } from '@lucky-thread/core/build';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../../ui/ActionButton';
import { Caution } from '../../ui/Caution';
import { Field } from '../../ui/Field';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { StepPlace } from './StepPlace';
import { StepTimer } from './StepTimer';

/** Props of {@link StepDock}. */
export interface StepDockProps {
  /** UUID of the job. */
  readonly jobId: string;
  /** The step that it is about. */
  readonly step: JobStep;
  /** The body that its drawing shows. */
  readonly body: BodyGraph;
  /** Its place among all. */
  readonly number: number;
  /** How many steps there are. */
  readonly all: number;
  /** Called once it is done. */
  readonly onDone: () => void;
  /** Passed over; a hold point only with a reason. */
  readonly onPass: (reason: string) => void;
}

/** One step under the thumb: what, where, with what, how long, and what can hurt in it. */
export function StepDock(props: StepDockProps) {
  const { jobId, step, number, all, onDone, onPass } = props;
  const [passing, setPassing] = useState(false);
  const pass = (): void => {
    if (!step.hold) onPass('passed over');
    else setPassing(!passing);
  };
  return (
    <View style={styles.dock} aria-live="polite">
      <View style={styles.head}>
        <Words kind="small" soft testID="step-where" style={styles.grow}>
          {[
            `Step ${number} of ${all}`,
            step.where,
            ...(step.tool === undefined ? [] : [step.tool]),
            durationOf(step.seconds),
          ].join(' · ')}
        </Words>
        {step.spots !== undefined && <StepPlace body={props.body} spots={step.spots} />}
      </View>
      <Words kind="instruction" testID="step-now">
        {step.what}
      </Words>
      {step.cautions.map((caution) => (
        <Caution key={caution}>{caution}</Caution>
      ))}
      {step.waitS !== undefined && <StepTimer id={`${jobId} ${step.id}`} seconds={step.waitS} />}
      {passing && <PassReason onPass={onPass} />}
      <View style={styles.row}>
        <ActionButton
          kind="next"
          label="Done"
          testID="step-done"
          style={styles.grow}
          onPress={onDone}
        />
        <ActionButton
          label={step.hold ? 'Pass over…' : 'Pass over'}
          testID="step-pass"
          onPress={pass}
        />
      </View>
    </View>
  );
}

/** What must not be passed over lightly is passed over for a reason only. */
function PassReason({ onPass }: Pick<StepDockProps, 'onPass'>) {
  const [reason, setReason] = useState('');
  return (
    <>
      <Field
        label="Why is this passed over? It stays with the job."
        value={reason}
        testID="step-reason"
        onChange={setReason}
      />
      <ActionButton
        label="Pass over with this reason"
        testID="step-pass-reason"
        disabled={reason.trim().length < 3}
        onPress={() => onPass(reason.trim())}
      />
    </>
  );
}

/** A time as it is said. */
function durationOf(seconds: number): string {
  return seconds < 90 ? `${Math.round(seconds)} s` : `${Math.round(seconds / 60)} min`;
}

const styles = StyleSheet.create({
  dock: { gap: SPACE.s },
  head: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  row: { flexDirection: 'row', gap: SPACE.s },
  grow: { flex: 1 },
});
