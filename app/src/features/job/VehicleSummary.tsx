import { View } from 'react-native';
import { Caution } from '../../ui/Caution';
import { Screen } from '../../ui/Screen';
import { Words } from '../../ui/Words';
import { JobStanding } from '../../shell/JobStanding';
import type { JobContext } from '@lucky-thread/work';

/** The car of a job and how to reach its panels. */
export function VehicleSummary({ context }: { readonly context: JobContext }) {
  const { vehicle, vehicleName, warnings, createdBy, createdAt } = context.job;
  return (
    <Screen testID="vehicle">
      <Words kind="title">{`${vehicleName}, ${vehicle.year}`}</Words>
      <Words>
        {[
          vehicle.trim,
          vehicle.market,
          `steering wheel on the ${vehicle.steering}`,
          context.model.keyType,
          ...(vehicle.vin === undefined ? [] : [`VIN ${vehicle.vin}`]),
        ]
          .filter((part) => part !== '')
          .join(', ')}
      </Words>
      {vehicle.noTrace === true && (
        <Caution>
          Leased: only what leaves no trace, and the original parts stay in the car.
        </Caution>
      )}
      {warnings.map((warning) => (
        <Caution key={warning}>{warning}</Caution>
      ))}
      <JobStanding job={context.job} />
      {context.model.places.map((place) => (
        <View key={place.id}>
          <Words kind="heading">{place.name}</Words>
          <Words>{place.location}</Words>
          {place.reach.steps.map((step, index) => (
            <Words key={step} kind="small" soft>{`${index + 1}. ${step}`}</Words>
          ))}
        </View>
      ))}
      <Words kind="small" soft>{`Started by ${createdBy} on ${createdAt.slice(0, 10)}.`}</Words>
    </Screen>
  );
}
