import { CONES, GLOWS, MAX_READING_OHM, MAX_READING_V } from '@lucky-thread/core/identify/reading';
import type { Cone, Glow, Reading, ReadingValue } from '@lucky-thread/core/identify';
import {
  IsDefined,
  IsIn,
  IsNumber,
  IsString,
  Length,
  Max,
  Min,
  ValidateBy,
  ValidateIf,
} from 'class-validator';
import type { ValidationArguments } from 'class-validator';
import { Instant, Nested, Optional } from './rules/fields';
import { VehicleStateInput } from './vehicleState';

/** How a value reached the log. */
export const INSTRUMENTS = ['meter', 'lamp', 'simulatedMeter', 'led', 'ohmmeter', 'pop'] as const;
/** One instrument. */
export type InstrumentName = (typeof INSTRUMENTS)[number];

const METERS: readonly InstrumentName[] = ['meter', 'simulatedMeter'];
const LAMPS: readonly InstrumentName[] = ['lamp', 'led'];

/** What else the reading says that a field is part of. */
function partsOf(at: ValidationArguments | undefined): Partial<ReadingRequest> {
  return at?.object ?? {};
}

/** The field belongs to some instruments: with another one it must be left out. */
function OnlyWith(instruments: readonly InstrumentName[]): PropertyDecorator {
  return ValidateBy({
    name: 'onlyWith',
    validator: {
      validate: (_value, at) =>
        instruments.some((instrument) => instrument === partsOf(at).instrument),
      defaultMessage: () => `belongs to another instrument (${instruments.join(', ')})`,
    },
  });
}

/** As {@link OnlyWith}; with its instruments the field may be left out, or with `needed` must be there. */
function With(
  instruments: readonly InstrumentName[],
  field: keyof ReadingRequest,
  needed = false,
): PropertyDecorator {
  const applies = ValidateIf(
    (reading: ReadingRequest) =>
      reading[field] !== undefined || (needed && instruments.includes(reading.instrument)),
  );
  return (target, property) => {
    applies(target, property);
    OnlyWith(instruments)(target, property);
  };
}

/** The highest digits are not below the lowest. */
function NotBelow(field: 'volts'): PropertyDecorator {
  const lowest = (at?: ValidationArguments): unknown => partsOf(at)[field];
  return ValidateBy({
    name: 'notBelow',
    validator: {
      validate: (value, at) => typeof value !== 'number' || value >= Number(lowest(at)),
      defaultMessage: () => 'the highest volts must not lie below the lowest',
    },
  });
}

/** One observation at a slot or wire, sent under the id its maker gave it. */
export class ReadingRequest {
  /** Slot id, e.g. `dash/F12`, or a point of an added lead, which names feed and source. */
  @IsString()
  @Length(1, 150)
  sourceId!: string;

  /** Contact of the empty slot; left out with the fuse in. */
  @Optional()
  @IsIn(['a', 'b'])
  contact?: 'a' | 'b';

  /** State of the car. */
  @IsDefined({ message: 'the state of the car is missing' })
  @Nested(() => VehicleStateInput)
  state!: VehicleStateInput;

  /** What it was read with. */
  @IsIn(INSTRUMENTS)
  instrument!: InstrumentName;

  /** Volts against the clip, for a meter; the lowest seen when the digits jump. */
  @With(METERS, 'volts', true)
  @IsNumber({ allowNaN: false, allowInfinity: false }, { message: 'volts must be a number' })
  @Min(-MAX_READING_V, { message: `volts must lie within ±${MAX_READING_V} V: check the unit` })
  @Max(MAX_READING_V, { message: `volts must lie within ±${MAX_READING_V} V: check the unit` })
  volts?: number;

  /** Highest volts seen when the meter's digits jump; left out when they stand still. */
  @With(METERS, 'highVolts')
  @NotBelow('volts')
  @IsNumber({ allowNaN: false, allowInfinity: false }, { message: 'volts must be a number' })
  @Min(-MAX_READING_V, { message: `volts must lie within ±${MAX_READING_V} V: check the unit` })
  @Max(MAX_READING_V, { message: `volts must lie within ±${MAX_READING_V} V: check the unit` })
  highVolts?: number;

  /** Glow, for a lamp or an LED tester. */
  @With(LAMPS, 'glow', true)
  @IsIn(GLOWS)
  glow?: Glow;

  /** Ohms, for an ohmmeter; left out when there is no continuity. */
  @With(['ohmmeter'], 'ohms')
  @IsNumber({ allowNaN: false, allowInfinity: false }, { message: 'ohms must be a number' })
  @Min(0, { message: 'ohms must be zero or more' })
  @Max(MAX_READING_OHM, { message: `ohms must be at most ${MAX_READING_OHM} Ω: check the unit` })
  ohms?: number;

  /** What a 9 V pop did, for the pop. */
  @With(['pop'], 'cone', true)
  @IsIn(CONES)
  cone?: Cone;

  /** Which speaker popped, in the installer's words. */
  @With(['pop'], 'speaker')
  @IsString()
  @Length(1, 40)
  speaker?: string;

