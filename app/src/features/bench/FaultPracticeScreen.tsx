import type { FaultCheck, FaultCheckId } from '@lucky-thread/core/prove/symptoms';
import { FAULT_CHECKS, SYMPTOMS, diagnose } from '@lucky-thread/core/prove/symptoms';
import { useState } from 'react';
import { View } from 'react-native';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { Choice } from '../../ui/Choice';
import { SPACE } from '../../ui/tokens';
import { WithDock } from '../../ui/WithDock';
import { Words } from '../../ui/Words';
import type { FaultPractice } from './faultPractice';
import { faultReport, look, secondsOf, startFault, suspectName, suspectsOf } from './faultPractice';
import { PracticeHead } from './PracticeHead';
import { PracticeReport } from './PracticeReport';

/** Practice on a fault in what was fitted: look, and say what it is. */
export function FaultPracticeScreen(props: {
  readonly title: string;
  readonly seed: number;
  readonly onLeave: () => void;
  readonly onAnother: () => void;
}) {
  const [practice, setPractice] = useState(() => startFault(props.seed));
  const [helped, setHelped] = useState(false);
  const [finished, setFinished] = useState(false);
  const { fault, done, named } = practice;
  if (finished)
    return (
      <PracticeReport
        lines={faultReport(practice)}
        seconds={secondsOf(practice)}
        probes={done.length}
        car={{ kind: 'fault', seed: props.seed }}
        onBack={() => setFinished(false)}
        onAnother={props.onAnother}
        onLeave={props.onLeave}
      />
    );
  return (
    <WithDock testID="practice" dock={<FaultDock practice={practice} helped={helped} />}>
      <PracticeHead
        title={props.title}
        helped={helped}
        onHelp={() => setHelped(!helped)}
        onFinish={() => setFinished(true)}
      />
      <Words kind="instruction" testID="complaint">
        {`“${SYMPTOMS[fault.symptom].name}.”`}
      </Words>
      <Looks practice={practice} onPractice={setPractice} />
      <Words kind="label">It is</Words>
      <Choice
        label="What it is"
        testID="cause"
        options={suspectsOf(practice).map((value) => ({ value, label: suspectName(value) }))}
        value={named}
        onChange={(value) => setPractice({ ...practice, named: value })}
      />
    </WithDock>
  );
}

/** Everything that can be looked at, with what it showed. */
function Looks(props: {
  readonly practice: FaultPractice;
  readonly onPractice: (practice: FaultPractice) => void;
}) {
  const { practice, onPractice } = props;
  return (
    <View role="list" aria-label="What can be looked at" style={{ gap: SPACE.s }}>
      {SYMPTOMS[practice.fault.symptom].checks.map((check) => (
        <View role="listitem" key={check}>
          <Look
            checkId={check}
            outcome={practice.done.find((one) => one.check === check)?.outcome}
            onLook={() => onPractice(look(practice, check))}
          />
        </View>
      ))}
    </View>
  );
}

/** One thing that can be looked at, and what it showed. */
function Look(props: {
  readonly checkId: FaultCheckId;
  readonly outcome: number | undefined;
  readonly onLook: () => void;
}) {
  const { say, seconds, caution, outcomes }: FaultCheck = FAULT_CHECKS[props.checkId];
  return (
    <Card testID={`look-${props.checkId}`}>
      <Words>{say}</Words>
      {caution !== undefined && <Caution>{caution}</Caution>}
      {props.outcome === undefined ? (
        <ActionButton
          label={`Look, about ${seconds} s`}
          spoken={`Look, about ${seconds} s: ${say}`}
          testID={`do-${props.checkId}`}
          onPress={props.onLook}
        />
      ) : (
        <Words kind="heading" testID={`seen-${props.checkId}`}>
          {outcomes[props.outcome]}
        </Words>
      )}
    </Card>
  );
}

/** So many suspects are shown with the plan. */
const SHOWN = 3;

/** The work so far, and what the plan would look at, when asked. */
function FaultDock({
  practice,
  helped,
}: {
  readonly practice: FaultPractice;
  readonly helped: boolean;
}) {
  const { suspects, next } = diagnose(practice.fault.symptom, practice.done);
  return (
    <>
      {helped && (
        <View testID="next">
          <Words kind="instruction">
            {next === undefined ? 'Nothing tells more.' : FAULT_CHECKS[next].say}
          </Words>
          {suspects.slice(0, SHOWN).map(({ suspect, probability }) => (
            <Words key={suspect} kind="small" soft>
              {`${Math.round(100 * probability)} %: ${suspectName(suspect)}`}
            </Words>
          ))}
        </View>
      )}
      <Words kind="small" soft testID="practice-seconds">
        {`${secondsOf(practice)} s of work so far, ${practice.done.length} looks.`}
      </Words>
    </>
  );
}
