import { Suspense, lazy } from 'react';
import { Loading } from '../../ui/States';
import type { PlaceScreenProps } from './PlaceScreen';

const NewVehicleScreen = lazy(async () => ({
  default: (await import('./entryScreens')).NewVehicleScreen,
}));
const PlaceScreen = lazy(async () => ({ default: (await import('./entryScreens')).PlaceScreen }));

/** A new vehicle. */
export function NewVehicle() {
  return (
    <Suspense fallback={<Loading what="the form" />}>
      <NewVehicleScreen />
    </Suspense>
  );
}

/** A place of a vehicle, entered or put right. */
export function PlaceOf(props: PlaceScreenProps) {
  return (
    <Suspense fallback={<Loading what="the form" />}>
      <PlaceScreen {...props} />
    </Suspense>
  );
}
