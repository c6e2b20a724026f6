import { NewVehicle } from '../../../features/vehicles/entry';

export default NewVehicle;
