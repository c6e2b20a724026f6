import type { HarnessAdvice, HarnessWire } from '@lucky-thread/core/identify/harness';
import { ROLE_NAMES } from '@lucky-thread/core/identify/harness/roles';
import { StyleSheet, View } from 'react-native';
import { Words } from '../../ui/Words';

/** The next likeliest ways the wires could be what they are, and at which wires they differ. */
export function Separating(props: {
  readonly advice: HarnessAdvice;
  readonly wires: readonly HarnessWire[];
}) {
  const [first, ...others] = props.advice.assignments;
  if (first === undefined || others.length === 0) return null;
  const nameOf = (id: string): string => props.wires.find((wire) => wire.id === id)?.name ?? id;
  const roleOf = (id: string): string => {
    const role = props.advice.wires.find((one) => one.wireId === id)?.role ?? 'leftOver';
    return ROLE_NAMES[role].code;
  };
  return (
    <View style={styles.lines} testID="separating">
      <Words kind="label">What could still be otherwise</Words>
      {others.map((other) => (
        <Words kind="small" soft key={other.differsAt.join()}>
          {`${times(first.logWeight - other.logWeight)} less likely: ${other.differsAt
            .map((id) => `${nameOf(id)} not ${roleOf(id)}`)
            .join(', ')}`}
        </Words>
      ))}
    </View>
  );
}

function times(logRatio: number): string {
  const ratio = Math.exp(logRatio);
  return ratio < 1.5 ? 'Hardly' : `${ratio < 100 ? Math.round(ratio) : '> 100'} times`;
}

const styles = StyleSheet.create({ lines: { gap: 2 } });
