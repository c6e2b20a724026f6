import { JOINT_CHOICES } from '@lucky-thread/core/trial';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Choice } from '../../ui/Choice';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import type { PracticeLead, SignalLevel } from './signalLevels';
import type { SignalAnswer, SignalAnswers } from './signalPractice';
import { JOINT_WORDS, NOT_HERE, testsOf } from './signalPractice';

/** The leads of a level: which wire each gets, and how it meets it. */
export function SignalLeads(props: {
  readonly leads: readonly PracticeLead[];
  readonly answers: SignalAnswers;
  readonly onAnswer: (leadId: string, answer: SignalAnswer) => void;
}) {
  return (
    <View role="list" aria-label="Leads of the device" style={styles.stack}>
      {props.leads.map((lead) => (
        <View role="listitem" key={lead.id}>
          <LeadCard
            lead={lead}
            answer={props.answers.leads[lead.id] ?? {}}
            onAnswer={(answer) => props.onAnswer(lead.id, answer)}
          />
        </View>
      ))}
    </View>
  );
}

function LeadCard(props: {
  readonly lead: PracticeLead;
  readonly answer: SignalAnswer;
  readonly onAnswer: (answer: SignalAnswer) => void;
}) {
  const { lead, answer, onAnswer } = props;
  const isThere = answer.wireId !== undefined && answer.wireId !== NOT_HERE;
  return (
    <Card testID={`lead-${lead.id}`}>
      <View style={styles.row}>
        <View style={styles.even}>
          <Words kind="heading">
            {`${lead.name}${answer.wireId === undefined ? '' : `: ${answer.wireId}`}`}
          </Words>
          <Words kind="small" soft>
            {lead.text}
          </Words>
        </View>
        <ActionButton
          label="Not here"
          spoken={`${lead.name}: not here`}
          testID={`absent-${lead.id}`}
          disabled={answer.wireId === NOT_HERE}
          onPress={() => onAnswer({ wireId: NOT_HERE })}
        />
      </View>
      {isThere && lead.joint !== undefined && (
        <Choice
          label={`How ${lead.name} meets the wire`}
          testID={`joint-${lead.id}`}
          options={JOINT_CHOICES.map((value) => ({ value, label: JOINT_WORDS[value] }))}
          value={answer.joint}
          onChange={(joint) => onAnswer({ ...answer, joint })}
        />
      )}
    </Card>
  );
}

/** The tests before hand-over: what each must come to. */
export function HandOverQuestions(props: {
  readonly level: SignalLevel;
  readonly answers: SignalAnswers;
  readonly onAnswer: (testId: string, must: string) => void;
}) {
  const tests = testsOf(props.level);
  if (tests.length === 0) return null;
  const musts = [...new Set(tests.map(({ must }) => must))].sort();
  return (
    <View style={styles.stack} testID="hand-over">
      <Words kind="heading">Before it is handed over</Words>
      <Words kind="small" soft>
        Somebody sits at the wheel, the wheels are chocked, nobody stands in front. What must come
        of each test?
      </Words>
      {tests.map(({ id, what }) => (
        <Card key={id} testID={`hand-over-${id}`}>
          <Words>{what}</Words>
          <Choice
            label={what}
            testID={`must-${id}`}
            options={musts.map((must) => ({ value: must, label: must }))}
            value={props.answers.handOver[id]}
            onChange={(must) => props.onAnswer(id, must)}
          />
        </Card>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.s },
  row: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  even: { flex: 1 },
});
