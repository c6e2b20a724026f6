import type { DeviceInput } from '@lucky-thread/contract';
import type { DeviceType } from '@lucky-thread/core/choose';
import { DEVICE_FACTS, DEVICE_TYPES, feedsFor, tappableFeeds } from '@lucky-thread/core/choose';
import { View } from 'react-native';
import { v7 as uuidv7 } from 'uuid';
import { ActionButton } from '../../ui/ActionButton';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';

/** Props of {@link KindOfDevice}. */
export interface KindOfDeviceProps {
  /** Called with the changed device. */
  readonly onDevice: (device: DeviceInput) => void;
}

/** Kinds whose feeds a fuse slot can fill; the others want leads of their own from the battery. */
const KINDS: readonly {
  readonly type: DeviceType;
  readonly parked: boolean;
  readonly label: string;
}[] = DEVICE_TYPES.flatMap((type) => {
  const { name, asksParked } = DEVICE_FACTS[type];
  const whole = feedsFor(type, true).length === tappableFeeds(type, true).length;
  if (!whole) return [];
  return asksParked
    ? [
        { type, parked: true, label: `${name}, works parked` },
        { type, parked: false, label: `${name}, key on only` },
      ]
    : [{ type, parked: false, label: name }];
});

/** Fills the feeds in from a kind of device: what it needs, with usual currents to be mended from its label. */
export function KindOfDevice({ onDevice }: KindOfDeviceProps) {
  return (
    <View style={{ gap: SPACE.xs }} testID="kinds">
      <Words kind="label" soft>
        Start from a kind
      </Words>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.xs }}>
        {KINDS.map(({ type, parked, label }) => (
          <ActionButton
            key={label}
            label={label}
            testID={`kind-${type}-${parked ? 'parked' : 'driving'}`}
            onPress={() => onDevice(deviceOf(type, parked))}
          />
        ))}
      </View>
    </View>
  );
}

/** A device of a kind with its usual feeds. */
export function deviceOf(type: DeviceType, parked: boolean): DeviceInput {
  const { name, family } = DEVICE_FACTS[type];
  return {
    name,
    family,
    feeds: tappableFeeds(type, parked).map((feed) => ({
      // New each time, so that a field never shows what was typed for another device.
      id: `${feed.id}-${uuidv7().slice(-4)}`,
      name: feed.name,
      role: feed.role,
      currentA: feed.usualA,
      ...(feed.liveInAcc ? { liveInAcc: true } : {}),
      ...(feed.holdsCranking ? { holdsCranking: true } : {}),
    })),
  };
}
