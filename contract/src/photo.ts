import { IsNumber, IsString, Length, Max, Min } from 'class-validator';
import { NestedList, UniqueBy, Version } from './rules/fields';

/** Largest photo that is kept, bytes: a picture of 1600 px as a phone's browser packs it takes a fifth of it. */
export const MOST_PHOTO_BYTES = 3 * 1024 * 1024;
/** Longest side of a photo, px. */
export const LONGEST_PHOTO_PX = 4000;
/** Most photos of one place. */
export const MOST_PHOTOS = 24;
/** Longest caption, characters. */
export const LONGEST_CAPTION = 120;
/** Most pins on one photo. */
const MOST_PINS = 60;

/** A source, where it is seen on a photo. */
export class PhotoPinInput {
  /** The source. */
  @IsString()
  @Length(1, 40)
  sourceId!: string;

  /** From the left edge, as a share of the photo's width. */
  @IsNumber({}, { message: 'a pin lies between the edges of its photo' })
  @Min(0)
  @Max(1)
  x!: number;

  /** From the upper edge, as a share of the photo's height. */
  @IsNumber({}, { message: 'a pin lies between the edges of its photo' })
  @Min(0)
  @Max(1)
  y!: number;
}

/** What a photo shows. */
export class DescribePhotoRequest {
  /** The version of the photo that the change was made on. */
  @Version()
  base!: number;

  /** What is to be seen on it; may be empty. */
  @IsString()
  @Length(0, LONGEST_CAPTION, {
    message: `say in up to ${LONGEST_CAPTION} characters what is to be seen`,
  })
  caption!: string;

  /** Sources that are to be seen. */
  @NestedList(() => PhotoPinInput, { max: MOST_PINS })
  @UniqueBy<PhotoPinInput>('sourceId', 'a source has one pin on a photo')
  pins!: PhotoPinInput[];
}

/** A photo of a place. */
export interface PhotoView {
  /** UUIDv7. */
  readonly id: string;
  /** The place that it shows. */
  readonly placeId: string;
  /** What is to be seen; may be empty. */
  readonly caption: string;
  /** px. */
  readonly width: number;
  /** px. */
  readonly height: number;
  /** Sources that are to be seen, and where. */
  readonly pins: readonly PhotoPinInput[];
  /** Grows with every change of its words and pins. */
  readonly version: number;
  /** Who took it. */
  readonly takenBy: string;
  /** When it came in, ISO 8601. */
  readonly takenAt: string;
}
