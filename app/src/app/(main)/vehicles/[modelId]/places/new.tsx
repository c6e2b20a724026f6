import { useLocalSearchParams } from 'expo-router';
import { PlaceEntryOf } from '../../../../../features/vehicles/entry';

/** A new place of a vehicle model, of the kind that the address names. */
export default function NewPlaceRoute() {
  const { modelId, kind } = useLocalSearchParams<{ modelId: string; kind?: string }>();
  return <PlaceEntryOf modelId={modelId} kind={kind} />;
}
