import type { Reading } from '@lucky-thread/core/identify';
import { memo, useCallback, useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../../ui/ActionButton';
import { useWide } from '../../ui/Screen';
import { DrawnInSight } from '../../ui/DrawnInSight';
import { NotWorkedOut } from '../../ui/States';
import { SPACE } from '../../ui/tokens';
import { WithDock } from '../../ui/WithDock';
import { Words } from '../../ui/Words';
import { askBuilder } from '../../workers/builder';
import { useAnswer } from '../../workers/useAnswer';
import { usePlanned } from '../../work/planned';
import { DiagramCard } from './DiagramCard';
import { GuideCard } from './GuideCard';
import { MatchingCard } from './MatchingCard';
import { PapersCard } from './PapersCard';
import { PartsCard } from './PartsCard';
import { RouteCard } from './RouteCard';
import { StepDock } from './StepDock';
import { StepList } from './StepList';
import { JobProblem } from '../../shell/JobProblem';
import { MissingTaps } from '../../shell/MissingTaps';
import { bodyOf, isWholeJob, restoreStepsOf } from '@lucky-thread/work';
import type { JobContext } from '@lucky-thread/work';
import type { JobChange } from '../../work/useJobChange';

/** Props of {@link BuildScreen}. */
export interface BuildScreenProps {
  /** The job with its vehicle, device, shop and log. */
  readonly context: JobContext;
  /** What was measured, oldest first. */
  readonly readings: readonly Reading[];
  /** Changes the job. */
  readonly change: JobChange;
}

/** Build: where the leads run, what is cut and taken along, lead to wire, and the steps one at a time. */
export const BuildScreen = memo(function BuildScreen(props: BuildScreenProps) {
  const { context, readings, change } = props;
  const wide = useWide();
  const { job } = context;
  // A step that is done changes nothing of the plan: nothing is worked out anew for it.
  const still = usePlanned(context);
  const question = useMemo(() => ({ context: still, readings }), [still, readings]);
  const { answer: plan, problem, retry } = useAnswer(question, askBuilder);
  const body = useMemo(() => bodyOf(still), [still]);
  const { noteStep } = change;
  const takeBack = useCallback(
    (stepId: string) => noteStep({ stepId, done: false, reason: null }),
    [noteStep],
  );
  const ticks = usePairTicks(job, change);
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
      told={<JobProblem jobId={context.job.id} />}
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
        <NotWorkedOut what="The order of work" problem={problem} onRetry={retry} />
        <Words kind="small" soft>
          The vehicle maker’s service information comes first. Where it differs, follow it.
        </Words>
        <DrawnInSight>
          <RouteCard still={still} onRoute={change.setRoute} />
        </DrawnInSight>
        {plan !== undefined && (
          <DrawnInSight>
            <PartsCard plan={plan} />
          </DrawnInSight>
        )}
        <DrawnInSight>
          <DiagramCard question={question} />
        </DrawnInSight>
        {plan !== undefined && (
          <DrawnInSight>
            <MatchingCard job={still.job} list={plan.matching} {...ticks} />
          </DrawnInSight>
        )}
        <GuideCard job={job} onNote={change.noteClosing} />
        {!wide && <DrawnInSight>{list}</DrawnInSight>}
        <DrawnInSight>
          <PapersCard question={question} />
        </DrawnInSight>
        {job.vehicle.noTrace === true && <RestoreSheet context={still} />}
      </View>
    </WithDock>
  );
});

/** Begins what is noted on the job of a pair that is made. */
const PAIR = 'pair:';

/** Which pairs of lead and wire are ticked: noted on the job, so that whoever takes it up sees them. */
function usePairTicks({ closing }: JobContext['job'], { noteClosing }: JobChange) {
  const made = useMemo(
    () =>
      new Set(
        closing.flatMap(({ item }) => (item.startsWith(PAIR) ? [item.slice(PAIR.length)] : [])),
      ),
    [closing],
  );
  const onTick = useCallback(
    (id: string, done: boolean) => noteClosing({ item: PAIR + id, done, value: null }),
    [noteClosing],
  );
  return { made, onTick };
}

/** How the car is brought back as it was, for the lease's end. */
const RestoreSheet = memo(function RestoreSheet(props: { readonly context: JobContext }) {
  const steps = restoreStepsOf(props.context);
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
});

const styles = StyleSheet.create({
  stack: { gap: SPACE.l },
  text: { gap: SPACE.s },
});
