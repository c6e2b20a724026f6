import type {
  EvidenceGrade,
  ClaimStatus,
  ObservationKind,
  TapClaim,
} from '@lucky-thread/core/evidence';
import type { CircuitFunction, StitchPlace } from '@lucky-thread/core/vehicle';
import { stateAt } from '@lucky-thread/core/vehicle';
import type { LoggedLead, StitchMark } from '@lucky-thread/core/identify';
import { describeValue, stitchOf } from '@lucky-thread/core/identify/reading';
import { IsInt, IsString, Length, Max, Min } from 'class-validator';
import { InRange, Optional } from './rules/fields';
import type { ReadingView, ShownView } from './reading';
import { toValue } from './reading';

/** A tap point to be written into the model's log. What proves it lies with the job: its readings, and what the device was seen to do. */
export class LogTapRequest {
  /** Feed it was made for. */
  @IsString()
  @Length(1, 40)
  feedId!: string;

  /** Fuse of the added circuit, A; left out at a speaker's lead, which has none. */
  @Optional()
  @InRange('fuseA')
  fuseA?: number;

  /** Conductor of the added lead, AWG; left out at a speaker's lead: the unit's own is joined. */
  @Optional()
  @IsInt()
  @Min(0)
  @Max(30)
  awg?: number;

  /** What the next installer should know. */
  @Optional()
  @IsString()
  @Length(0, 500)
  note?: string;
}

/** One reading that a tap point was logged with. */
export interface TapReadingView extends ShownView {
  /** State of the car that it was taken in. */
  readonly place: StitchPlace;
}

/** One cell of a tap point's reading matrix. */
export interface MatrixCell {
  /** The state. */
  readonly place: StitchPlace;
  /** What was read there. */
  readonly mark: StitchMark;
  /** The readings themselves, e.g. "12.41 V". */
  readonly values: readonly string[];
}

/** What a later job saw at a tap point. */
export interface ObservationView {
  /** Whether it agrees. */
  readonly kind: ObservationKind;
  /** What was read. */
  readonly reading: ReadingView;
  /** The job that it was read on. */
  readonly jobId: string;
}

/** A tap point in the log of a model. */
export interface TapPointView {
  /** UUIDv7. */
  readonly id: string;
  /** The model that it belongs to. */
  readonly modelId: string;
  /** Job it was logged from; null when it was imported. */
  readonly jobId: string | null;
  /** Feed of that job. */
  readonly feedId: string | null;
  /** Where it is tapped. */
  readonly sourceId: string;
  /** What the source is. */
  readonly function: CircuitFunction;
  /** Contact that the supply enters; null where there are none: at a wire or stud. */
  readonly supplyContact: 'a' | 'b' | null;
  /** Landmark of the supply side in the vehicle; null where there are no contacts. */
  readonly supplyLandmark: string | null;
  /** First model year that it was seen on. */
  readonly yearFrom: number;
  /** Last model year that it was seen on. */
  readonly yearTo: number;
  /** Trim of the car; empty for any. */
  readonly trim: string;
  /** Market of the car; empty for any. */
  readonly market: string;
  /** What it was read with, in the order in which it was taken; empty when it was imported. */
  readonly readings: readonly TapReadingView[];
  /** How sure its source is. */
  readonly grade: EvidenceGrade;
  /** What may be claimed after what others saw. */
  readonly status: ClaimStatus;
  /** The added fuse, A; null at a speaker's lead, which has none. */
  readonly fuseA: number | null;
  /** The added wire, AWG; null at a speaker's lead. */
  readonly awg: number | null;
  /** For the next installer; may be empty. */
  readonly note: string;
  /** Who wrote it. */
  readonly loggedBy: string;
  /** When, ISO 8601. */
  readonly loggedAt: string;
  /** Other jobs with a reading that agrees, and jobs with one that contradicts. */
  readonly confirmedJobs: number;
  readonly contradictedJobs: number;
  /** The newest of what those jobs saw, contradictions first. */
  readonly observations: readonly ObservationView[];
}

/** One page of a model's log. */
export interface TapPage {
  /** By source, then by time. */
  readonly taps: readonly TapPointView[];
  /** Where the next page begins; null at the end. */
  readonly next: string | null;
}

/** The reading matrix of a tap point: a stitch with what was read at each place; empty without readings. */
export function matrixOf({ readings }: Pick<TapPointView, 'readings'>): MatrixCell[] {
  if (readings.length === 0) return [];
  const taken = readings.map((one, index) => ({
    id: String(index),
    sourceId: '',
    contact: undefined,
    state: stateAt(one.place),
    value: toValue(one),
  }));
  return stitchOf(taken).map((cell) => ({
    ...cell,
    values: taken
      .filter((_one, index) => readings[index]?.place === cell.place)
      .map((one) => describeValue(one.value)),
  }));
}

/** A stored tap point as the core weighs it. */
export function toTapClaim(tap: TapPointView): TapClaim {
  return {
    id: tap.id,
    sourceId: tap.sourceId,
    function: tap.function,
    grade: tap.grade,
    applicability: {
      yearFrom: tap.yearFrom,
      yearTo: tap.yearTo,
      trims: tap.trim === '' ? [] : [tap.trim],
      markets: tap.market === '' ? [] : [tap.market],
    },
    seen: matrixOf(tap)
      .filter((cell) => cell.mark !== 'loose')
      .map((cell) => cell.place),
    confirmed: tap.confirmedJobs,
    contradicted: tap.contradictedJobs,
    lead: leadOf(tap),
  };
}

/** Which speaker's lead a tap point was seen to be, by its last pop; undefined for anything else. */
export function leadOf({ readings }: Pick<TapPointView, 'readings'>): LoggedLead | undefined {
  const last = readings.findLast(({ cone }) => cone === 'out' || cone === 'in');
  if (last === undefined || last.speaker === null) return undefined;
  return { speaker: last.speaker, end: last.cone === 'out' ? 'plus' : 'minus' };
}

/** What an import of tap points did. */
export interface ImportResult {
  /** Lines that came in as new. */
  readonly added: number;
  /** Lines whose entry was changed. */
  readonly changed: number;
  /** Lines that said what stood there already. */
  readonly unchanged: number;
}
