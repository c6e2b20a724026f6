import type { Cone } from '@lucky-thread/core/identify';
import type { SpeakerPlace } from '@lucky-thread/core/vehicle';
import { SPEAKER_PLACES } from '@lucky-thread/core/vehicle';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../ui/ActionButton';
import { Choice } from '../ui/Choice';
import { SPACE } from '../ui/tokens';

/** Props of {@link PopPad}. */
export interface PopPadProps {
  /** Whether this vehicle has a bench behind it, so that a reading can be simulated. */
  readonly simulated: boolean;
  /** Called with what the cone did, and which speaker it was. */
  readonly onPop: (cone: Cone, speaker: string | undefined) => void;
  /** Called to read the bench instead. */
  readonly onSimulated: () => void;
}

/** What the cone of a speaker that popped did, with the button's label and what is spoken of it. */
const CONE_ANSWERS = [
  ['out', 'Cone out', 'Cone out'],
  ['in', 'Cone in', 'Cone in'],
  ['unseen', 'Unseen', 'It popped, but the cone can’t be seen'],
] as const;

/** What the 9 V pop did: which speaker, and which way its cone moved. */
export function PopPad({ simulated, onPop, onSimulated }: PopPadProps) {
  const [speaker, setSpeaker] = useState<SpeakerPlace>();
  return (
    <View style={styles.pad} testID="pop-pad">
      <Choice
        label="Which speaker popped"
        testID="popped"
        options={SPEAKER_PLACES.map((value) => ({ value, label: value }))}
        value={speaker}
        onChange={setSpeaker}
      />
      <View style={styles.row}>
        {CONE_ANSWERS.map(([cone, label, spoken]) => (
          <ActionButton
            key={cone}
            {...{ label, spoken }}
            testID={`pop-${cone}`}
            style={styles.even}
            disabled={speaker === undefined}
            onPress={() => onPop(cone, speaker)}
          />
        ))}
        <ActionButton
          label="Silence"
          testID="pop-none"
          style={styles.even}
          onPress={() => onPop('none', undefined)}
        />
        {simulated && (
          <ActionButton
            label="Sim pop"
            testID="pop-sim"
            style={styles.even}
            onPress={onSimulated}
          />
        )}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  pad: { gap: SPACE.xs },
  row: { flexDirection: 'row', gap: SPACE.xs },
  even: { flex: 1, paddingHorizontal: 2 },
});
