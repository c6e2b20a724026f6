import { useCallback, useEffect, useMemo, useRef } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../../ui/ActionButton';
import { Caution } from '../../ui/Caution';
import { useWide } from '../../ui/Screen';
import { NotWorkedOut } from '../../ui/States';
import { SPACE } from '../../ui/tokens';
import { WithDock } from '../../ui/WithDock';
import { Words } from '../../ui/Words';
import { useJobReadings, coreReadings } from '../../work/jobReadings';
import { askBuilder } from '../../workers/builder';
import { useAnswer } from '../../workers/useAnswer';
import { useSteady } from '../../workers/useSteady';
import { DiagramCard } from './DiagramCard';
import { MatchingCard } from './MatchingCard';
import { PapersCard } from './PapersCard';
import { PartsCard } from './PartsCard';
import { RouteCard } from './RouteCard';
import { StepDock } from './StepDock';
import { StepList } from './StepList';
import { MissingTaps } from '../../shell/MissingTaps';
import { bodyOf, isWholeJob, restoreStepsOf } from '@lucky-thread/work';
import type { JobContext } from '@lucky-thread/work';
import type { JobChange } from '../../work/useJobChange';
import { useJobChange } from '../../work/useJobChange';

/** Build: where the leads run, what is cut and taken along, lead to wire, and the steps one at a time. */
export function BuildScreen({ context }: { readonly context: JobContext }) {
  const { rows } = useJobReadings(context.job.id);
  const change = useJobChange(context.job);
  const wide = useWide();
  const readings = useMemo(() => coreReadings(rows), [rows]);
  const { job, model, taps, settings } = context;
  // A step that is done changes nothing of the plan: nothing is worked out anew for it.
  const question = useSteady(
    useMemo(
      () => ({ context: { job: planned(job), model, taps, settings }, readings }),
      [job, model, taps, settings, readings],
    ),
  );
  const { answer: plan, problem, retry } = useAnswer(question, askBuilder);
  const body = useMemo(() => bodyOf(question.context), [question]);
  const takeBack = useTakeBack(change.noteStep);
  if (!isWholeJob(context)) return <MissingTaps />;
  const steps = plan?.order.steps ?? [];
  const done = new Set(job.steps.map(({ stepId }) => stepId));
  const now = steps.find(({ id }) => !done.has(id));
  const list = plan !== undefined && (
    <StepList steps={steps} done={job.steps} nowId={now?.id} onBack={takeBack} />
  );
  return (
    <WithDock
      testID="build"
      low
      dock={
        <View style={styles.text}>
          {now !== undefined && (
            <StepDock
              key={now.id}
              jobId={job.id}
              body={body}
              step={now}
              number={steps.indexOf(now) + 1}
              all={steps.length}
              onDone={() => change.noteStep({ stepId: now.id, done: true, reason: null })}
              onPass={(reason) => change.noteStep({ stepId: now.id, done: true, reason })}
            />
          )}
          <ActionButton
            kind={now === undefined || now.id === 'prove' ? 'next' : 'quiet'}
            label="To the proofs"
            testID="go-prove"
            onPress={() => change.goTo('prove')}
          />
          {wide && list}
        </View>
      }
    >
      <View style={styles.stack}>
        {change.problem !== undefined && <Caution testID="job-problem">{change.problem}</Caution>}
        <NotWorkedOut what="The order of work" problem={problem} onRetry={retry} />
        <Words kind="small" soft>
          The vehicle maker’s service information comes first. Where it differs, follow it.
        </Words>
        <RouteCard context={context} still={question.context} />
        {plan !== undefined && <PartsCard plan={plan} />}
        <DiagramCard question={question} />
        {plan !== undefined && <MatchingCard job={question.context.job} list={plan.matching} />}
        {!wide && list}
        <PapersCard question={question} />
        {context.job.vehicle.noTrace === true && <RestoreSheet context={context} />}
      </View>
    </WithDock>
  );
}

/** Taking a step back, by a function that stays itself: rows that have not changed are not drawn anew for it. */
function useTakeBack(noteStep: JobChange['noteStep']): (stepId: string) => void {
  const latest = useRef(noteStep);
  useEffect(() => {
    latest.current = noteStep;
  }, [noteStep]);
  return useCallback((stepId) => latest.current({ stepId, done: false, reason: null }), []);
}

/** A job as far as its plan goes. */
function planned(job: JobContext['job']): JobContext['job'] {
  return { ...job, steps: [], proofs: [], closing: [], version: 0, updatedAt: '', phase: 'build' };
}

/** How the car is brought back as it was, for the lease's end. */
function RestoreSheet({ context }: { readonly context: JobContext }) {
  const steps = restoreStepsOf(context);
  return (
    <View testID="restore" style={styles.text}>
      <Words kind="title">To give it back</Words>
      {steps.map((step, index) => (
        <View key={step.text}>
          <Words>{`${index + 1}. ${step.text}`}</Words>
          {step.keep !== undefined && (
            <Words kind="small" soft>
              {step.keep}
            </Words>
          )}
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.l },
  text: { gap: SPACE.s },
});
