import { JobShell } from '../../../shell/JobShell';

export default JobShell;
