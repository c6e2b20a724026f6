import { LEAD_FAMILIES } from '@lucky-thread/core/choose';
import type { LeadFamily } from '@lucky-thread/core/choose';
import { NEED_ROLES } from '@lucky-thread/core/identify/needs';
import type { Need, NeedRole } from '@lucky-thread/core/identify';
import { IsBoolean, IsIn, IsString, Length } from 'class-validator';
import { InRange, Nested, NestedList, Optional, UniqueBy } from './rules/fields';

/** Roles that a device's lead can have; ground needs no slot. */
export const FEED_ROLES = [...NEED_ROLES, 'ground'] as const;
/** One role. */
export type FeedRole = NeedRole | 'ground';

/** What a lead gives or takes: plus, ground, or whichever it is set to. */
export const POLARITIES = ['plus', 'ground', 'set'] as const;
/** One of them. */
export type LeadPolarity = (typeof POLARITIES)[number];

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

  /** The device works without it; its lead is capped then. */
  @Optional()
  @IsBoolean()
  optional?: boolean;

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

/** What is fitted: a copy of the catalogue's entry or the installer's own. */
export class DeviceInput {
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

  /** Its feeds. */
  @NestedList(() => FeedInput, { min: 1, max: 20, tooFew: 'a device has at least one feed' })
  @UniqueBy<FeedInput>('id', 'feed ids must differ')
  feeds!: FeedInput[];
}

/** A catalogue entry. */
export interface DeviceView extends DeviceInput {
  readonly id: string;
  readonly note: string;
}

/** The feeds of a device that a slot has to fill, as the core takes them. */
export function needsOf(device: DeviceInput): Need[] {
  return device.feeds.flatMap((feed) =>
    feed.role === 'ground'
      ? []
      : [
          {
            id: feed.id,
            role: feed.role,
            holdsCranking: feed.holdsCranking ?? false,
            liveInAcc: feed.liveInAcc ?? false,
          },
        ],
  );
}
