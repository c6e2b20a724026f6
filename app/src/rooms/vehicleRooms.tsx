import { useLocalSearchParams } from 'expo-router';
import { ModelScreen } from '../features/vehicles/ModelScreen';
import { PlaceScreen } from '../features/vehicles/PlaceScreen';
import { PlacePage } from '../features/vehicles/place/PlacePage';

export { ChooseModel } from '../features/vehicles/ChooseModel';
export { ModelsScreen } from '../features/vehicles/ModelsScreen';
export { NewVehicleScreen } from '../features/vehicles/NewVehicleScreen';

/** One vehicle model. */
export function ModelRoom() {
  const { modelId } = useLocalSearchParams<{ modelId: string }>();
  return <ModelScreen modelId={modelId} />;
}

/** One place of a vehicle model. */
export function PlaceRoom() {
  const { modelId, placeId } = useLocalSearchParams<{ modelId: string; placeId: string }>();
  return <PlacePage modelId={modelId} placeId={placeId} />;
}

/** A place of a vehicle model: one to be put right, or a new one of the kind that the address names. */
export function PlaceEntryRoom() {
  const { modelId, placeId, kind } = useLocalSearchParams<{
    modelId: string;
    placeId?: string;
    kind?: string;
  }>();
  return <PlaceScreen modelId={modelId} placeId={placeId} kind={kind} />;
}
