import { PickListScreen } from '../../features/job/PickListScreen';

export default PickListScreen;
