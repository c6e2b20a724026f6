import { fittedDevice } from '@lucky-thread/contract';
import type { DeviceInput, DeviceView } from '@lucky-thread/contract';
import { useState } from 'react';
import { View } from 'react-native';
import { SPACE } from '../../ui/tokens';
import { Toggle } from '../../ui/Toggle';
import { Words } from '../../ui/Words';

/** Props of {@link DeviceOptions}. */
export interface DeviceOptionsProps {
  /** The device whose options are ticked. */
  readonly device: DeviceView;
  /** Takes the device with the leads that are left. */
  readonly onDevice: (device: DeviceInput) => void;
}

/** What decides which leads a device of the catalogue has in this car, and which they are then. */
export function DeviceOptions({ device, onDevice }: DeviceOptionsProps) {
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const change = (id: string, on: boolean): void => {
    const next = on ? [...chosen, id] : chosen.filter((one) => one !== id);
    setChosen(next);
    onDevice(fittedDevice(device, next));
  };
  const leads = fittedDevice(device, chosen).feeds.map(({ name }) => name);
  return (
    <View style={{ gap: SPACE.s }} testID="device-options">
      <Words kind="label">In this car</Words>
      {(device.options ?? []).map(({ id, name, says }) => (
        <View key={id} style={{ gap: SPACE.xs }}>
          <Toggle
            label={name}
            state={chosen.includes(id) ? 'yes' : 'no'}
            on={chosen.includes(id)}
            testID={`option-${id}`}
            onChange={(on) => change(id, on)}
          />
          {says !== undefined && chosen.includes(id) && (
            <Words kind="small" soft>
              {says}
            </Words>
          )}
        </View>
      ))}
      <Words kind="small" soft testID="option-leads">
        {`${leads.length} leads: ${leads.join(', ')}`}
      </Words>
    </View>
  );
}
