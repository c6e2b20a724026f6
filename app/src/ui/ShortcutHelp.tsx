import { useState } from 'react';
import { Dialog, Portal } from 'react-native-paper';
import { ActionButton } from './ActionButton';
import { usePalette } from './ThemeProvider';
import { activeShortcuts, useShortcuts } from './useShortcuts';
import { Words } from './Words';

/** The keyboard shortcuts in force, shown on `?`. */
export function ShortcutHelp() {
  const palette = usePalette();
  const [open, setOpen] = useState(false);
  useShortcuts({ '?': { what: 'This list', run: () => setOpen(true) } });
  return (
    <Portal>
      <Dialog
        visible={open}
        onDismiss={() => setOpen(false)}
        style={{ backgroundColor: palette.raised, maxWidth: 480, alignSelf: 'center' }}
      >
        <Dialog.Content>
          <Words kind="heading">Keys</Words>
          {activeShortcuts().map(([key, what]) => (
            <Words key={key}>{`${key}   ${what}`}</Words>
          ))}
        </Dialog.Content>
        <Dialog.Actions>
          <ActionButton label="Close" onPress={() => setOpen(false)} />
        </Dialog.Actions>
      </Dialog>
    </Portal>
  );
}
