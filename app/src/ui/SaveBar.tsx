import type { FieldProblem } from '@lucky-thread/contract';
import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from './ActionButton';
import { Caution } from './Caution';
import { SPACE } from './tokens';
import { Problems } from './Problems';

/** Props of {@link SaveBar}. */
export interface SaveBarProps {
  /** What is still wrong with what was typed. */
  readonly problems: readonly FieldProblem[];
  /** Why the server refused it. */
  readonly refusal: string | undefined;
  /** Takes the last step back; undefined when there is none. */
  readonly undo: (() => void) | undefined;
  /** What it is called on the screen. */
  readonly label: string;
  /** What the test ids begin with, and the button's end with. */
  readonly name: 'place' | 'vehicle' | 'device';
  /** Whether it can't be pressed now. */
  readonly disabled: boolean;
  /** Called to store it. */
  readonly onSave: () => void;
  /** Something that has to be decided first. */
  readonly children?: ReactNode;
}

/** What stays under the thumb while something is entered: what is wrong, undo, and save. */
export function SaveBar(props: SaveBarProps) {
  const { name, undo, refusal } = props;
  return (
    <View style={styles.stack}>
      <Problems problems={props.problems} testID={`${name}-problems`} />
      {refusal !== undefined && <Caution testID={`${name}-refusal`}>{refusal}</Caution>}
      {props.children}
      <View style={styles.row}>
        <ActionButton
          kind="quiet"
          label="Undo"
          testID="undo-entry"
          disabled={undo === undefined}
          onPress={() => undo?.()}
        />
        <ActionButton
          kind="next"
          label={props.label}
          testID={`save-${name}`}
          style={styles.grow}
          disabled={props.disabled}
          onPress={props.onSave}
        />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.s },
  row: { flexDirection: 'row', gap: SPACE.s },
  grow: { flex: 1 },
});
