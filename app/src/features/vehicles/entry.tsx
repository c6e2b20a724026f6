import { Suspense, lazy } from 'react';
import { Loading } from '../../ui/States';
import type { PlacePageProps } from './place/PlacePage';
import type { PlaceScreenProps } from './PlaceScreen';

const NewVehicleScreen = lazy(async () => ({
  default: (await import('./entryScreens')).NewVehicleScreen,
}));
const PlaceScreen = lazy(async () => ({ default: (await import('./entryScreens')).PlaceScreen }));
const PlacePage = lazy(async () => ({ default: (await import('./entryScreens')).PlacePage }));

/** A new vehicle. */
export function NewVehicle() {
  return (
    <Suspense fallback={<Loading what="the form" />}>
      <NewVehicleScreen />
    </Suspense>
  );
}

/** A place of a vehicle, entered or put right. */
export function PlaceEntryOf(props: PlaceScreenProps) {
  return (
    <Suspense fallback={<Loading what="the form" />}>
      <PlaceScreen {...props} />
    </Suspense>
  );
}

/** A place of a vehicle, with what it holds. */
export function PlaceOf(props: PlacePageProps) {
  return (
    <Suspense fallback={<Loading what="the place" />}>
      <PlacePage {...props} />
    </Suspense>
  );
}
