import { Slot, usePathname } from 'expo-router';
import { ModelsScreen } from '../../../features/vehicles/ModelsScreen';
import { ListBeside } from '../../../ui/ListBeside';
import { useWide } from '../../../ui/Screen';

/** A vehicle beside the list of all, where there is room; its places and a new one have the page to themselves. */
const BESIDE = /^\/vehicles(\/(?!new$)[^/]+)?$/;

/** The shop's vehicles. */
export default function VehiclesLayout() {
  const wide = useWide();
  const path = usePathname();
  return wide && BESIDE.test(path) ? (
    <ListBeside list={<ModelsScreen />} content={<Slot />} />
  ) : (
    <Slot />
  );
}
