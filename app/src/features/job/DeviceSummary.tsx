import type { FeedInput } from '@lucky-thread/contract';
import type { JobContext } from '@lucky-thread/work';
import { View } from 'react-native';
import { LeadColour } from '../../panel/LeadColour';
import { Caution } from '../../ui/Caution';
import { Screen } from '../../ui/Screen';
import { Words } from '../../ui/Words';
import { LeadCard } from './LeadCard';
import { roleName } from '../../leads/roleName';

/** A lead in one line: what it is, which way it goes, and what is asked of it. */
function leadLine(feed: FeedInput): string {
  return [
    roleName(feed.role),
    ...(feed.role === 'ground' ? [] : [`${feed.currentA} A at 12 V`]),
    ...(feed.direction === 'out' ? ['the device drives it'] : []),
    ...(feed.direction === 'both' ? ['goes both ways'] : []),
    ...(feed.holdsCranking === true ? ['must hold through cranking'] : []),
    ...(feed.liveInAcc === true ? ['must be live at accessory'] : []),
    ...(feed.optional === true ? ['may be left off'] : []),
    ...(feed.leadColour === undefined ? [] : [`${feed.leadColour} lead`]),
  ].join(', ');
}

/** The device of a job and its feeds. */
export function DeviceSummary({ context }: { readonly context: JobContext }) {
  const { device } = context.job;
  return (
    <Screen testID="device">
      <Words kind="title">{device.name}</Words>
      {device.fittedWith !== undefined && (
        <Words testID="fitted-with">{`In this car: ${device.fittedWith.join('; ')}.`}</Words>
      )}
      {device.feeds.map((feed) => (
        <View key={feed.id}>
          <Words kind="heading">{feed.name}</Words>
          <LeadColour family={device.family} words={feed.leadColour}>
            <Words>{leadLine(feed)}</Words>
          </LeadColour>
          {feed.leftOff !== undefined && (
            <Words kind="small" soft>{`Left off: ${feed.leftOff}`}</Words>
          )}
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
