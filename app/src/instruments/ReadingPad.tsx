import type { Glow } from '@lucky-thread/core/identify';
import { memo, useCallback, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../ui/ActionButton';
import { SPACE } from '../ui/tokens';
import { Words } from '../ui/Words';
import { Keypad } from './Keypad';
import type { ReadingTaker } from '../work/useTakeReading';

/** Props of {@link ReadingPad}. */
export interface ReadingPadProps {
  /** Takes a reading and stores it. */
  readonly taker: ReadingTaker;
  /** A simulated car stands behind the model. */
  /** Instrument that the shop takes first; its key comes first. */
  readonly first?: 'meter' | 'lamp';
  /** Whether this vehicle has a bench behind it, so that a reading can be simulated. */
  readonly simulated: boolean;
  /** Called after a reading was kept. */
  readonly onTaken?: () => void;
  /** Unit of what is typed; volts by default. */
  readonly unit?: 'V' | 'Ω';
  /** Tells two pads on one screen apart. */
  readonly testID?: string;
}

/** The ways to log a reading, one touch each: lamp lit, dim or dark, the simulated meter, or volts by keypad. */
export const ReadingPad = memo(function ReadingPad(props: ReadingPadProps) {
  const { taker, unit = 'V', testID = 'pad' } = props;
  const [typing, setTyping] = useState(false);
  const [text, setText] = useState('');
  const { onTaken } = props;
  const done = useCallback(
    (kept: boolean): void => {
      if (!kept) return;
      setText('');
      setTyping(false);
      onTaken?.();
    },
    [onTaken],
  );
  const { glow } = taker;
  const onGlow = useCallback((shown: Glow) => void glow(shown).then(done), [glow, done]);
  const volts = (
    <ActionButton
      label={typing ? 'Close' : unit === 'Ω' ? 'Ohms' : 'Volts'}
      spoken={typing ? 'Close the keypad' : unit === 'Ω' ? 'Type ohms' : 'Type volts'}
      testID={`${testID}-volts`}
      style={styles.key}
      onPress={() => setTyping(!typing)}
    />
  );
  return (
    <View style={styles.pad} testID={testID}>
      <View style={styles.row}>
        {props.first === 'meter' && volts}
        <LampKeys testID={testID} onGlow={onGlow} />
        {props.first !== 'meter' && volts}
        {props.simulated && (
          <ActionButton
            label="Sim meter"
            spoken="Sim meter: take its value"
            testID={`${testID}-sim`}
            style={styles.wideKey}
            disabled={taker.busy}
            onPress={() => void taker.simulated().then(done)}
          />
        )}
      </View>
      <TakerState taker={taker} testID={testID} />
      {typing && (
        <Keypad
          unit={unit}
          text={text}
          onText={setText}
          onLog={() => void taker.volts(text).then(done)}
        />
      )}
    </View>
  );
});

/** Not drawn anew while the simulated meter is being read. */
const LampKeys = memo(function LampKeys(props: {
  readonly testID: string;
  readonly onGlow: (glow: Glow) => void;
}) {
  return (['lit', 'dim', 'dark'] as const).map((glow) => (
    <ActionButton
      key={glow}
      label={{ lit: 'Lit', dim: 'Dim', dark: 'Dark' }[glow]}
      spoken={`Lamp ${glow}`}
      testID={`${props.testID}-${glow}`}
      style={styles.key}
      onPress={() => props.onGlow(glow)}
    />
  ));
});

/** That the meter's line is lost, or what was wrong with the last try. */
function TakerState({
  taker,
  testID,
}: {
  readonly taker: ReadingPadProps['taker'];
  readonly testID: string;
}) {
  return (
    <>
      {taker.link === 'lost' && (
        <Words kind="small" soft testID={`${testID}-link`}>
          ⚡ Meter connection lost. What was read is kept; it connects again at the next touch.
        </Words>
      )}
      {taker.problem !== undefined && (
        <View role="alert">
          <Words kind="small" testID={`${testID}-problem`}>
            ✕ {taker.problem}
          </Words>
        </View>
      )}
    </>
  );
}

const styles = StyleSheet.create({
  pad: { gap: SPACE.xs },
  row: { flexDirection: 'row', gap: SPACE.xs },
  key: { flex: 1, paddingHorizontal: 2 },
  wideKey: { flex: 1.5, paddingHorizontal: 2 },
});
