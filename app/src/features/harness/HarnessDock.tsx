import type { HarnessAdvice } from '@lucky-thread/core/identify/harness';
import type { VehicleState } from '@lucky-thread/core/vehicle';
import { describeState, stateId } from '@lucky-thread/core/vehicle';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../../ui/ActionButton';
import { Caution } from '../../ui/Caution';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { TestDrawing } from '../../instruments/TestDrawing';

/** Props of {@link HarnessDock}. */
export interface HarnessDockProps {
  readonly advice: HarnessAdvice | undefined;
  readonly thinking: boolean;
  readonly state: VehicleState;
  readonly clip: 'ground' | 'constant';
  readonly onArrived: (state: VehicleState, clip: 'ground' | 'constant') => void;
}

/** What to do next with the bunch, in one sentence, and the button for it. */
export function HarnessDock(props: HarnessDockProps) {
  const next = props.advice?.next;
  if (next === undefined)
    return (
      <Words soft testID="next">
        Working out the next test…
      </Words>
    );
  return (
    <View style={styles.dock} aria-live="polite" aria-busy={props.thinking}>
      <View style={styles.said}>
        <Words kind="instruction" testID="next" style={styles.words}>
          {next.instruction}
        </Words>
        {next.kind === 'probe' && <TestDrawing state={next.state} />}
      </View>
      {(next.kind === 'probe' || next.kind === 'pop' || next.kind === 'pairOhms') && (
        <>
          <Words kind="small" soft>
            {next.because}
          </Words>
          {next.caution !== undefined && <Caution>{next.caution}</Caution>}
        </>
      )}
      {next.kind === 'help' &&
        next.help.causes.map(({ cause, check }) => (
          <Words kind="small" key={cause}>{`• ${cause}. ${check}`}</Words>
        ))}
      {next.kind === 'probe' &&
        (stateId(next.state) !== stateId(props.state) || next.clip !== props.clip) && (
          <ActionButton
            kind="next"
            label={`It is: ${describeState(next.state)}`}
            testID="arrived"
            onPress={() => props.onArrived(next.state, next.clip)}
          />
        )}
    </View>
  );
}

const styles = StyleSheet.create({
  dock: { gap: SPACE.s },
  said: { flexDirection: 'row', gap: SPACE.s },
  words: { flex: 1 },
});
