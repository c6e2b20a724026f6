import { JobsScreen } from '../../features/job/JobsScreen';

export default JobsScreen;
