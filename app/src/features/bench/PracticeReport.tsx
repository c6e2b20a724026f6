import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Screen } from '../../ui/Screen';
import { Words } from '../../ui/Words';
import { askPractice } from '../../workers/planner';
import type { PlanTaken, PracticeCar } from '../../workers/practiseByPlan';
import type { ReportLine } from './panelReport';

/** Props of {@link PracticeReport}. */
export interface PracticeReportProps {
  /** What was right and what was not. */
  readonly lines: readonly ReportLine[];
  /** Attended seconds. */
  readonly seconds: number;
  /** How often a probe was set. */
  readonly probes: number;
  /** The same car, for the plan to do. */
  readonly car: PracticeCar;
  /** Called to go on with this exercise. */
  readonly onBack: () => void;
  /** Called for another exercise of the same kind. */
  readonly onAnother: () => void;
  /** Called to leave the exercise. */
  readonly onLeave: () => void;
}

/** The end of a practice: what was right, what was missed, how long it took, and what the plan would have taken. */
export function PracticeReport(props: PracticeReportProps) {
  const plan = usePlanOn(props.car);
  const good = props.lines.filter((line) => line.good).length;
  return (
    <Screen
      testID="practice-report"
      bottom={
        <ActionButton kind="next" label="Another car" testID="another" onPress={props.onAnother} />
      }
    >
      <Words kind="title">{`${good} of ${props.lines.length} good`}</Words>
      <Card>
        {props.lines.map((line) => (
          <Words key={line.text} testID={line.good ? 'line-good' : 'line-bad'}>
            {`${line.good ? '✓' : '✕'} ${line.text}`}
          </Words>
        ))}
      </Card>
      <Card testID="practice-time">
        <Words kind="heading">{`You: ${props.seconds} s, ${props.probes} readings`}</Words>
        {plan.kind === 'done' && (
          <Words kind="heading" testID="plan-time">
            {`The plan: ${plan.taken.seconds} s, ${plan.taken.probes} readings`}
          </Words>
        )}
        {plan.kind === 'working' && (
          <>
            <Words soft>{`The plan is at its step ${plan.actions}…`}</Words>
            <ActionButton label="Never mind" testID="cancel-plan" onPress={plan.cancel} />
          </>
        )}
        {plan.kind === 'cancelled' && <Words soft>Called off.</Words>}
        {plan.kind === 'failed' && <Words>{`✕ ${plan.problem}`}</Words>}
        <Words kind="small" soft>
          Seconds of attended work; the half hour of sleep is not counted for either.
        </Words>
      </Card>
      <View>
        <ActionButton kind="quiet" label="Back to this car" onPress={props.onBack} />
        <ActionButton kind="quiet" label="All levels" testID="levels" onPress={props.onLeave} />
      </View>
    </Screen>
  );
}

type PlanOn =
  | { readonly kind: 'working'; readonly actions: number; readonly cancel: () => void }
  | { readonly kind: 'done'; readonly taken: PlanTaken }
  | { readonly kind: 'cancelled' }
  | { readonly kind: 'failed'; readonly problem: string };

/** Lets the plan do the same car in the worker, step by step. */
function usePlanOn(car: PracticeCar): PlanOn {
  // The car of a report does not change; its first value holds.
  const [same] = useState(car);
  const [plan, setPlan] = useState<PlanOn>({
    kind: 'working',
    actions: 0,
    cancel: () => undefined,
  });
  useEffect(() => {
    let current = true;
    const work = askPractice(same, (actions) => {
      if (current) setPlan({ kind: 'working', actions, cancel: work.cancel });
    });
    work.result.then(
      (taken) => {
        if (current) setPlan(taken === undefined ? { kind: 'cancelled' } : { kind: 'done', taken });
      },
      (error: unknown) => {
        if (current)
          setPlan({
            kind: 'failed',
            problem: error instanceof Error ? error.message : String(error),
          });
      },
    );
    return () => {
      current = false;
      work.cancel();
    };
  }, [same]);
  return plan;
}
