import { useLocalSearchParams } from 'expo-router';
import { DeviceScreen } from '../features/shop/DeviceScreen';

/** A device of the catalogue, to be changed; `new` begins one. */
export function DeviceEntryRoom() {
  const { deviceId } = useLocalSearchParams<{ deviceId: string }>();
  return <DeviceScreen deviceId={deviceId === 'new' ? undefined : deviceId} />;
}
