import { JobShell } from '../../../features/job/JobShell';

export default JobShell;
