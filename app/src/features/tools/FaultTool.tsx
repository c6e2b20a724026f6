import type {
  Diagnosis,
  FaultCheck,
  FaultCheckId,
  SymptomId,
} from '@lucky-thread/core/prove/symptoms';
import {
  CAUSES,
  FAULT_CHECKS,
  SYMPTOMS,
  causeFactors,
  diagnose,
  readChecks,
  writeChecks,
} from '@lucky-thread/core/prove/symptoms';
import type { FaultRecord, JobContext } from '@lucky-thread/work';
import { faultRecordOf, tappedFeeds } from '@lucky-thread/work';
import { useRouter } from 'expo-router';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { useToolInputs } from '../../sizing/useToolInputs';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { Choice } from '../../ui/Choice';
import { Failed, Loading } from '../../ui/States';
import { usePalette } from '../../ui/ThemeProvider';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { coreReadings } from '../../work/jobReadings';
import { useFind } from '../../work/useFind';
import { useJob } from '../../work/useJob';
import { ToolPage } from './ToolPage';

const DEFAULTS = { symptom: 'dead', seen: '', job: '', feed: '' };
const SYMPTOM_IDS = Object.keys(SYMPTOMS) as SymptomId[];
/** So many suspects are shown. */
const SHOWN = 5;

/** From what somebody complains of to what is wrong; with a job it starts from what that has on record. */
export function FaultTool() {
  const [{ job, feed }] = useToolInputs(DEFAULTS);
  if (job === '') return <FaultSearch record={undefined} />;
  return <FaultOfJob jobId={job} feedId={feed} />;
}

function FaultOfJob({ jobId, feedId }: { readonly jobId: string; readonly feedId: string }) {
  const { context, failed, why, retry } = useJob(jobId);
  const router = useRouter();
  if (failed)
    return <Failed what="The job" why={why} onRetry={retry} onBack={() => router.navigate('/')} />;
  if (context === undefined) return <Loading what="the job" />;
  return <FaultOfLead context={context} feedId={feedId} />;
}

function FaultOfLead(props: { readonly context: JobContext; readonly feedId: string }) {
  const { context } = props;
  const { rows, advice } = useFind(context);
  const record = useMemo(() => {
    const feedId = tappedFeeds(context).some(({ feed }) => feed.id === props.feedId)
      ? props.feedId
      : (tappedFeeds(context)[0]?.feed.id ?? '');
    const verdicts = advice?.verdicts ?? [];
    return faultRecordOf({ context, readings: coreReadings(rows), verdicts }, feedId);
  }, [context, props.feedId, rows, advice]);
  return <FaultSearch record={record} leads={tappedFeeds(context).map(({ feed }) => feed)} />;
}

/** One check at a time: always the one after which a cause is expected to be named soonest. */
function FaultSearch({ record, leads = [] }: FaultSearchProps) {
  const [inputs, set] = useToolInputs(DEFAULTS);
  const symptom = SYMPTOM_IDS.find((one) => one === inputs.symptom) ?? 'dead';
  const done = readChecks(inputs.seen, symptom);
  const factors = useMemo(
    () => (record === undefined ? {} : causeFactors(record.record, record.constant)),
    [record],
  );
  const { suspects, sure, next } = useMemo(
    () => diagnose(symptom, readChecks(inputs.seen, symptom), factors),
    [symptom, inputs.seen, factors],
  );
  const [first] = suspects;
  const seenNow = (check: FaultCheckId, outcome: number): void =>
    set({ seen: writeChecks([...done, { check, outcome }]) });
  return (
    <ToolPage
      tool="fault"
      answer={
        <>
          {next !== undefined && (
            <NextCheck
              key={next}
              checkId={next}
              here={record?.here[next]}
              onSeen={(outcome) => seenNow(next, outcome)}
            />
          )}
          {next === undefined && first !== undefined && <Found first={first} sure={sure} />}
          <ActionButton
            kind="quiet"
            label="Undo the last"
            testID="fault-undo"
            disabled={done.length === 0}
            onPress={() => set({ seen: writeChecks(done.slice(0, -1)) })}
          />
        </>
      }
    >
      {record !== undefined && (
        <OfLead record={record} leads={leads} onLead={(feed) => set({ feed, seen: '' })} />
      )}
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

interface FaultSearchProps {
  /** What is on record of the lead; undefined where there is no job. */
  readonly record: FaultRecord | undefined;
  /** The job’s leads, to choose another one. */
  readonly leads?: readonly { readonly id: string; readonly name: string }[];
}

/** What the search came to, and what is done about it. */
function Found(props: { readonly first: Diagnosis['suspects'][number]; readonly sure: boolean }) {
  const { suspect } = props.first;
  if (suspect === 'something else')
    return (
      <Card testID="found">
        <Words kind="instruction" testID="fault">
          None of the usual causes. Begin again from the source, one joint after the other.
        </Words>
      </Card>
    );
  return (
    <Card testID="found">
      <Words kind="instruction" testID="fault">
        {`${props.sure ? 'It is' : 'Most likely'}: ${CAUSES[suspect].name}.`}
      </Words>
      <Words>{CAUSES[suspect].mend}</Words>
    </Card>
  );
}

/** Which lead of the job it is, and what is on record of it. */
function OfLead(props: {
  readonly record: FaultRecord;
  readonly leads: NonNullable<FaultSearchProps['leads']>;
  readonly onLead: (feedId: string) => void;
}) {
  const { record, leads } = props;
  return (
    <>
      {leads.length > 1 && (
        <Choice
          label="Which lead"
          testID="faulty-lead"
          options={leads.map(({ id, name }) => ({ value: id, label: name }))}
          value={record.feedId}
          onChange={props.onLead}
        />
      )}
      <Words testID="on-record">{onRecord(record)}</Words>
    </>
  );
}

/** What the search starts from. */
function onRecord({ feedName, record, here }: FaultRecord): string {
  const passed = record.passed.length;
  const where = here.source === undefined ? '' : ` at ${here.source}`;
  return `${feedName}${where}. ${passed === 0 ? 'Nothing was proved by a reading: every cause is open.' : `${passed} proof${passed === 1 ? '' : 's'} passed when it was fitted: what they showed good comes last.`}`;
}

/** The check in hand, with a button for each thing that it may show. */
function NextCheck(props: {
  readonly checkId: FaultCheckId;
  /** Where that is on this car; undefined without a job. */
  readonly here: string | undefined;
  readonly onSeen: (outcome: number) => void;
}) {
  const { say, seconds, caution, outcomes }: FaultCheck = FAULT_CHECKS[props.checkId];
  return (
    <Card testID="next-check">
      <Words kind="instruction" testID="fault-check">
        {say}
      </Words>
      {props.here !== undefined && <Words testID="fault-here">{`Here: ${props.here}.`}</Words>}
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

const styles = StyleSheet.create({
  suspect: { gap: SPACE.xs },
  line: { flexDirection: 'row', gap: SPACE.s },
  grow: { flex: 1 },
  bar: { height: 8, borderRadius: 4 },
});
