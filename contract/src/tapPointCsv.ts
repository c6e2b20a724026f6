import { EVIDENCE_GRADES } from '@lucky-thread/core/evidence/terms';
import type { EvidenceGrade } from '@lucky-thread/core/evidence';
import { CIRCUIT_FUNCTIONS } from '@lucky-thread/core/vehicle';
import type { CircuitFunction } from '@lucky-thread/core/vehicle';
import { Transform } from 'class-transformer';
import { IsIn, IsInt, IsString, IsUUID, Length, Max, Min, ValidateIf } from 'class-validator';
import { YEAR_RANGE } from './job';
import { InRange } from './rules/fields';

/** Columns of a tap point in CSV, in order. */
export const TAP_CSV_COLUMNS = [
  'id',
  'source',
  'function',
  'supply_contact',
  'year_from',
  'year_to',
  'trim',
  'market',
  'grade',
  'fuse_a',
  'wire_awg',
  'note',
  'logged_by',
  'logged_at',
] as const;

/** An empty cell is no number, not zero. */
const asNumber = ({ value }: { value: unknown }): unknown =>
  typeof value === 'string' && value.trim() !== '' ? Number(value) : value;

/** A speaker's lead may leave its fuse and wire empty: none was added. */
function isAdded(row: Pick<TapCsvRow, 'function'>, cell: number | ''): boolean {
  return row.function !== 'speaker' || cell !== '';
}

/** One row of a tap point file. */
export class TapCsvRow {
  /** Id; a new one adds a tap point, a known one changes its note. */
  @IsUUID('7', { message: 'id must be a UUID version 7' })
  id!: string;

  /** Source id: of a slot, wire, cavity or stud. */
  @IsString()
  @Length(1, 80)
  source!: string;

  /** Circuit function. */
  @IsIn(CIRCUIT_FUNCTIONS, { message: `function must be one of ${CIRCUIT_FUNCTIONS.join(', ')}` })
  function!: CircuitFunction;

  /** Contact that the supply enters; empty where there are no contacts. */
  @IsIn(['a', 'b', ''], { message: 'supply_contact must be a or b, or empty at a wire' })
  supply_contact!: 'a' | 'b' | '';

  /** First model year. */
  @Transform(asNumber)
  @IsInt({ message: 'year_from must be a whole year' })
  @Min(YEAR_RANGE[0])
  @Max(YEAR_RANGE[1])
  year_from!: number;

  /** Last model year. */
  @Transform(asNumber)
  @IsInt({ message: 'year_to must be a whole year' })
  @Min(YEAR_RANGE[0])
  @Max(YEAR_RANGE[1])
  year_to!: number;

  /** Trim; empty for any. */
  @IsString()
  @Length(0, 40)
  trim!: string;

  /** Market; empty for any. */
  @IsString()
  @Length(0, 40)
  market!: string;

  /** Grade of evidence. */
  @IsIn(EVIDENCE_GRADES, { message: `grade must be one of ${EVIDENCE_GRADES.join(', ')}` })
  grade!: EvidenceGrade;

  /** Added fuse, A; empty at a speaker's lead, which has none. */
  @Transform(asNumber)
  @ValidateIf((row: TapCsvRow) => isAdded(row, row.fuse_a))
  @InRange('fuseA')
  fuse_a!: number | '';

  /** Added conductor, AWG; empty at a speaker's lead. */
  @Transform(asNumber)
  @ValidateIf((row: TapCsvRow) => isAdded(row, row.wire_awg))
  @IsInt({ message: 'wire_awg must be a whole AWG size' })
  @Min(0)
  @Max(30)
  wire_awg!: number | '';

  /** Note. */
  @IsString()
  @Length(0, 500)
  note!: string;

  /** Who logged it; informative, not read back. */
  @IsString()
  @Length(0, 80)
  logged_by!: string;

  /** When; informative, not read back. */
  @IsString()
  @Length(0, 40)
  logged_at!: string;
}
