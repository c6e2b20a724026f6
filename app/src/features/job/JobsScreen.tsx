import type { JobSummary } from '@lucky-thread/contract';
import { PLACE_WORDS } from '@lucky-thread/core/vehicle';
import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { useJobsInfiniteQuery } from '../../store/api';
import { ActionButton } from '../../ui/ActionButton';
import { Caution } from '../../ui/Caution';
import { Guard } from '../../ui/Guard';
import { JobThread } from '../../ui/JobThread';
import { Screen } from '../../ui/Screen';
import { Empty, Failed, Loading } from '../../ui/States';
import { usePalette } from '../../ui/ThemeProvider';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { knotsOf, nextActionOf } from '../../work/phases';

/** All jobs of the shop, each with its thread and what to do next. */
export function JobsScreen() {
  const jobs = useJobsInfiniteQuery(undefined, {
    refetchOnMountOrArgChange: true,
    refetchOnFocus: true,
  });
  const router = useRouter();
  if (jobs.isError && jobs.data === undefined)
    return <Failed what="The jobs" onRetry={() => void jobs.refetch()} />;
  if (jobs.data === undefined) return <Loading what="the jobs" />;
  const shown = jobs.data.pages.flatMap((page) => page.jobs);
  const unreadable = jobs.data.pages.flatMap((page) => page.unreadable);
  return (
    <Screen
      testID="jobs"
      bottom={
        <ActionButton
          kind="next"
          label="New job"
          testID="new-job"
          onPress={() => router.navigate('/jobs/new')}
        />
      }
    >
      <Words kind="title">Jobs</Words>
      {shown.length === 0 && unreadable.length === 0 && (
        <Empty
          title="No job yet"
          text="A job follows one thread: vehicle, device, find, choose, size, build, prove, log. Start one below."
        />
      )}
      <View role="list">
        {shown.map((job) => (
          <Guard key={job.id} what={`Job ${job.id}`}>
            <JobRow job={job} onOpen={() => router.navigate(openAt(job))} />
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
}

/** The screen a job is taken up at. */
function openAt(job: JobSummary): `/jobs/${string}/${string}` {
  return `/jobs/${job.id}/${job.done ? 'log' : job.phase}`;
}

function JobRow({ job, onOpen }: { readonly job: JobSummary; readonly onOpen: () => void }) {
  const palette = usePalette();
  return (
    <View role="listitem">
      <TouchableRipple
        role="link"
        testID="job-row"
        onPress={onOpen}
        style={[styles.row, { borderColor: palette.line }]}
      >
        <View style={styles.inside}>
          <Words kind="heading">{`${job.vehicleName}, ${job.year}`}</Words>
          <Words soft>{job.deviceName}</Words>
          {job.deferred.length > 0 && (
            <Words kind="small" testID="job-reminder">
              △ Left for later: {job.deferred.map((place) => PLACE_WORDS[place]).join(', ')}
            </Words>
          )}
          <View style={styles.state}>
            <JobThread knots={knotsOf({ phase: job.phase, done: job.done })} />
            <Words kind="label" style={styles.next}>
              {nextActionOf(job)}
            </Words>
          </View>
        </View>
      </TouchableRipple>
    </View>
  );
}

const styles = StyleSheet.create({
  row: { borderBottomWidth: 1, paddingVertical: SPACE.m },
  inside: { gap: 2 },
  state: { flexDirection: 'row', alignItems: 'center', gap: SPACE.m },
  next: { flex: 1 },
});
