import { NewJobScreen } from '../../features/job/NewJobScreen';

export default NewJobScreen;
