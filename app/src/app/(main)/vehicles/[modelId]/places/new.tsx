import { useLocalSearchParams } from 'expo-router';
import { PlaceScreen } from '../../../../../features/vehicles/PlaceScreen';

/** A new place of a vehicle model, of the kind that the address names. */
export default function NewPlaceRoute() {
  const { modelId, kind } = useLocalSearchParams<{ modelId: string; kind?: string }>();
  return <PlaceScreen modelId={modelId} kind={kind} />;
}
