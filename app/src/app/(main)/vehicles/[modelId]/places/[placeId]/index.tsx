import { useLocalSearchParams } from 'expo-router';
import { PlaceOf } from '../../../../../../features/vehicles/entry';

/** One place of a vehicle model. */
export default function PlaceRoute() {
  const { modelId, placeId } = useLocalSearchParams<{ modelId: string; placeId: string }>();
  return <PlaceOf modelId={modelId} placeId={placeId} />;
}
