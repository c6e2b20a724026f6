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
  /** What is known of the bunch and what to do next; undefined until it was worked out. */
  readonly advice: HarnessAdvice | undefined;
  /** Whether the answer to the newest readings is still being worked out. */
  readonly thinking: boolean;
  /** State that the vehicle is in. */
  readonly state: VehicleState;
  /** Where the clip of lamp or meter is. */
  readonly clip: 'ground' | 'constant';
  /** Called once the vehicle is in the state that is asked for, with the clip where it belongs. */
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
