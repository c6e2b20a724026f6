import { Redirect, useLocalSearchParams } from 'expo-router';
import { useJobContext } from '../../../shell/JobShell';

/** A job without a phase opens where the work is. */
export default function JobIndex() {
  const { jobId } = useLocalSearchParams<{ jobId: string }>();
  const { job } = useJobContext();
  return <Redirect href={`/jobs/${jobId}/${job.phase}`} />;
}
