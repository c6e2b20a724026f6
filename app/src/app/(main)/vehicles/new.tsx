import { NewVehicleScreen } from '../../../features/vehicles/NewVehicleScreen';

export default NewVehicleScreen;
