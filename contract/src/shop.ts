import { DEFAULT_SCHOOLS } from '@lucky-thread/core/choose/terms';
import type { Schools } from '@lucky-thread/core/choose';
import { CONDUCTOR_SIZES, INSULATIONS_C } from '@lucky-thread/core/size/terms';
import type { InsulationC } from '@lucky-thread/core/size';
import { ArrayMaxSize, ArrayUnique, IsBoolean, IsDefined, IsIn } from 'class-validator';
import { InRange, Nested, Version } from './rules/fields';

const SIZE_NAMES = CONDUCTOR_SIZES.map((size) => size.name);
/** The shop's schools: preferences where good shops differ. */
export class SchoolsInput implements Schools {
  /** How wires are joined. */
  @IsIn(['quick taps', 'crimp only', 'solder and shrink'])
  joining!: Schools['joining'];

  /** Whether the battery comes off while wiring. */
  @IsIn(['disconnect first', 'probe live'])
  battery!: Schools['battery'];

  /** Where ground is taken first. */
  @IsIn(['stud', 'harness'])
  ground!: Schools['ground'];

  /** What is probed with first. */
  @IsIn(['meter', 'lamp'])
  tester!: Schools['tester'];
}

/** What the shop sizes with unless a job says otherwise. */
export class SizingDefaults {
  /** Voltage that per cent refer to, V. */
  @IsIn([12, 12.6, 13.8, 24], { message: 'the basis is 12.0, 12.6, 13.8 or 24 V' })
  systemV!: number;

  /** Most of it that may be lost in the lead, per cent. */
  @InRange('dropLimitPercent')
  dropLimitPercent!: number;

  /** Insulation of the wire that the shop uses, °C. */
  @IsIn(INSULATIONS_C, { message: `insulation is one of ${INSULATIONS_C.join(', ')} °C` })
  insulation!: InsulationC;
}

/** What is in the van. */
export class VanInput {
  /** Whether jobs are sized from the van alone. */
  @IsBoolean()
  only!: boolean;

  /** Conductors by name. */
  @ArrayMaxSize(40)
  @ArrayUnique()
  @IsIn(SIZE_NAMES, { each: true, message: 'no such conductor is sold' })
  conductors!: string[];

  /** Fuse ratings, A. */
  @ArrayMaxSize(40)
  @ArrayUnique()
  @InRange('fuseA', { each: true })
  fusesA!: number[];
}

/** How a shop works. */
export class ShopSettings {
  /** Its schools. */
  @IsDefined()
  @Nested(() => SchoolsInput)
  schools!: SchoolsInput;

  /** What it sizes with. */
  @IsDefined()
  @Nested(() => SizingDefaults)
  sizing!: SizingDefaults;

  /** What is in its van. */
  @IsDefined()
  @Nested(() => VanInput)
  van!: VanInput;
}

/** A change of the settings; refused when somebody else changed them since `version`. */
export class UpdateShopRequest {
  /** Version the change was made from. */
  @Version()
  version!: number;

  /** All settings as they shall be. */
  @IsDefined({ message: 'the settings are missing' })
  @Nested(() => ShopSettings)
  settings!: ShopSettings;
}

/** A shop as the server keeps it. */
export interface ShopView {
  /** What it is called. */
  readonly name: string;
  /** How it works. */
  readonly settings: ShopSettings;
  /** Grows with every change of its settings. */
  readonly version: number;
}

/** How a new shop works. */
export const DEFAULT_SETTINGS: ShopSettings = {
  schools: { ...DEFAULT_SCHOOLS },
  sizing: { systemV: 12, dropLimitPercent: 3, insulation: 105 },
  van: {
    only: false,
    conductors: ['18 AWG', '16 AWG', '14 AWG', '0.75 mm²', '1 mm²', '1.5 mm²', '2.5 mm²'],
    fusesA: [2, 3, 5, 7.5, 10, 15, 20],
  },
};
