import { IsString, Length, Matches } from 'class-validator';
import { OrNull } from './rules/fields';

/** What the handbook says of a slot. */
export class HandbookEntryRequest {
  /** Its words, as printed there; null when it lists nothing. */
  @OrNull()
  @IsString()
  @Matches(/\S/, { message: 'give the handbook’s words, not blanks' })
  @Length(1, 120, {
    message: 'give the handbook’s words, up to 120 characters, or that it lists nothing',
  })
  entry!: string | null;
}

/** An entry that somebody of the shop has looked up. */
export interface HandbookEntryView {
  /** The slot. */
  readonly sourceId: string;
  /** Its words; null: the handbook lists nothing. */
  readonly entry: string | null;
  /** Who looked it up. */
  readonly by: string;
  /** When, ISO 8601. */
  readonly at: string;
  /** It was found for this legend on another model of the make. */
  readonly fromGlossary: boolean;
}

/** One line of the shop's glossary: what was looked up, wherever it stands. */
export interface GlossaryEntryView {
  /** UUIDv7. */
  readonly id: string;
  /** The make that it counts for. */
  readonly make: string;
  /** The model that it was looked up on, e.g. "Longboat". */
  readonly model: string;
  /** The slot that it was looked up for. */
  readonly sourceId: string;
  /** As the glossary compares it; null where nothing is printed, so that it counts for that slot alone. */
  readonly legend: string | null;
  /** Null: the handbook lists nothing. */
  readonly entry: string | null;
  /** Who looked it up. */
  readonly by: string;
  /** When, ISO 8601. */
  readonly at: string;
}
