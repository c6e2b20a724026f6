import { useLocalSearchParams } from 'expo-router';
import { PlaceScreen } from '../../../../../features/vehicles/PlaceScreen';

/** One place of a vehicle model, to be put right. */
export default function PlaceRoute() {
  const { modelId, placeId } = useLocalSearchParams<{ modelId: string; placeId: string }>();
  return <PlaceScreen modelId={modelId} placeId={placeId} />;
}
