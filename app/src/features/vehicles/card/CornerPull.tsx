import type { Corners, Gray, Point } from '@lucky-thread/core/card';
import { useRef, useState } from 'react';
import type { GestureResponderEvent } from 'react-native';
import { Image, StyleSheet, View } from 'react-native';
import Svg, { Polygon } from 'react-native-svg';
import { usePalette } from '../../../ui/ThemeProvider';
import { TARGET } from '../../../ui/tokens';

/** Props of {@link CornerPull}. */
export interface CornerPullProps {
  /** Size of the picture, pixels. */
  readonly picture: Pick<Gray, 'width' | 'height'>;
  /** Address of the picture, for as long as it is shown. */
  readonly url: string;
  /** Its four corners on the picture, as shares of its width and height. */
  readonly corners: Corners;
  /** Called while a corner is pulled. */
  readonly onCorners: (corners: Corners) => void;
}

const NAMES = ['Upper left', 'Upper right', 'Lower right', 'Lower left'] as const;
/** One step of an arrow key, px of the picture. */
const STEP_PX = 4;

/** A picture with four corners on it, to be pulled onto the card by thumb or arrow keys. */
export function CornerPull({ picture, url, corners, onCorners }: CornerPullProps) {
  const [width, setWidth] = useState(0);
  const scale = width / picture.width;
  const move = (at: number, to: Point): void => {
    const inside = {
      x: Math.min(picture.width, Math.max(0, to.x)),
      y: Math.min(picture.height, Math.max(0, to.y)),
    };
    onCorners(corners.map((one, index) => (index === at ? inside : one)) as unknown as Corners);
  };
  return (
    <View
      testID="corner-pull"
      onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
      style={{ height: picture.height * scale }}
    >
      {width > 0 && (
        <>
          <Image
            source={{ uri: url }}
            accessibilityLabel="The picture of the lid"
            style={{ width, height: picture.height * scale }}
          />
          <Frame {...{ picture, corners, scale }} />
          {corners.map((corner, at) => (
            <Handle
              key={NAMES[at]}
              name={NAMES[at] ?? ''}
              corner={corner}
              scale={scale}
              onMove={(to) => move(at, to)}
            />
          ))}
        </>
      )}
    </View>
  );
}

/** The lines between the corners, over the picture. */
function Frame(props: Pick<CornerPullProps, 'picture' | 'corners'> & { readonly scale: number }) {
  const palette = usePalette();
  const { picture, corners, scale } = props;
  return (
    <Svg
      width={picture.width * scale}
      height={picture.height * scale}
      style={StyleSheet.absoluteFill}
      aria-hidden
    >
      <Polygon
        points={corners.map(({ x, y }) => `${x * scale},${y * scale}`).join(' ')}
        fill="none"
        stroke={palette.accent}
        strokeWidth={3}
      />
    </Svg>
  );
}

function Handle(props: {
  readonly name: string;
  readonly corner: Point;
  readonly scale: number;
  readonly onMove: (to: Point) => void;
}) {
  const palette = usePalette();
  const { name, corner, scale } = props;
  const grip = useGrip(props);
  const keys: Record<string, readonly [number, number]> = {
    ArrowLeft: [-STEP_PX, 0],
    ArrowRight: [STEP_PX, 0],
    ArrowUp: [0, -STEP_PX],
    ArrowDown: [0, STEP_PX],
  };
  const keyed = {
    onKeyDown: (event: { readonly key: string; readonly preventDefault: () => void }) => {
      const step = keys[event.key];
      if (step === undefined) return;
      event.preventDefault();
      props.onMove({ x: corner.x + step[0], y: corner.y + step[1] });
    },
  };
  return (
    <View
      {...grip}
      {...keyed}
      role="slider"
      tabIndex={0}
      aria-label={`${name} corner`}
      aria-valuetext={`${Math.round(corner.x)} across, ${Math.round(corner.y)} down`}
      aria-valuenow={Math.round(corner.x)}
      testID={`corner-${name.toLowerCase().replace(' ', '-')}`}
      style={[
        styles.handle,
        {
          left: corner.x * scale - TARGET / 2,
          top: corner.y * scale - TARGET / 2,
          borderColor: palette.accent,
        },
      ]}
    >
      <View style={[styles.point, { backgroundColor: palette.accent }]} />
    </View>
  );
}

/** Follows a thumb from where it took hold. */
function useGrip({
  corner,
  scale,
  onMove,
}: {
  readonly corner: Point;
  readonly scale: number;
  readonly onMove: (to: Point) => void;
}) {
  const hold = useRef({ x: 0, y: 0, corner });
  return {
    onStartShouldSetResponder: () => true,
    onMoveShouldSetResponder: () => true,
    onResponderTerminationRequest: () => false,
    onResponderGrant: ({ nativeEvent }: GestureResponderEvent) => {
      hold.current = { x: nativeEvent.pageX, y: nativeEvent.pageY, corner };
    },
    onResponderMove: ({ nativeEvent }: GestureResponderEvent) => {
      const from = hold.current;
      onMove({
        x: from.corner.x + (nativeEvent.pageX - from.x) / scale,
        y: from.corner.y + (nativeEvent.pageY - from.y) / scale,
      });
    },
  };
}

const styles = StyleSheet.create({
  handle: {
    position: 'absolute',
    width: TARGET,
    height: TARGET,
    borderRadius: TARGET / 2,
    borderWidth: 3,
    alignItems: 'center',
    justifyContent: 'center',
    // The page must not scroll away under a thumb that pulls.
    touchAction: 'none',
  } as object,
  point: { width: 8, height: 8, borderRadius: 4 },
});
