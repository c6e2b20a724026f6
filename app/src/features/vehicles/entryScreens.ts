/** Where places are entered: fetched as one when somebody enters the first, and by no other screen. */
export { NewVehicleScreen } from './NewVehicleScreen';
export { PlaceScreen } from './PlaceScreen';
