import type {
  CheckDone,
  FaultCheck,
  FaultCheckId,
  SymptomId,
} from '@lucky-thread/core/prove/symptoms';
import { CAUSES, FAULT_CHECKS, SYMPTOMS, diagnose } from '@lucky-thread/core/prove/symptoms';
import { StyleSheet, View } from 'react-native';
import { useToolInputs } from '../../sizing/useToolInputs';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { Choice } from '../../ui/Choice';
import { usePalette } from '../../ui/ThemeProvider';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { ToolPage } from './ToolPage';

const DEFAULTS = { symptom: 'dead', seen: '' };
const SYMPTOM_IDS = Object.keys(SYMPTOMS) as SymptomId[];
/** So many suspects are shown. */
const SHOWN = 5;

/** From what somebody complains of to what is wrong, one check at a time: always the one that tells most for its seconds. */
export function FaultTool() {
  const [inputs, set] = useToolInputs(DEFAULTS);
  const symptom = SYMPTOM_IDS.find((one) => one === inputs.symptom) ?? 'dead';
  const done = seenIn(inputs.seen, symptom);
  const { suspects, sure, next } = diagnose(symptom, done);
  const [first] = suspects;
  const seenNow = (check: FaultCheckId, outcome: number): void =>
    set({ seen: written([...done, { check, outcome }]) });
  return (
    <ToolPage
      tool="fault"
      answer={
        <>
          {next !== undefined && (
            <NextCheck key={next} checkId={next} onSeen={(outcome) => seenNow(next, outcome)} />
          )}
          {next === undefined && first !== undefined && (
            <Card testID="found">
              <Words kind="instruction" testID="fault">
                {first.suspect === 'something else'
                  ? 'None of the usual causes. Begin again from the source, one joint after the other.'
                  : `${sure ? 'It is' : 'Most likely'}: ${CAUSES[first.suspect].name}.`}
              </Words>
              {first.suspect !== 'something else' && <Words>{CAUSES[first.suspect].mend}</Words>}
            </Card>
          )}
          <ActionButton
            kind="quiet"
            label="Undo the last"
            testID="fault-undo"
            disabled={done.length === 0}
            onPress={() => set({ seen: written(done.slice(0, -1)) })}
          />
        </>
      }
    >
      <Choice
        label="What is wrong"
        testID="symptom"
        options={SYMPTOM_IDS.map((id) => ({ value: id, label: SYMPTOMS[id].name }))}
        value={symptom}
        onChange={(value) => set({ symptom: value, seen: '' })}
      />
      <Card testID="suspects">
        {suspects.slice(0, SHOWN).map(({ suspect, probability }) => (
          <Suspect
            key={suspect}
            name={suspect === 'something else' ? 'something else' : CAUSES[suspect].name}
            probability={probability}
          />
        ))}
      </Card>
      {done.map(({ check, outcome }) => (
        <Words key={check} kind="small" soft>
          {`${FAULT_CHECKS[check].say} ${FAULT_CHECKS[check].outcomes[outcome] ?? ''}.`}
        </Words>
      ))}
    </ToolPage>
  );
}

/** The check in hand, with a button for each thing that it may show. */
function NextCheck(props: {
  readonly checkId: FaultCheckId;
  readonly onSeen: (outcome: number) => void;
}) {
  const { say, seconds, caution, outcomes }: FaultCheck = FAULT_CHECKS[props.checkId];
  return (
    <Card testID="next-check">
      <Words kind="instruction" testID="fault-check">
        {say}
      </Words>
      <Words kind="small" soft>{`About ${seconds} s`}</Words>
      {caution !== undefined && <Caution>{caution}</Caution>}
      {outcomes.map((name, outcome) => (
        <ActionButton
          key={name}
          label={name}
          testID={`outcome-${outcome}`}
          onPress={() => props.onSeen(outcome)}
        />
      ))}
    </Card>
  );
}

/** A suspect with its chance, as a bar and as a number. */
function Suspect({ name, probability }: { readonly name: string; readonly probability: number }) {
  const palette = usePalette();
  const percent = Math.round(100 * probability);
  return (
    <View style={styles.suspect}>
      <View style={styles.line}>
        <Words style={styles.grow}>{name}</Words>
        <Words kind="label">{`${percent} %`}</Words>
      </View>
      <View style={[styles.bar, { backgroundColor: palette.sunken }]}>
        <View style={[styles.bar, { width: `${percent}%`, backgroundColor: palette.ink }]} />
      </View>
    </View>
  );
}

/** What was seen, as it stands in the address; what is no check of the symptom is passed over. */
function seenIn(text: string, symptom: SymptomId): CheckDone[] {
  const known: readonly string[] = SYMPTOMS[symptom].checks;
  return text.split('.').flatMap((part): CheckDone[] => {
    const [check = '', outcome = ''] = part.split('-');
    const at = Number(outcome);
    if (!known.includes(check) || !/^\d$/.test(outcome)) return [];
    const id = check as FaultCheckId;
    return at < FAULT_CHECKS[id].outcomes.length ? [{ check: id, outcome: at }] : [];
  });
}

function written(done: readonly CheckDone[]): string {
  return done.map(({ check, outcome }) => `${check}-${outcome}`).join('.');
}

const styles = StyleSheet.create({
  suspect: { gap: SPACE.xs },
  line: { flexDirection: 'row', gap: SPACE.s },
  grow: { flex: 1 },
  bar: { height: 8, borderRadius: 4 },
});
