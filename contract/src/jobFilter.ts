import { IsIn, IsString, Length } from 'class-validator';
import { PHASES } from './job';
import type { Phase } from './job';
import { Optional } from './rules/fields';

/** Ways in which a list of jobs is cut down. */
export const JOB_VIEWS = ['all', 'mine', 'today', 'waiting', 'open'] as const;
/** One of them: everybody's, one's own, touched today, with checks left for later, not yet logged. */
export type JobsShown = (typeof JOB_VIEWS)[number];

/** Which jobs of a shop are listed; what is left out asks nothing. */
export class JobFilter {
  /** Whose, and how they stand. */
  @Optional()
  @IsIn(JOB_VIEWS)
  view?: JobsShown;

  /** The phase that they have reached. */
  @Optional()
  @IsIn(PHASES)
  phase?: Phase;

  /** Part of the vehicle's or the device's name. */
  @Optional()
  @IsString()
  @Length(1, 60, { message: 'a search has up to 60 letters' })
  q?: string;

  /** Where the page begins. */
  @Optional()
  @IsString()
  after?: string;
}