  /** The second wire of a pop or of ohms between two wires. */
  @ValidateIf(
    (reading: ReadingRequest) => reading.instrument === 'pop' || reading.otherId !== undefined,
  )
  @OnlyWith(['pop', 'ohmmeter'])
  @IsString({ message: 'the second wire is missing' })
  @Length(1, 80)
  otherId?: string;

  /** What the instrument was clipped to; left out: ground. */
  @Optional()
  @IsIn(['ground', 'constant'])
  clip?: 'ground' | 'constant';

  /** When it was taken, by the installer's clock. */
  @Instant()
  takenAt!: string;
}

/** A stored reading. */
export interface ReadingView {
  /** UUIDv7, made by the app. */
  readonly id: string;
  /** What was touched. */
  readonly sourceId: string;
  /** Contact of an empty slot; null elsewhere. */
  readonly contact: 'a' | 'b' | null;
  /** State that the car was in. */
  readonly state: VehicleStateInput;
  /** What it was read with. */
  readonly instrument: InstrumentName;
  /** V; null where it shows none. */
  readonly volts: number | null;
  /** How the lamp shone; null without one. */
  readonly glow: Glow | null;
  /** The higher of two values that it swung between, V. */
  readonly highVolts: number | null;
  /** Ω; null where none were read. */
  readonly ohms: number | null;
  /** Which way a cone went; null without a pop. */
  readonly cone: Cone | null;
  /** Whose cone it was; null where nobody saw. */
  readonly speaker: string | null;
  /** The other wire of a pair; null for one alone. */
  readonly otherId: string | null;
  /** What the other lead was clipped to; null: ground. */
  readonly clip: 'ground' | 'constant' | null;
  /** When, ISO 8601. */
  readonly takenAt: string;
  /** Who took it. */
  readonly takenBy: string;
  /** When it was withdrawn; null while it counts. */
  readonly withdrawnAt: string | null;
}

/** The part of a stored or pending reading that says what was seen. */
export type SeenView = Pick<
  ReadingView,
  | 'id'
  | 'sourceId'
  | 'contact'
  | 'state'
  | 'instrument'
  | 'volts'
  | 'glow'
  | 'highVolts'
  | 'ohms'
  | 'cone'
  | 'speaker'
  | 'otherId'
  | 'clip'
>;

/** A stored or pending reading as the core takes it. */
export function toCoreReading(view: SeenView): Reading {
  return {
    id: view.id,
    sourceId: view.sourceId,
    contact: view.contact ?? undefined,
    state: view.state,
    value: toValue(view),
    ...(view.otherId === null ? {} : { otherId: view.otherId }),
    ...(view.clip === null ? {} : { clip: view.clip }),
  };
}

/** What an instrument showed, in the fields of a stored reading. */
export type ShownView = Pick<
  SeenView,
  'instrument' | 'volts' | 'highVolts' | 'glow' | 'ohms' | 'cone' | 'speaker'
>;

/** What an instrument showed, as it is stored; a meter's name says that it was one, not whose. */
export function shownOf(value: ReadingValue): ShownView {
  const nothing = {
    volts: null,
    highVolts: null,
    glow: null,
    ohms: null,
    cone: null,
    speaker: null,
  };
  switch (value.kind) {
    case 'volts':
      return { ...nothing, instrument: 'meter', volts: value.volts };
    case 'pulsing':
      return { ...nothing, instrument: 'meter', volts: value.lowV, highVolts: value.highV };
    case 'glow':
      return { ...nothing, instrument: 'lamp', glow: value.glow };
    case 'led':
      return { ...nothing, instrument: 'led', glow: value.glow };
    case 'ohms':
      return { ...nothing, instrument: 'ohmmeter', ohms: value.ohm };
    case 'pop':
      return { ...nothing, instrument: 'pop', cone: value.cone, speaker: value.speaker ?? null };
  }
}

/** What an instrument showed, as the core takes it. */
export function toValue(view: ShownView): ReadingValue {
  switch (view.instrument) {
    case 'lamp':
      return { kind: 'glow', glow: view.glow ?? 'dark' };
    case 'led':
      return { kind: 'led', glow: view.glow ?? 'dark' };
    case 'ohmmeter':
      return { kind: 'ohms', ohm: view.ohms };
    case 'pop':
      return { kind: 'pop', cone: view.cone ?? 'none', speaker: view.speaker ?? undefined };
    case 'meter':
    case 'simulatedMeter':
      return view.highVolts === null
        ? { kind: 'volts', volts: view.volts ?? 0 }
        : { kind: 'pulsing', lowV: view.volts ?? 0, highV: view.highVolts };
  }
}

/** What a reading request leaves out, as a stored reading has it. */
export function seenOf(id: string, request: ReadingRequest): SeenView {
  return {
    id,
    sourceId: request.sourceId,
    contact: request.contact ?? null,
    state: request.state,
    instrument: request.instrument,
    volts: request.volts ?? null,
    glow: request.glow ?? null,
    highVolts: request.highVolts ?? null,
    ohms: request.ohms ?? null,
    cone: request.cone ?? null,
    speaker: request.speaker ?? null,
    otherId: request.otherId ?? null,
    clip: request.clip ?? null,
  };
}
