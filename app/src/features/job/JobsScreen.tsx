import type { JobSummary, JobsShown } from '@lucky-thread/contract';
import { JOB_VIEWS } from '@lucky-thread/contract';
import { useRouter } from 'expo-router';
import { useDeferredValue, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useJobs } from '../../store/shown';
import { ActionButton } from '../../ui/ActionButton';
import { Caution } from '../../ui/Caution';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { Guard } from '../../ui/Guard';
import { ListBeside } from '../../ui/ListBeside';
import { Screen, useWide } from '../../ui/Screen';
import { Empty, Failed, Loading } from '../../ui/States';
import { SPACE } from '../../ui/tokens';
import { useToday } from '../../ui/useToday';
import { Words } from '../../ui/Words';
import { JobPane } from './JobPane';
import { JobRow } from './JobRow';

/** All jobs of the shop, each with its thread and what to do next. */
export function JobsScreen() {
  const [view, setView] = useState<JobsShown>('all');
  const [typed, setTyped] = useState('');
  const [chosen, setChosen] = useState<string>();
  const wide = useWide();
  const today = useToday();
  // Typing goes on while the list before is still shown.
  const q = useDeferredValue(typed.trim());
  const filter = { ...(view === 'all' ? {} : { view }), ...(q === '' ? {} : { q }) };
  const isCut = view !== 'all' || q !== '';
  const jobs = useJobs(filter);
  const router = useRouter();
  if (jobs.isError && jobs.data === undefined)
    return <Failed what="The jobs" onRetry={() => void jobs.refetch()} />;
  const pages = jobs.currentData ?? jobs.data;
  if (pages === undefined) return <Loading what="the jobs" />;
  const shown = pages.pages.flatMap((page) => page.jobs);
  const unreadable = pages.pages.flatMap((page) => page.unreadable);
  const beside = shown.find((job) => job.id === chosen) ?? shown[0];
  const list = (
    <Screen
      testID="jobs"
      bottom={
        <ActionButton
          kind={wide ? 'plain' : 'next'}
          label="New job"
          testID="new-job"
          onPress={() => router.navigate('/jobs/new')}
        />
      }
    >
      <View style={styles.head}>
        <Words kind="title">Jobs</Words>
        <ActionButton
          kind="quiet"
          label="Pick list"
          testID="go-pick"
          onPress={() => router.navigate('/jobs/pick')}
        />
      </View>
      {(isCut || shown.length > FEW) && (
        <View style={styles.cut}>
          <Field
            label="Find a job by vehicle or device"
            testID="find-job"
            value={typed}
            onChange={setTyped}
          />
          <Choice<JobsShown>
            label="Which jobs"
            testID="jobs-shown"
            options={JOB_VIEWS.map((value) => ({ value, label: VIEW_WORDS[value] }))}
            value={view}
            onChange={setView}
          />
        </View>
      )}
      {shown.length === 0 && unreadable.length === 0 && (
        <Empty
          title={isCut ? 'No such job' : 'No job yet'}
          text={
            isCut
              ? 'None of the shop’s jobs is like that. Choose “All”, or type less.'
              : 'A job follows one thread: vehicle, device, find, choose, size, build, prove, log. Start one below.'
          }
        />
      )}
      <View role="list">
        {shown.map((job, index) => (
          <Guard key={job.id} what={`Job ${job.id}`}>
            {/* Days are told apart while nothing is searched for. */}
            {!isCut && dayOf(job) !== dayOf(shown[index - 1]) && (
              <Words kind="label" soft style={styles.day}>
                {dayOf(job)}
              </Words>
            )}
            <JobRow
              job={job}
              today={today}
              chosen={wide && job.id === beside?.id}
              onOpen={() => (wide ? setChosen(job.id) : router.navigate(openAt(job)))}
            />
          </Guard>
        ))}
      </View>
      {unreadable.length > 0 && (
        <Caution testID="unreadable">
          {`${unreadable.length === 1 ? 'One job' : `${unreadable.length} jobs`} cannot be shown: what is stored is damaged. Nothing was deleted. Tell whoever looks after the server: ${unreadable.join(', ')}.`}
        </Caution>
      )}
      {jobs.hasNextPage && (
        <ActionButton
          label="Show older jobs"
          testID="more-jobs"
          disabled={jobs.isFetching}
          onPress={() => void jobs.fetchNextPage()}
        />
      )}
    </Screen>
  );
  return (
    <ListBeside
      list={list}
      content={
        beside !== undefined && (
          <JobPane
            key={beside.id}
            jobId={beside.id}
            onTakeUp={() => router.navigate(openAt(beside))}
          />
        )
      }
    />
  );
}

/** As many are seen at one glance: nothing needs to be found among them. */
const FEW = 5;

const VIEW_WORDS: Record<JobsShown, string> = {
  all: 'All',
  mine: 'Mine',
  today: 'Today',
  waiting: 'Waiting',
  open: 'Open',
};

/** The screen a job is taken up at. */
function openAt(job: JobSummary): `/jobs/${string}/${string}` {
  return `/jobs/${job.id}/${job.done ? 'log' : job.phase}`;
}

/** The day that a job was last touched. */
function dayOf(job: JobSummary | undefined): string {
  if (job === undefined) return '';
  return new Date(job.updatedAt).toLocaleDateString('en-GB', {
    weekday: 'short',
    day: 'numeric',
    month: 'long',
    year: 'numeric',
  });
}

const styles = StyleSheet.create({
  head: { flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between' },
  cut: { gap: SPACE.s },
  day: { paddingTop: SPACE.m },
});
