import { IsIn, IsString, Length, Matches } from 'class-validator';
import { Optional } from './rules/fields';

/** Longest note, characters. */
export const LONGEST_NOTE = 500;
/** What a note is: something to know, or damage that is known at a place and speaks against joining there. */
export const NOTE_KINDS = ['note', 'bulletin'] as const;
/** One kind of note. */
export type NoteKind = (typeof NOTE_KINDS)[number];

/** Something that the next person on a model should know. */
export class NoteRequest {
  /** The place that it is about. */
  @IsString()
  @Length(1, 40, { message: 'name the place' })
  placeId!: string;

  /** The source of that place that it is about; left out for the whole place. */
  @Optional()
  @IsString()
  @Length(1, 80)
  sourceId?: string;

  /** What it is. */
  @IsIn(NOTE_KINDS, { message: `it is one of ${NOTE_KINDS.join(', ')}` })
  kind!: NoteKind;

  /** Its words. */
  @IsString()
  @Matches(/\S/, { message: 'write something' })
  @Length(1, LONGEST_NOTE, { message: `write up to ${LONGEST_NOTE} characters` })
  text!: string;
}

/** A note as everybody sees it. */
export interface NoteView {
  /** UUIDv7, made by the app. */
  readonly id: string;
  /** The place that it is about. */
  readonly placeId: string;
  /** Null: about the whole place. */
  readonly sourceId: string | null;
  /** What it is. */
  readonly kind: NoteKind;
  /** Its words. */
  readonly text: string;
  /** Who wrote it. */
  readonly by: string;
  /** When, ISO 8601. */
  readonly at: string;
}
