import type { PlannedTap } from '../steps/plannedTap';
import { inlineHolderFor } from '../../choose';
import { FUSE_FAMILY_FACTS } from '../../vehicle';

/** A lead as it is ordered and cut. */
export interface PartsLead {
  /** The feed that it serves. */
  readonly feedId: string;
  /** What the device calls it, and its colour in the kit’s words. */
  readonly name: string;
  /** Colour of the insulation; undefined where it does not matter. */
  readonly colour: string | undefined;
  /** Conductor as it is sold, e.g. "0.75 mm²". */
  readonly conductor: string;
  /** Length to cut, slack and loops with it, m. */
  readonly cutM: number;
  /** Clips along its way. */
  readonly clips: number;
  /** Sleeve or ring on the lead at the car’s end, e.g. "red butt". */
  readonly terminal: string | undefined;
  /** What slides on before it. */
  readonly slideOn: readonly string[];
  /** How and where it is joined. */
  readonly tap: PlannedTap;
  /** What passes as well of what is in the van alone, wire and fuse together; undefined where nothing does. */
  readonly instead?: Substitute | undefined;
}

/** Another conductor and fuse for a lead that pass as well. */
export interface Substitute {
  /** Wire that passes as well, e.g. "16 AWG". */
  readonly conductor: string;
  /** Fuse that goes with it, A. */
  readonly fuseA: number;
}

/** One row of the cut list. */
export interface CutRow {
  /** What the lead is called. */
  readonly name: string;
  /** Colour of the insulation; undefined where it does not matter. */
  readonly colour: string | undefined;
  /** Its size as it is sold, e.g. "18 AWG". */
  readonly conductor: string;
  /** Length to cut, m. */
  readonly cutM: number;
  /** What goes on its end at the device, and at the car. */
  readonly deviceEnd: string;
  /** What is crimped on at the car’s end. */
  readonly carEnd: string;
  /** What is written on its label, short enough for a wrap. */
  readonly label: string;
}

/** Longest text that a wrap-around label of 12 mm takes, letters. Common practice. */
const LABEL_LETTERS = 18;

/** What is cut, lead by lead, with both ends and its label. */
export function cutList(leads: readonly PartsLead[]): readonly CutRow[] {
  return leads.map((lead) => ({
    name: lead.name,
    colour: lead.colour,
    conductor: lead.conductor,
    cutM: lead.cutM,
    deviceEnd: 'the kit’s own plug or sleeve',
    carEnd: [carEnd(lead.tap), ...(lead.terminal === undefined ? [] : [lead.terminal])].join(', '),
    label: labelOf(lead),
  }));
}

/** What a lead ends in at the car. */
export function carEnd(tap: PlannedTap): string {
  return tap.at === 'slot'
    ? (FUSE_FAMILY_FACTS[tap.family].tap?.name ?? 'in-line holder')
    : `${inlineHolderFor(tap.fuseA).name}, then ${tap.method}`;
}

/** Feed, source and fuse; cut where a label ends. */
function labelOf({ name, tap }: PartsLead): string {
  const end = ` ${tap.position.split(' ')[0] ?? ''} ${tap.fuseA}A`;
  return `${name.slice(0, LABEL_LETTERS - end.length).trim()}${end}`;
}
