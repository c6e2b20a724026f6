import type {
  KeyPosition,
  LockSwitch,
  StateChange,
  StateToggle,
  VehicleState,
} from '@lucky-thread/core/vehicle';
import { TOGGLES, describeState } from '@lucky-thread/core/vehicle';
import { memo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../ui/ActionButton';
import { Choice } from '../ui/Choice';
import { Toggle } from '../ui/Toggle';
import { SPACE } from '../ui/tokens';
import { Words } from '../ui/Words';

const KEYS: readonly { readonly value: KeyPosition; readonly label: string }[] = [
  { value: 'off', label: 'Off' },
  { value: 'acc', label: 'Acc' },
  { value: 'run', label: 'Run' },
  { value: 'crank', label: 'Crank' },
  { value: 'engine', label: 'Engine' },
];

/** Props of {@link StateSwitches}. */
export interface StateSwitchesProps {
  /** State that the vehicle is in. */
  readonly state: VehicleState;
  /** Called with what changed of the state. */
  readonly onChange: (change: StateChange) => void;
}

/** What the other switches are called, and their two positions. */
const TOGGLE_WORDS: Record<StateToggle, readonly [label: string, off: string, on: string]> = {
  brake: ['Brake pedal', 'released', 'pressed'],
  reverse: ['Reverse', 'not in', 'in'],
  parkingBrake: ['Parking brake', 'released', 'on'],
  hazard: ['Hazard', 'off', 'on'],
  dimmed: ['Dimmer', 'full', 'low'],
  hood: ['Hood', 'shut', 'open'],
  turnLeft: ['Turn left', 'not', 'on'],
  turnRight: ['Turn right', 'not', 'on'],
  horn: ['Horn', 'released', 'pressed'],
  wiper: ['Wiper', 'off', 'on'],
  rolling: ['Wheel', 'stands', 'turned'],
  highBeam: ['Main beam', 'off', 'on'],
  tuner: ['Radio: tuner', 'not', 'plays'],
  otherSource: ['Radio: other', 'not', 'plays'],
};
const LOCKS: readonly { readonly value: LockSwitch; readonly label: string }[] = [
  { value: 'rest', label: 'Lock switch at rest' },
  { value: 'lock', label: 'Lock held' },
  { value: 'unlock', label: 'Unlock held' },
];
/** One press of the wait button, minutes: long enough for modules to shed their loads. */
const WAIT_MINUTES = 10;

/** The state the car is in now, as the installer set it: key, lamps, door and sleep; the other switches on demand. */
export const StateSwitches = memo(function StateSwitches({ state, onChange }: StateSwitchesProps) {
  const moved =
    TOGGLES.some((which) => state[which] === true) || (state.lockSwitch ?? 'rest') !== 'rest';
  const [open, setOpen] = useState(false);
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
        <ActionButton
          label={open ? 'Less' : 'More'}
          spoken={
            open ? 'Less: hide the other switches' : 'More: brake, reverse, hazard and others'
          }
          testID="more-switches"
          onPress={() => setOpen(!open)}
        />
      </View>
      {(open || moved) && <OtherSwitches state={state} onChange={onChange} />}
    </View>
  );
});

/** Pedal, gear, parking brake, hazard, dimmer, lock switch and waiting. */
function OtherSwitches({ state, onChange }: StateSwitchesProps) {
  return (
    <View style={styles.switches}>
      <View style={styles.wrap}>
        {TOGGLES.map((which) => {
          const [label, off, on] = TOGGLE_WORDS[which];
          const isOn = state[which] === true;
          return (
            <View key={which} style={styles.third}>
              <Toggle
                label={label}
                state={isOn ? on : off}
                on={isOn}
                testID={which}
                onChange={(to) => onChange({ kind: 'toggle', which, to })}
              />
            </View>
          );
        })}
        <View style={styles.third}>
          <ActionButton
            label={`Wait ${WAIT_MINUTES} min`}
            testID="wait"
            disabled={state.key !== 'off'}
            onPress={() => onChange({ kind: 'wait', minutes: WAIT_MINUTES })}
          />
        </View>
      </View>
      <Choice
        label="Lock switch"
        even
        options={LOCKS}
        value={state.lockSwitch ?? 'rest'}
        onChange={(to) => onChange({ kind: 'lock', to })}
      />
      <Words kind="small" soft testID="state-words">
        Now: {describeState(state)}.
      </Words>
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
  wrap: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.xs },
  third: { flexGrow: 1, flexBasis: '31%' },
});
