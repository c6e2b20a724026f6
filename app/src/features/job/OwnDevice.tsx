import type { DeviceInput, FeedInput, FieldProblem } from '@lucky-thread/contract';
import { StyleSheet, View } from 'react-native';
import { LeadFields } from '../../leads/LeadFields';
import { newLead } from '../../leads/newLead';
import { problemAt } from '../../ui/problemAt';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Field } from '../../ui/Field';
import { SPACE } from '../../ui/tokens';
import { KeepDevice } from './KeepDevice';
import { KindOfDevice } from './KindOfDevice';

/** A device to begin with: one switched feed. */
export function ownDeviceDraft(): DeviceInput {
  return { name: '', feeds: [newLead('switched')] };
}

/** Props of {@link OwnDevice}. */
export interface OwnDeviceProps {
  /** The device that it is about. */
  readonly device: DeviceInput;
  /** What is wrong with what was typed, with where. */
  readonly problems: readonly FieldProblem[];
  /** Called with the changed device. */
  readonly onDevice: (device: DeviceInput) => void;
}

/** A device typed in by hand: its name and its feeds. */
export function OwnDevice({ device, problems, onDevice }: OwnDeviceProps) {
  const setFeed = (index: number, feed: FeedInput): void =>
    onDevice({ ...device, feeds: device.feeds.map((one, at) => (at === index ? feed : one)) });
  return (
    <View style={styles.stack}>
      <KindOfDevice onDevice={onDevice} />
      <Field
        label="Name of the device"
        testID="own-name"
        value={device.name}
        problem={problemAt(problems, 'device.name')}
        onChange={(name) => onDevice({ ...device, name })}
      />
      {device.feeds.map((feed, index) => (
        <Card key={feed.id}>
          <LeadFields
            lead={feed}
            index={index}
            problemOf={(field) => problemAt(problems, `device.feeds.${index}.${field}`)}
            onLead={(next) => setFeed(index, next)}
          />
          {device.feeds.length > 1 && (
            <ActionButton
              kind="quiet"
              label="Remove this feed"
              onPress={() =>
                onDevice({ ...device, feeds: device.feeds.filter((one) => one.id !== feed.id) })
              }
            />
          )}
        </Card>
      ))}
      <ActionButton
        label="Add a feed"
        testID="add-feed"
        onPress={() => onDevice({ ...device, feeds: [...device.feeds, newLead('constant')] })}
      />
      <KeepDevice device={device} />
    </View>
  );
}

const styles = StyleSheet.create({ stack: { gap: SPACE.s } });
