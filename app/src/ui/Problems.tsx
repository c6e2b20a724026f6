import type { FieldProblem } from '@lucky-thread/contract';
import { View } from 'react-native';
import { Words } from './Words';

/** Problems that are told at once; the rest when these are mended. */
const TOLD = 3;

/** What is still wrong with what was typed, above the button that found it. */
export function Problems(props: {
  readonly problems: readonly FieldProblem[];
  readonly testID: string;
}) {
  if (props.problems.length === 0) return null;
  const told = props.problems.slice(0, TOLD).map((one) => one.message);
  return (
    <View role="alert">
      <Words kind="small" testID={props.testID}>
        ✕ {told.join(' · ')}
      </Words>
    </View>
  );
}
