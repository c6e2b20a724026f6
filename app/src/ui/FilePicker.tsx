import type { ChangeEvent } from 'react';
import { createElement, useId } from 'react';
import { View } from 'react-native';
import { ActionButton } from './ActionButton';

/** Props of {@link FilePicker}. */
export interface FilePickerProps {
  /** What it is called on the screen. */
  readonly label: string;
  /** Kinds of file, as the browser names them, e.g. `image/*`. */
  readonly accept: string;
  /** Whether it can't be pressed now. */
  readonly disabled?: boolean;
  /** A phone offers its camera too. */
  readonly camera?: boolean;
  /** Names it for tests; it is not shown. */
  readonly testID: string;
  /** Called with the chosen file. */
  readonly onFile: (file: File) => Promise<void>;
}

/** A button that opens the browser's own file dialog. */
export function FilePicker(props: FilePickerProps) {
  const id = useId();
  const change = (event: ChangeEvent<HTMLInputElement>): void => {
    const input = event.target;
    const file = input.files?.[0];
    if (file === undefined) return;
    void props.onFile(file).finally(() => {
      // The same file may be chosen again after it was mended.
      input.value = '';
    });
  };
  return (
    <View>
      {createElement('input', {
        id,
        type: 'file',
        accept: props.accept,
        ...(props.camera === true ? { capture: 'environment' } : {}),
        'aria-label': props.label,
        'data-testid': props.testID,
        style: { position: 'absolute', width: 1, height: 1, opacity: 0 },
        onChange: change,
      })}
      <ActionButton
        label={props.label}
        disabled={props.disabled === true}
        onPress={() => document.getElementById(id)?.click()}
      />
    </View>
  );
}
