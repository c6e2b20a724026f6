import type { PhotoPinInput, PhotoView } from '@lucky-thread/contract';
import { useState } from 'react';
import { Image, StyleSheet, View } from 'react-native';
import { usePalette } from '../../../ui/ThemeProvider';
import { RADIUS, SPACE } from '../../../ui/tokens';
import { Words } from '../../../ui/Words';

/** Props of {@link PinnedPhoto}. */
export interface PinnedPhotoProps {
  /** The photo with its pins. */
  readonly photo: PhotoView;
  /** Pins where they differ from those that are stored. */
  readonly pins?: readonly PhotoPinInput[];
  /** The only source whose pin is shown. */
  readonly onlyId?: string;
  /** The source whose pin is being put; drawn in front. */
  readonly chosenId?: string | undefined;
  /** Called with where the photo was touched, as shares of its sides. */
  readonly onTouch?: (at: { readonly x: number; readonly y: number }) => void;
}

/** A photo with the sources that are seen on it. */
export function PinnedPhoto({ photo, pins = photo.pins, ...props }: PinnedPhotoProps) {
  const [width, setWidth] = useState(0);
  const height = (width * photo.height) / photo.width;
  const { onTouch } = props;
  const shown = pins.filter((pin) => props.onlyId === undefined || pin.sourceId === props.onlyId);
  return (
    <View style={styles.stack}>
      <View
        testID={`photo-${photo.id}`}
        onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
        style={[styles.frame, { height }]}
        onStartShouldSetResponder={() => onTouch !== undefined}
        onResponderRelease={({ nativeEvent }) =>
          onTouch?.({
            x: share(nativeEvent.locationX / width),
            y: share(nativeEvent.locationY / height),
          })
        }
      >
        {width > 0 && (
          <Image
            source={{ uri: `/api/photos/${photo.id}` }}
            accessibilityLabel={photo.caption === '' ? 'Photo of the place' : photo.caption}
            style={{ width, height }}
          />
        )}
        {shown.map((pin) => (
          <Pin
            key={pin.sourceId}
            pin={pin}
            chosen={pin.sourceId === props.chosenId}
            at={{ x: pin.x * width, y: pin.y * height }}
          />
        ))}
      </View>
      {photo.caption !== '' && <Words kind="small">{photo.caption}</Words>}
    </View>
  );
}

function share(value: number): number {
  return Math.min(1, Math.max(0, Math.round(value * 1e4) / 1e4));
}

/** A label beside a point; it never takes the touch from the photo. */
function Pin(props: {
  readonly pin: PhotoPinInput;
  readonly chosen: boolean;
  readonly at: { readonly x: number; readonly y: number };
}) {
  const palette = usePalette();
  const { pin, chosen, at } = props;
  const ground = chosen ? palette.accent : palette.ink;
  return (
    <View
      testID={`photo-pin-${pin.sourceId}`}
      style={[styles.pin, { left: at.x - 7, top: at.y - 11, zIndex: chosen ? 1 : 0 }]}
    >
      <View style={[styles.point, { backgroundColor: ground, borderColor: palette.canvas }]} />
      <View style={[styles.label, { backgroundColor: ground }]}>
        <Words kind="code" colour={chosen ? palette.onAccent : palette.canvas}>
          {pin.sourceId.split('/')[1] ?? pin.sourceId}
        </Words>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.xs },
  frame: { alignSelf: 'stretch', borderRadius: RADIUS, overflow: 'hidden' },
  pin: {
    position: 'absolute',
    flexDirection: 'row',
    alignItems: 'center',
    gap: 2,
    pointerEvents: 'none',
  },
  point: { width: 14, height: 14, borderRadius: 7, borderWidth: 2 },
  label: { paddingHorizontal: 5, paddingVertical: 2, borderRadius: 4 },
});
