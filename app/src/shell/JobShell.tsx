import type { Phase } from '@lucky-thread/contract';
import { Slot, useLocalSearchParams, usePathname, useRouter } from 'expo-router';
import { createContext, useContext } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../ui/ActionButton';
import { Guard } from '../ui/Guard';
import { JobThread } from '../ui/JobThread';
import { useWide } from '../ui/Screen';
import { Failed, Loading } from '../ui/States';
import { usePalette } from '../ui/ThemeProvider';
import { SPACE } from '../ui/tokens';
import { Words } from '../ui/Words';
import { OutboxNotice } from './OutboxNotice';
import { isDone, knotsOf } from '../work/phases';
import type { JobContext } from '@lucky-thread/work';
import { useJob } from '../work/useJob';

const Context = createContext<JobContext | undefined>(undefined);

/**
 * The job whose screen is open.
 *
 * @throws Error outside a job's screens.
 */
export function useJobContext(): JobContext {
  const context = useContext(Context);
  if (context === undefined) throw new Error('useJobContext is used outside a job');
  return context;
}

/** The frame of a job's screens: which car, which device, the thread with its knots, what is not saved yet. */
export function JobShell() {
  const { jobId } = useLocalSearchParams<{ jobId: string }>();
  const { context, failed, why, retry } = useJob(jobId);
  const router = useRouter();
  const path = usePathname();
  if (failed)
    return <Failed what="The job" why={why} onRetry={retry} onBack={() => router.navigate('/')} />;
  if (context === undefined) return <Loading what="the job" />;
  return (
    <Context.Provider value={context}>
      <Guard what="The job’s heading">
        <JobHeader context={context} />
      </Guard>
      <OutboxNotice />
      <StandingLine context={context} />
      <View style={styles.fill}>
        <Guard key={path} what="This screen">
          <Slot />
        </Guard>
      </View>
    </Context.Provider>
  );
}

/** What whoever takes the job up must know first. */
function StandingLine({ context }: { readonly context: JobContext }) {
  const palette = usePalette();
  const { waitsFor, reopened } = context.job;
  const said = [
    ...(waitsFor === null ? [] : [`Waits for ${waitsFor}`]),
    ...(reopened === null ? [] : [`Open again: ${reopened}`]),
  ];
  if (said.length === 0) return null;
  return (
    <View style={[styles.standing, { backgroundColor: palette.sunken }]} testID="standing">
      <Words kind="small">△ {said.join(' · ')}</Words>
    </View>
  );
}

function JobHeader({ context }: { readonly context: JobContext }) {
  const palette = usePalette();
  const router = useRouter();
  const wide = useWide();
  const { job } = context;
  const open = usePathname().split('/')[3] as Phase | undefined;
  return (
    <View
      style={[
        styles.header,
        wide && styles.wideHeader,
        { borderColor: palette.line, backgroundColor: palette.canvas },
      ]}
      role="banner"
    >
      <View style={[styles.names, wide && styles.wideNames]}>
        <ActionButton
          kind="quiet"
          label="‹ Jobs"
          spoken="Back to the jobs"
          testID="back"
          onPress={() => router.navigate('/')}
        />
        <View style={styles.fill}>
          <Words kind="label" lines={1} testID="job-vehicle">
            {job.vehicleName}, {job.vehicle.year}
          </Words>
          <Words kind="small" soft lines={1}>
            {job.device.name}
          </Words>
        </View>
      </View>
      <View style={wide && styles.fill}>
        <JobThread
          knots={knotsOf({ phase: job.phase, done: isDone(job), waitsFor: job.waitsFor })}
          open={open}
          onOpen={(phase) => router.navigate(`/jobs/${job.id}/${phase}`)}
        />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  fill: { flex: 1, minHeight: 0 },
  header: { borderBottomWidth: 1 },
  standing: { paddingHorizontal: SPACE.m, paddingVertical: SPACE.xs },
  wideHeader: { flexDirection: 'row', alignItems: 'center' },
  names: { flexDirection: 'row', alignItems: 'center', paddingRight: SPACE.m },
  wideNames: { width: 380 },
});
