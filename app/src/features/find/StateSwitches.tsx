import type { KeyPosition, StateChange, VehicleState } from '@lucky-thread/core/vehicle';
import { StyleSheet, View } from 'react-native';
import { Choice } from '../../ui/Choice';
import { Toggle } from '../../ui/Toggle';
import { SPACE } from '../../ui/tokens';

const KEYS: readonly { readonly value: KeyPosition; readonly label: string }[] = [
  { value: 'off', label: 'Off' },
  { value: 'acc', label: 'Acc' },
  { value: 'run', label: 'Run' },
  { value: 'crank', label: 'Crank' },
  { value: 'engine', label: 'Engine' },
];

/** Props of {@link StateSwitches}. */
export interface StateSwitchesProps {
  readonly state: VehicleState;
  readonly onChange: (change: StateChange) => void;
}

/** The state the car is in now, as the installer set it: key, lamps, driver's door, sleep. */
export function StateSwitches({ state, onChange }: StateSwitchesProps) {
  return (
    <View style={styles.switches} testID="state">
      <Choice
        label="Key position"
        testID="key"
        even
        options={KEYS}
        value={state.asleep ? undefined : state.key}
        onChange={(to) => onChange({ kind: 'key', to })}
      />
      <View style={styles.row}>
        <Toggle
          label="Lamps"
          state={state.lamps ? 'on' : 'off'}
          on={state.lamps}
          testID="lamps"
          onChange={(to) => onChange({ kind: 'lamps', to })}
        />
        <Toggle
          label="Driver’s door"
          state={doorWords(state)}
          on={state.driverDoor === 'open'}
          testID="door"
          onChange={(open) => onChange({ kind: 'door', to: open ? 'open' : 'closed' })}
        />
        <Toggle
          label="Car"
          state={state.asleep ? 'asleep' : 'awake'}
          on={state.asleep}
          testID="asleep"
          onChange={(asleep) => onChange({ kind: asleep ? 'sleep' : 'wake' })}
        />
      </View>
    </View>
  );
}

/** With the key off it matters whether the door was opened since, not only how it stands. */
function doorWords(state: VehicleState): string {
  if (state.driverDoor === 'open') return 'open';
  return state.key === 'off' && state.doorOpenedSinceKeyOff ? 'shut again' : 'shut';
}

const styles = StyleSheet.create({
  switches: { gap: SPACE.xs },
  row: { flexDirection: 'row', gap: SPACE.xs },
});
