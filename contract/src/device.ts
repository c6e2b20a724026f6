import { LEAD_FAMILIES } from '@lucky-thread/core/choose/terms';
import type { LeadFamily } from '@lucky-thread/core/choose';
import type { SpeakerPlace } from '@lucky-thread/core/vehicle';
import { NEED_ROLES } from '@lucky-thread/core/identify/needs';
import type { NeedRole } from '@lucky-thread/core/identify';
import { ArrayMaxSize, IsBoolean, IsIn, IsString, Length } from 'class-validator';
import { InRange, Nested, NestedList, Optional, UniqueBy } from './rules/fields';
import { KnownOptions } from './rules/knownOptions';
import { SpeakerOf } from './rules/speakerOf';

/** What a device's file calls itself. */
export const DEVICE_FILE = 'lucky-thread-device';
/** Most devices in a shop's catalogue. */
export const MOST_DEVICES = 200;

/** Roles that a device's lead can have; ground needs no slot. */
export const FEED_ROLES = [...NEED_ROLES, 'ground'] as const;
/** One role. */
export type FeedRole = NeedRole | 'ground';

/** What a lead gives or takes: plus, ground, or whichever it is set to. */
export const POLARITIES = ['plus', 'ground', 'set'] as const;
/** One of them. */
export type LeadPolarity = (typeof POLARITIES)[number];

/** Which way a lead's signal goes, seen from the device: taken from the car, given to it, or both. */
export const LEAD_DIRECTIONS = ['in', 'out', 'both'] as const;
/** One of them. */
export type LeadDirection = (typeof LEAD_DIRECTIONS)[number];

/** One supply or signal that a device needs. */
export class FeedInput {
  /** Unique within the device. */
  @IsString()
  @Length(1, 40)
  id!: string;

  /** What the installer calls it. */
  @IsString()
  @Length(1, 60, { message: 'name the feed, up to 60 characters' })
  name!: string;

  /** What it needs. */
  @IsIn(FEED_ROLES)
  role!: FeedRole;

  /** Continuous current at 12 V, A. */
  @InRange('currentA')
  currentA!: number;

  /** Current at switching on, A, and how long it lasts, s; left out when it is not known. */
  @Optional()
  @InRange('peakA')
  inrushA?: number;

  /** Time of the inrush, s. */
  @Optional()
  @InRange('peakS')
  inrushS?: number;

  /** Current while the car is parked, A. */
  @Optional()
  @InRange('standbyA')
  standbyA?: number;

  /** Colour of the device's lead, in words; it means something within its harness family only. */
  @Optional()
  @IsString()
  @Length(0, 40)
  leadColour?: string;

  /** What the lead gives or takes; left out: plus. */
  @Optional()
  @IsIn(POLARITIES)
  polarity?: LeadPolarity;

  /** Where a lead whose polarity can be chosen is set, as the kit says, e.g. a jumper. */
  @Optional()
  @IsString()
  @Length(3, 80, { message: 'say in 3 to 80 characters where it is set' })
  setAt?: string;

  /** Which speaker it drives, of a speaker's lead. */
  @SpeakerOf()
  speaker?: SpeakerPlace;

  /** Which way it goes; left out: into the device. */
  @Optional()
  @IsIn(LEAD_DIRECTIONS)
  direction?: LeadDirection;

  /** The device works without it; its lead is capped then. */
  @Optional()
  @IsBoolean()
  optional?: boolean;

  /** What does not work where the lead is left off. */
  @Optional()
  @IsString()
  @Length(3, 160, { message: 'say in 3 to 160 characters what does not work without it' })
  leftOff?: string;

  /** What the device's converter gives from it at its own plug, V; left out where there is none. */
  @Optional()
  @InRange('outputV')
  outputV?: number;

  /** Must hold through cranking. */
  @Optional()
  @IsBoolean()
  holdsCranking?: boolean;

  /** Must be live at accessory. */
  @Optional()
  @IsBoolean()
  liveInAcc?: boolean;
}

/** One step of a device's set-up. */
export class SetUpStepInput {
  /** What to do. */
  @IsString()
  @Length(3, 200, { message: 'say in 3 to 200 characters what to do' })
  say!: string;

  /** How long it is held, or within what time the next one must come, s; left out where time does not matter. */
  @Optional()
  @InRange('setUpS')
  seconds?: number;

  /** What the indicator answers when it was taken. */
  @Optional()
  @IsString()
  @Length(1, 120)
  answer?: string;
}

/** How a device is set up, and by which guide: another one in the box goes before it. */
export class SetUpInput {
  /** Version of the guide, as it is printed. */
  @IsString()
  @Length(1, 40, { message: 'say which guide it follows' })
  guide!: string;

