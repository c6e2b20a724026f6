import { View } from 'react-native';
import { LeadColour } from '../../panel/LeadColour';
import { Caution } from '../../ui/Caution';
import { Screen } from '../../ui/Screen';
import { Words } from '../../ui/Words';
import { JobStanding } from '../../shell/JobStanding';
import { LeadCard } from './LeadCard';
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

/** The device of a job and its feeds. */
export function DeviceSummary({ context }: { readonly context: JobContext }) {
  const { device } = context.job;
  return (
    <Screen testID="device">
      <Words kind="title">{device.name}</Words>
      {device.feeds.map((feed) => (
        <View key={feed.id}>
          <Words kind="heading">{feed.name}</Words>
          <LeadColour family={device.family} words={feed.leadColour}>
            <Words>
              {[
                feed.role,
                ...(feed.role === 'ground' ? [] : [`${feed.currentA} A at 12 V`]),
                ...(feed.holdsCranking === true ? ['must hold through cranking'] : []),
                ...(feed.liveInAcc === true ? ['must be live at accessory'] : []),
                ...(feed.leadColour === undefined ? [] : [`${feed.leadColour} lead`]),
              ].join(', ')}
            </Words>
          </LeadColour>
        </View>
      ))}
      {device.family !== undefined && <LeadCard family={device.family} feeds={device.feeds} />}
      <Caution>
        Lead colours hold within this kit’s harness only. Yellow is constant on one kit, ignition on
        the next; the car’s own colours say nothing.
      </Caution>
    </Screen>
  );
}
