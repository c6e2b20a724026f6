import { useLocalSearchParams } from 'expo-router';
import { ModelScreen } from '../../../../features/vehicles/ModelScreen';

/** One vehicle model. */
export default function ModelRoute() {
  const { modelId } = useLocalSearchParams<{ modelId: string }>();
  return <ModelScreen modelId={modelId} />;
}
