import type { JobSummary } from '@lucky-thread/contract';
import { MOST_PICKED, PHASES } from '@lucky-thread/contract';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { PartLines } from '../../panel/PartLines';
import { usePickListQuery } from '../../store/api';
import { useJobs } from '../../store/shown';
import { ActionButton } from '../../ui/ActionButton';
import { Choice } from '../../ui/Choice';
import { dayAt, dayWords } from '../../ui/days';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { Screen } from '../../ui/Screen';
import { Empty, Failed, Loading } from '../../ui/States';
import { SPACE } from '../../ui/tokens';
import { TickRow } from '../../ui/TickRow';
import { Words } from '../../ui/Words';
import { useToday } from '../../ui/useToday';

/** What is loaded into the van for a day: the parts and tools of the jobs that are chosen, summed. */
export function PickListScreen() {
  const router = useRouter();
  const jobs = useJobs({ view: 'open' });
  const today = useToday();
  const [picked, setPicked] = useState<string>();
  /** Jobs that were ticked against how they begin. */
  const [turned, setTurned] = useState<readonly string[]>([]);
  if (jobs.isError && jobs.data === undefined)
    return <Failed what="The jobs" onRetry={() => void jobs.refetch()} />;
  if (jobs.data === undefined) return <Loading what="the jobs" />;
  const all = jobs.data.pages.flatMap((page) => page.jobs);
  const days = [...new Set(all.flatMap(({ day }) => day ?? []))].sort();
  const day = picked ?? dayAt(today);
  // Without any job for that day, or any more, it has all.
  const shownDay = days.includes(day) ? day : ANY_DAY;
  const open = all
    .filter((job) => shownDay === ANY_DAY || job.day === shownDay)
    .slice(0, MOST_PICKED);
  const isOn = (job: JobSummary): boolean => isPlanned(job) !== turned.includes(job.id);
  const chosen = open.filter(isOn);
  return (
    <Screen
      testID="pick-list"
      bottom={
        <ActionButton label="All jobs" testID="all-jobs" onPress={() => router.navigate('/')} />
      }
    >
      <Words kind="title">Pick list</Words>
      {open.length === 0 ? (
        <Empty
          title="No open job"
          text="Everything is logged. A job whose feeds are chosen and sized has a list of parts."
        />
      ) : (
        <>
          <Words soft>
            What the jobs of a day take together, once their taps are planned; leave off what is not
            for it.
          </Words>
          {days.length > 0 && (
            <Choice
              label="For which day"
              testID="pick-day"
              options={[
                ...days.map((value) => ({ value, label: dayWords(value, today) })),
                { value: ANY_DAY, label: 'all open jobs' },
              ]}
              value={shownDay}
              onChange={setPicked}
            />
          )}
          {chosen.length > 0 && <Picked jobs={chosen} />}
          {[...open]
            .sort((a, b) => Number(isPlanned(b)) - Number(isPlanned(a)))
            .map((job) => (
              <TickRow
                key={job.id}
                label={`${job.vehicleName}, ${job.year} · ${job.deviceName}`}
                on={isOn(job)}
                testID={`pick-${job.id}`}
                onToggle={() =>
                  setTurned(
                    turned.includes(job.id)
                      ? turned.filter((id) => id !== job.id)
                      : [...turned, job.id],
                  )
                }
              />
            ))}
        </>
      )}
    </Screen>
  );
}

/** Chosen for the jobs of any day, and of none. */
const ANY_DAY = 'any';

/** A job whose taps are planned has parts to take along. */
function isPlanned({ phase }: JobSummary): boolean {
  return PHASES.indexOf(phase) >= PHASES.indexOf('build');
}

function Picked({ jobs }: { readonly jobs: readonly JobSummary[] }) {
  const { data, isError, refetch } = usePickListQuery(jobs.map(({ id }) => id));
  if (isError) return <Failed what="The list" onRetry={() => void refetch()} />;
  if (data === undefined) return <Loading what="the list" />;
  const open = jobs.filter(({ id }) => data.open.includes(id));
  return (
    <View style={styles.stack}>
      {open.length > 0 && (
        <Caution testID="pick-open">
          {`Not chosen and sized yet, so not in the list: ${open.map(({ vehicleName, deviceName }) => `${vehicleName} (${deviceName})`).join(', ')}.`}
        </Caution>
      )}
      {data.parts.length > 0 && (
        <Card testID="picked">
          <Words kind="heading">Parts</Words>
          <PartLines parts={data.parts} />
          <Words kind="small" testID="picked-tools">{`Tools: ${data.tools.join(', ')}.`}</Words>
        </Card>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.m },
});
