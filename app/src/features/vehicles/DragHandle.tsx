import type { GestureResponderEvent } from 'react-native';
import { StyleSheet, View } from 'react-native';
import { usePalette } from '../../ui/ThemeProvider';
import { RADIUS, SPACE, TARGET } from '../../ui/tokens';
import { Words } from '../../ui/Words';

/** Props of {@link DragHandle}. */
export interface DragHandleProps {
  /** Called with the slot under the thumb, as it moves. */
  readonly onOver: (sourceId: string | undefined) => void;
  /** Called with the slot that it was let go over. */
  readonly onDrop: (sourceId: string) => void;
}

/** What the cells of a panel are marked with. */
const CELL = 'slot-';

/** A grip that is pulled onto another slot of the panel; the buttons beside it do the same without pulling. */
export function DragHandle({ onOver, onDrop }: DragHandleProps) {
  const palette = usePalette();
  return (
    <View
      testID="drag-slot"
      aria-hidden
      onStartShouldSetResponder={() => true}
      onMoveShouldSetResponder={() => true}
      onResponderTerminationRequest={() => false}
      onResponderMove={(event) => onOver(slotUnder(event))}
      onResponderRelease={(event) => {
        const target = slotUnder(event);
        onOver(undefined);
        if (target !== undefined) onDrop(target);
      }}
      style={[styles.grip, { borderColor: palette.ink, backgroundColor: palette.raised }]}
    >
      <Words kind="label">⠿ Pull to its place</Words>
    </View>
  );
}

/** The slot that the thumb is over. */
function slotUnder({ nativeEvent }: GestureResponderEvent): string | undefined {
  const { pageX, pageY } = nativeEvent;
  const under = document.elementFromPoint(pageX - window.scrollX, pageY - window.scrollY);
  const id = under?.closest(`[data-testid^="${CELL}"]`)?.getAttribute('data-testid');
  return id?.includes('/') === true ? id.slice(CELL.length) : undefined;
}

const styles = StyleSheet.create({
  grip: {
    minHeight: TARGET,
    paddingHorizontal: SPACE.m,
    borderWidth: 1.5,
    borderStyle: 'dashed',
    borderRadius: RADIUS,
    justifyContent: 'center',
    // The page must not scroll away under a thumb that pulls.
    touchAction: 'none',
    cursor: 'grab',
  } as object,
});
