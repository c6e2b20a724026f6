import type { ProofKind } from '@lucky-thread/core/prove';
import { PROOF_KINDS } from '@lucky-thread/core/prove/terms';
import { ArrayMaxSize, ArrayUnique, IsIn, IsString, IsUUID, Length } from 'class-validator';
import { Instant } from './rules/fields';

/** Most readings that one proof names. */
const MOST_NAMED = 40;

/** A closing proof that was shown: an event, sent under an id of its own. */
export class ShowProofRequest {
  /** Feed it was shown for. */
  @IsString()
  @Length(1, 40)
  feedId!: string;

  /** Which one. */
  @IsIn(PROOF_KINDS)
  kind!: ProofKind;

  /** When, by the installer's clock. */
  @Instant()
  at!: string;

  /** Readings that it rests on. */
  @ArrayUnique()
  @ArrayMaxSize(MOST_NAMED)
  @IsUUID('7', { each: true, message: 'a reading is named by its id' })
  readingIds!: string[];
}

/** A closing proof that stands. */
export interface ProofView {
  /** UUIDv7, made by the app. */
  readonly id: string;
  /** The feed that is proved. */
  readonly feedId: string;
  /** What is shown. */
  readonly kind: ProofKind;
  /** Who showed it. */
  readonly shownBy: string;
  /** When, ISO 8601. */
  readonly shownAt: string;
  /** Readings that it rests on. */
  readonly readingIds: readonly string[];
}
