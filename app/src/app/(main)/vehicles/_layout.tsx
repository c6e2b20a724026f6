import { Slot, usePathname } from 'expo-router';
import { room } from '../../../rooms/room';
import { ListBeside } from '../../../ui/ListBeside';
import { useWide } from '../../../ui/Screen';

const Models = room((rooms) => rooms.ModelsScreen);

/** A vehicle beside the list of all, where there is room; its places and a new one have the page to themselves. */
const BESIDE = /^\/vehicles(\/(?!new$)[^/]+)?$/;

/** The shop's vehicles. */
export default function VehiclesLayout() {
  const wide = useWide();
  const path = usePathname();
  return wide && BESIDE.test(path) ? <ListBeside list={<Models />} content={<Slot />} /> : <Slot />;
}
