/** The frame of a JPEG of a size: what says what it is, without a picture in it (ITU-T T.81, B.2, from memory). */
export function jpegFrame(
  width: number,
  height: number,
  more: readonly Uint8Array[] = [],
): Uint8Array<ArrayBuffer> {
  const frame = [0xff, 0xc0, 0, 17, 8, ...two(height), ...two(width), 3];
  const components = [1, 0x22, 0, 2, 0x11, 1, 3, 0x11, 1];
  return new Uint8Array(
    Buffer.concat([
      Uint8Array.of(0xff, 0xd8, 0xff, 0xe0, 0, 16, ...Buffer.from('JFIF\0', 'latin1')),
      Uint8Array.of(1, 1, 0, 0, 1, 0, 1, 0, 0),
      ...more,
      Uint8Array.of(...frame, ...components, 0xff, 0xd9),
    ]),
  );
}

/** What a camera writes beside its picture. */
export function cameraData(): Uint8Array {
  const text = Buffer.from('Exif\0\0somewhere on the coast', 'latin1');
  return Buffer.concat([Uint8Array.of(0xff, 0xe1, ...two(text.length + 2)), text]);
}

function two(value: number): [number, number] {
  return [value >> 8, value & 0xff];
}
