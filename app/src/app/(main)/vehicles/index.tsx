import { ModelsScreen } from '../../../features/vehicles/ModelsScreen';

export default ModelsScreen;
