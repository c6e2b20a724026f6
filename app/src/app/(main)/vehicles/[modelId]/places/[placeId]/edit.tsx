import { useLocalSearchParams } from 'expo-router';
import { PlaceEntryOf } from '../../../../../../features/vehicles/entry';

/** One place of a vehicle model, to be put right. */
export default function PlaceEntryRoute() {
  const { modelId, placeId } = useLocalSearchParams<{ modelId: string; placeId: string }>();
  return <PlaceEntryOf modelId={modelId} placeId={placeId} />;
}
