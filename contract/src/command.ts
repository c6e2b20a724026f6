import { IsBoolean, IsIn, IsString, IsUUID, Length, Matches } from 'class-validator';
import { RouteInput } from './body';
import { FeedPlanInput } from './feedPlan';
import { HarnessWireInput, PHASES } from './job';
import { SlotMarks } from './place/slot';
import type { Phase } from './job';
import {
  CalendarDay,
  InRange,
  Instant,
  Nested,
  NestedList,
  Optional,
  OrNull,
  UniqueBy,
} from './rules/fields';

/** What every change to a job carries: an id of its own, so that sending it twice changes nothing, and when it was made. */
export class CommandHead {
  /** Id of the change, made by whoever made the change. */
  @IsUUID('7', { message: 'the id of a change is a UUID version 7' })
  command!: string;

  /** When it was made, by the installer's clock. */
  @Instant()
  at!: string;
}

/** A change of something that has a version of its own: the id of the change that it was made on. */
export class VersionedHead extends CommandHead {
  /** The last change on the screen that this one was made from; null where there was none. */
  @OrNull()
  @IsUUID('7', { message: 'the base is the id of the change before, or null' })
  base!: string | null;
}

/** What is planned for one feed; null takes the plan back. */
export class PutPlanRequest extends VersionedHead {
  /** The plan as it is to be. */
  @OrNull()
  @Nested(() => FeedPlanInput)
  plan!: FeedPlanInput | null;
}

/** The bunch of cut wires as it lies there. */
export class PutWiresRequest extends VersionedHead {
  /** All of them, in order. */
  @NestedList(() => HarnessWireInput, { max: 120 })
  @UniqueBy<HarnessWireInput>('id', 'a wire is there twice')
  wires!: HarnessWireInput[];
}

/** A phase that was reached; a job never falls back by it. */
export class ReachPhaseRequest extends CommandHead {
  /** The phase. */
  @IsIn(PHASES)
  phase!: Phase;
}

/** A check is left for later, or taken up again. */
export class DeferRequest extends CommandHead {
  /** Left for later. */
  @IsBoolean()
  left!: boolean;
}

/** What holds a job up, and why it was opened again; null where nothing does, and where it was not. */
export class StandingRequest extends CommandHead {
  /** What it waits for, e.g. a part that is on order. */
  @OrNull()
  @IsString()
  @Matches(/\S/, { message: 'say what it waits for' })
  @Length(1, 80, { message: 'say in up to 80 letters what it waits for' })
  waitsFor!: string | null;

  /** Why it was opened again after everything was logged. */
  @OrNull()
  @IsString()
  @Matches(/\S/, { message: 'say why it was opened again' })
  @Length(1, 80, { message: 'say in up to 80 letters why it was opened again' })
  reopened!: string | null;

  /** The day that it is to be done on; null: none yet; left out: as it was. */
  @Optional()
  @OrNull()
  @CalendarDay()
  day?: string | null;
}

/** The route of a job as it is wished; null takes the wishes back. */
export class PutRouteRequest extends CommandHead {
  /** The wishes. */
  @OrNull()
  @Nested(() => RouteInput)
  route!: RouteInput | null;
}

/** A step of the work is done, passed over for a reason, or taken back. */
export class StepRequest extends CommandHead {
  /** Done or passed over; false takes it back. */
  @IsBoolean()
  done!: boolean;

  /** Why it was passed over; null where it was done. */
  @OrNull()
  @IsString()
  @Length(3, 200, { message: 'say why in 3 to 200 characters' })
  reason!: string | null;
}

/** Something that is found or tried before the car is handed over; not done, it is taken back. */
export class ClosingRequest extends CommandHead {
  /** Found or tried. */
  @IsBoolean()
  done!: boolean;

  /** What was measured, in the unit of the item; null where it is only seen. */
  @OrNull()
  @InRange('closingValue')
  value!: number | null;
}

/** For which cars it holds what was seen at a slot. */
export const SEEN_SCOPES = ['car', 'years', 'model'] as const;
/** One of them: this car alone, cars of its year and later, or every car of the model. */
export type SeenScope = (typeof SEEN_SCOPES)[number];

/** What is printed and fitted at the slot in hand: one that nobody had entered, or one that differs from what was. */
export class SeeSlotRequest extends CommandHead {
  /** What is printed and fitted. */
  @Nested(() => SlotMarks)
  marks!: SlotMarks;

  /** For which cars it holds. */
  @IsIn(SEEN_SCOPES)
  holds!: SeenScope;
}
