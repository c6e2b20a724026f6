/** Where places are entered and looked at: fetched as one with the first of them, and by no other screen. */
export { NewVehicleScreen } from './NewVehicleScreen';
export { PlaceScreen } from './PlaceScreen';
export { PlacePage } from './place/PlacePage';
