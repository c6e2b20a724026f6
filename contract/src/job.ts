import {
  IsBoolean,
  IsDefined,
  IsIn,
  IsInt,
  IsString,
  IsUUID,
  Length,
  Matches,
  Max,
  Min,
} from 'class-validator';
import type { StitchPlace } from '@lucky-thread/core/vehicle';
import type { RouteInput } from './body';
import { DeviceInput } from './device';
import type { ProofView } from './proof';
import type { FeedPlanInput } from './feedPlan';
import { Nested, Optional } from './rules/fields';
import { WIRE_COLOUR } from './rules/wireColour';

/** The phases of a job in the order people work. */
export const PHASES = [
  'vehicle',
  'device',
  'find',
  'choose',
  'size',
  'build',
  'prove',
  'log',
] as const;
/** One phase. */
export type Phase = (typeof PHASES)[number];

/** Sides the steering wheel can be on. */
export const STEERING_SIDES = ['left', 'right'] as const;
/** One side. */
export type SteeringSide = (typeof STEERING_SIDES)[number];

/** First and last model year that a job takes; a year outside the model's own range is a warning, not an error. */
export const YEAR_RANGE = [1980, 2040] as const;

/** A step of the work that is done, or was passed over for a reason. */
export interface StepDone {
  /** Which one, as the plan of the work names it. */
  readonly stepId: string;
  /** Who did it. */
  readonly by: string;
  /** When, ISO 8601. */
  readonly at: string;
  /** Why it was passed over; null: it was done. */
  readonly reason: string | null;
}

/** The car of a job. */
export class JobVehicleInput {
  /** Model as the shop keeps it. */
  @IsUUID('7')
  modelId!: string;

  /** Model year. */
  @IsInt({ message: 'the year must be a whole number' })
  @Min(YEAR_RANGE[0], { message: `the year must be ${YEAR_RANGE[0]} or later` })
  @Max(YEAR_RANGE[1], { message: `the year must be ${YEAR_RANGE[1]} or earlier` })
  year!: number;

  /** Trim; empty when not known. */
  @IsString()
  @Length(0, 40)
  trim!: string;

  /** Market; empty when not known. */
  @IsString()
  @Length(0, 40)
  market!: string;

  /** Steering side. */
  @IsIn(STEERING_SIDES)
  steering!: SteeringSide;

  /** Leased or to be given back as it was: only what leaves no trace. */
  @Optional()
  @IsBoolean()
  noTrace?: boolean;

  /** VIN, when it was read. */
  @Optional()
  @IsString()
  @Length(17, 17)
  vin?: string;
}

/** A new job, sent under the id its maker gave it. */
export class CreateJobRequest {
  /** The car. */
  @IsDefined({ message: 'the vehicle is missing' })
  @Nested(() => JobVehicleInput)
  vehicle!: JobVehicleInput;

  /** What is fitted. */
  @IsDefined({ message: 'the device is missing' })
  @Nested(() => DeviceInput)
  device!: DeviceInput;
}

/** One wire of the job's bunch of cut wires. */
export class HarnessWireInput {
  /** A wire of the model by its id, `radio/W3`; one that only the job has lies in `harness/…`. */
  @Matches(/^[a-z0-9-]{1,20}\/[A-Za-z0-9._-]{1,20}$/, {
    message: 'a wire’s id looks like harness/W1',
  })
  id!: string;

  /** Name in instructions. */
  @IsString()
  @Length(1, 24)
  name!: string;

  /** Colour as seen, IEC 60757: base, then stripe; left out when it can't be told. */
  @Optional()
  @Matches(WIRE_COLOUR, { message: 'a colour is a code such as BU or BU/PK' })
  colour?: string;

  /** Wire it is taped or twisted with. */
  @Optional()
  @IsString()
  @Length(1, 40)
  tapedWith?: string;
}

/** One page of the shop's jobs, last touched first. */
export interface JobPage {
  /** In the order that was asked for. */
  readonly jobs: readonly JobSummary[];
  /** Ids of jobs in this page whose stored form can't be read; nothing of them is lost. */
  readonly unreadable: readonly string[];
  /** Where the next page begins; null at the end. */
  readonly next: string | null;
}

/** What every view of a job shows. */
interface JobHead {
  readonly id: string;
  /** Make, model and generation in one line. */
  readonly vehicleName: string;
  readonly phase: Phase;
  /** Checks left for later. */
  readonly deferred: readonly StitchPlace[];
  /** What it waits for, e.g. a part; null where nothing holds it up. */
  readonly waitsFor: string | null;
  /** Why it was opened again after everything was logged; null where it was not. */
  readonly reopened: string | null;
  /** The day that it is to be done on, `2026-05-04`; null where none was said. */
  readonly day: string | null;
  /** When it was last changed, ISO 8601. */
  readonly updatedAt: string;
}

/** What a list shows of a job. */
export interface JobSummary extends JobHead {
  /** Model year of its car. */
  readonly year: number;
  /** What is fitted. */
  readonly deviceName: string;
  /** Whether every feed that needs a source has its tap point in the log, and nobody opened it again. */
  readonly done: boolean;
}

/** A slot as a job saw it at the car. */
export interface SlotSeen {
  /** Its panel. */
  readonly placeId: string;
  /** What is printed beside it. */
  readonly position: string;
  /** Printed legend; left out where nothing is printed. */
  readonly legend?: string;
  /** Fuse found, A; left out where none is fitted. */
  readonly ratingA?: number;
}

/** Something that was found or tried before the car is handed over. */
export interface ClosingFound {
  /** Which, e.g. "drain-before" or "hand-over hood". */
  readonly item: string;
  /** What was measured, in the unit of the item; null where it was only seen. */
  readonly value: number | null;
  /** Who; empty as long as only this device knows. */
  readonly by: string;
  /** When, ISO 8601. */
  readonly at: string;
}

/** A job as the server keeps it. */
export interface JobView extends JobHead {
  /** The car itself. */
  readonly vehicle: JobVehicleInput;
  /** What is fitted, with its leads. */
  readonly device: DeviceInput;
  /** Where each feed is tapped, as far as it is chosen. */
  readonly plan: readonly FeedPlanInput[];
  /** The bunch of cut wires; empty when none was opened. */
  readonly harness: readonly HarnessWireInput[];
  /** Slots that differ from what was entered of the model, or that were not entered, as this job saw them. */
  readonly seen: readonly SlotSeen[];
  /** Where its device sits and what the route is to be good at; null: as usual. */
  readonly route: RouteInput | null;
  /** Steps of the work that are done, in the order of doing. */
  readonly steps: readonly StepDone[];
  /** The last change of each feed's plan, by feed; what has none was never planned. */
  readonly planVersions: Readonly<Record<string, string>>;
  /** The last change of the bunch; null where nobody changed it. */
  readonly wiresVersion: string | null;
  /** What was found and tried before the car is handed over, each once. */
  readonly closing: readonly ClosingFound[];
  /** Closing proofs that stand, in the order in which they were shown. */
  readonly proofs: readonly ProofView[];
  /** Grows with every change. */
  readonly version: number;
  /** When it was begun, ISO 8601. */
  readonly createdAt: string;
  /** Who started it. */
  readonly createdBy: string;
  /** Things to know, e.g. a year outside the model's range. */
  readonly warnings: readonly string[];
  /** Feeds whose tap point was logged from this job. */
  readonly loggedFeedIds: readonly string[];
}
