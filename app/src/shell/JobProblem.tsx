import { Caution } from '../ui/Caution';
import { useRefusedChange } from '../work/useJobChange';

/** Why a change to the job was refused; nothing where none was. */
export function JobProblem({ jobId }: { readonly jobId: string }) {
  const problem = useRefusedChange(jobId);
  return problem === undefined ? null : <Caution testID="job-problem">{problem}</Caution>;
}