  /** Its date, as it is printed; left out where it has none. */
  @Optional()
  @IsString()
  @Length(1, 20)
  dated?: string;

  /** Its steps in order. */
  @NestedList(() => SetUpStepInput, { min: 1, max: 30, tooFew: 'a set-up has at least one step' })
  steps!: SetUpStepInput[];
}

/** What every device has, in the catalogue or fitted. */
class NamedDevice {
  /** Name in the shop's words. */
  @IsString()
  @Length(1, 80, { message: 'name the device, up to 80 characters' })
  name!: string;

  /** Family whose colours its leads follow. */
  @Optional()
  @IsIn(LEAD_FAMILIES)
  family?: LeadFamily;

  /** How it is set up; left out where there is nothing to set. */
  @Optional()
  @Nested(() => SetUpInput)
  setUp?: SetUpInput;
}

/** What is fitted: a copy of the catalogue's entry or the installer's own. */
export class DeviceInput extends NamedDevice {
  /** What was chosen of its options, by name: they decided which leads it has. */
  @Optional()
  @IsString({ each: true })
  @Length(1, 60, { each: true })
  @ArrayMaxSize(12)
  fittedWith?: string[];

  /** Its feeds. */
  @NestedList(() => FeedInput, { min: 1, max: 20, tooFew: 'a device has at least one feed' })
  @UniqueBy<FeedInput>('id', 'feed ids must differ')
  feeds!: FeedInput[];
}

/** Something about the car or the kit that changes which leads a device has, such as a factory amplifier. */
export class DeviceOptionInput {
  /** Unique within the device. */
  @IsString()
  @Length(1, 40)
  id!: string;

  /** What it is called. */
  @IsString()
  @Length(1, 60, { message: 'name the option, up to 60 characters' })
  name!: string;

  /** What it changes, and what to mind. */
  @Optional()
  @IsString()
  @Length(3, 200)
  says?: string;
}

/** A lead in the catalogue: some exist with an option only, or without it only. */
export class CatalogueLeadInput extends FeedInput {
  /** Id of the option that it belongs to. */
  @Optional()
  @IsString()
  @Length(1, 40)
  onlyWith?: string;

  /** Id of the option that does away with it. */
  @Optional()
  @IsString()
  @Length(1, 40)
  onlyWithout?: string;
}

/** A device in the catalogue: all its leads, and the options that choose among them. */
export class CatalogueDevice extends NamedDevice {
  /** What to ask before its leads are known. */
  @Optional()
  @NestedList(() => DeviceOptionInput, { max: 12 })
  @UniqueBy<DeviceOptionInput>('id', 'option ids must differ')
  options?: DeviceOptionInput[];

  /** Every lead it may have. */
  @NestedList(() => CatalogueLeadInput, {
    min: 1,
    max: 40,
    tooFew: 'a device has at least one lead',
  })
  @UniqueBy<CatalogueLeadInput>('id', 'lead ids must differ')
  @KnownOptions()
  feeds!: CatalogueLeadInput[];
}

/** A device as it is kept in the catalogue, and handed from shop to shop. */
export class DeviceFileInput {
  /** What the file is. */
  @IsIn([DEVICE_FILE])
  kind!: typeof DEVICE_FILE;

  /** Version of its form. */
  @IsIn([1], { message: 'this form of the file is not known here: version 1 is' })
  version!: 1;

  /** What it is for. */
  @IsString()
  @Length(1, 200)
  note!: string;

  /** The device. */
  @Nested(() => CatalogueDevice)
  device!: CatalogueDevice;
}

/** A catalogue entry. */
export interface DeviceView extends CatalogueDevice {
  /** UUIDv7. */
  readonly id: string;
  /** What to know of it when it is picked. */
  readonly note: string;
}

/** What came into a shop's catalogue of the devices that ship with this version. */
export interface DevicesBroughtIn {
  /** Names, in the order of the catalogue. */
  readonly added: readonly string[];
}

/** A device as it is fitted: the leads that are there with the chosen options, and which those were. */
export function fittedDevice(device: CatalogueDevice, chosen: readonly string[]): DeviceInput {
  const { name, family, setUp, options = [], feeds } = device;
  const fittedWith = options.filter(({ id }) => chosen.includes(id)).map((one) => one.name);
  const has = ({ onlyWith, onlyWithout }: CatalogueLeadInput): boolean =>
    (onlyWith === undefined || chosen.includes(onlyWith)) &&
    (onlyWithout === undefined || !chosen.includes(onlyWithout));
  return {
    name,
    ...(family === undefined ? {} : { family }),
    ...(setUp === undefined ? {} : { setUp }),
    ...(fittedWith.length === 0 ? {} : { fittedWith }),
    feeds: feeds.filter(has).map(({ onlyWith: _with, onlyWithout: _without, ...feed }) => feed),
  };
}
