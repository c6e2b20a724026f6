import { ArrayMaxSize, ArrayMinSize, ArrayUnique, IsUUID } from 'class-validator';

/** Most jobs of one pick list. */
export const MOST_PICKED = 20;

/** Jobs whose parts are wanted together. */
export class PickListRequest {
  /** Their ids. */
  @IsUUID('all', { each: true, message: 'a job is named by its id' })
  @ArrayUnique({ message: 'a job is there twice' })
  @ArrayMinSize(1, { message: 'name a job' })
  @ArrayMaxSize(MOST_PICKED, { message: `at most ${MOST_PICKED} jobs at once` })
  jobs!: string[];
}

/** One part with how much of it the jobs take together. */
export interface PickedPart {
  /** As it is sold. */
  readonly what: string;
  /** How much all jobs together need, in its unit. */
  readonly need: number;
  /** What it is counted in. */
  readonly unit: 'pieces' | 'm';
  /** What a pack holds, in its unit. */
  readonly packOf: number;
  /** Packs that come to at least as much. */
  readonly packs: number;
  /** Not in the van; undefined where nobody knows. */
  readonly missing?: boolean | undefined;
  /** What is in the van and passes as well. */
  readonly instead?: string;
  /** So many of the jobs want it. */
  readonly jobs: number;
}

/** What is taken along for several jobs. */
export interface PickListView {
  /** What to take along. */
  readonly parts: readonly PickedPart[];
  /** What to work with. */
  readonly tools: readonly string[];
  /** Jobs that are not chosen and sized yet, by id: nothing of theirs is in the list. */
  readonly open: readonly string[];
}
