import type { Schools } from '../choose';
import type { FuseFamily } from '../vehicle';
import { FUSE_FAMILY_FACTS } from '../vehicle';

/** A tap or splice as it is to be fitted. */
export type PlannedTap = SlotTap | Splice;

interface Planned {
  readonly feedName: string;
  /** Printed position of a slot, e.g. "F12", or a wire's name and colour. */
  readonly position: string;
  readonly fuseA: number;
  readonly awg: number;
  readonly oneWayM: number;
}

/** A fuse tap in a slot. */
export interface SlotTap extends Planned {
  readonly at: 'slot';
  /** Build of the fuses in the slot. */
  readonly family: FuseFamily;
  /** Rating of the fuse that was there, A. */
  readonly originalA: number;
  /** Landmark of the contact that the supply enters, e.g. "door side". */
  readonly supplyLandmark: string;
}

/** A lead joined to a wire of the car. */
export interface Splice extends Planned {
  readonly at: 'wire';
  /** The joint, e.g. "sealed crimp splice". */
  readonly method: string;
  /** Whether the car's wire is cut for it. */
  readonly cuts: boolean;
}

/** One step of the work, in order. */
export interface WorkStep {
  /** Unique within the work. */
  readonly id: string;
  /** What to do, in one sentence. */
  readonly text: string;
  /** What can hurt in this very step; undefined when nothing in particular. */
  readonly caution: string | undefined;
}

/**
 * The order of work for fuse taps and splices: ground and route before power, far ends connected or capped, key off before any fuse
 * moves, one tap at a time, all added fuses last, proofs before the trim goes back. Common practice; the vehicle maker's service information comes first.
 *
 * @param battery the shop's school: negative off while wiring, or on with every live end capped
 */
export function tapSteps(
  taps: readonly PlannedTap[],
  battery: Schools['battery'] = 'probe live',
): readonly WorkStep[] {
  const disconnects = battery === 'disconnect first';
  return [
    step('mount', 'Mount the device and lay its leads loosely to the panel.', ROUTE_CAUTION),
    step(
      'ground',
      'Connect ground first: a factory stud or bare metal, ring crimped and tugged.',
      'Painted metal is no ground, and a stud that carries an airbag unit is not yours to use.',
    ),
    step(
      'off',
      'Key off and out, driver’s door open.',
      'Never pull a fuse before its legend has been read. Airbag fuses stay where they are.',
    ),
    ...(disconnects
      ? [
          step(
            'disconnect',
            'Battery negative off and laid aside, once everything has been read.',
            'Note the radio’s code first; clocks and windows may need teaching in. A car on its high-voltage system follows its maker’s order.',
          ),
        ]
      : []),
    step(
      'far-end',
      'Connect every lead at the device, or cap its end, before any fuse goes in.',
      'A lead whose far end is open is live and bare the moment its fuse is in.',
    ),
    ...taps.flatMap(fitOne),
    ...(disconnects
      ? [
          step(
            'reconnect',
            'Battery negative on again: nothing is proved on a dead car.',
            'Nothing bare, nothing loose, before the clamp goes on.',
          ),
        ]
      : []),
    ...taps.map(fuseIn),
    step(
      'prove',
      'Prove every tap with its load on, before any trim goes back.',
      'Unused ends capped one by one: a bare live or lamp lead takes a car’s own fuse with it.',
    ),
    step(
      'close',
      'Tie the leads, close the panel, refit the trim; lamps and seals back in place.',
      undefined,
    ),
  ];
}

const ROUTE_CAUTION =
  'Behind a curtain airbag, never across it; clear of pedals, belts, heat and moving parts.';

function fitOne(tap: PlannedTap): WorkStep[] {
  return tap.at === 'slot' ? fitTap(tap) : fitSplice(tap);
}

function fitTap(tap: SlotTap): WorkStep[] {
  const holder = FUSE_FAMILY_FACTS[tap.family].tap?.name ?? 'in-line holder';
  return [
    step(
      `lead-${tap.position}`,
      `${tap.feedName}: crimp the lead (${tap.awg} AWG, ${tap.oneWayM} m) to the ${holder}, added fuse still out.`,
      'A lead without its fuse near the source is a fuse wire: never cut the in-line fuse off.',
    ),
    step(
      `fit-${tap.position}`,
      `${tap.feedName}: pull ${tap.position}, put its ${tap.originalA} A fuse into the place nearest the blades, and push the tap in with its line blade at the ${tap.supplyLandmark}.`,
      'The other way round both loads go through the original fuse.',
    ),
  ];
}

function fitSplice(tap: Splice): WorkStep[] {
  return [
    step(
      `lead-${tap.position}`,
      `${tap.feedName}: put an in-line holder into the lead (${tap.awg} AWG, ${tap.oneWayM} m) near the splice, its fuse still out.`,
      'A lead without its fuse near the source is a fuse wire.',
    ),
    step(
      `fit-${tap.position}`,
      `${tap.feedName}: read ${tap.position} once more, then join the lead to it: ${tap.method}. One wire at a time.`,
      tap.cuts
        ? 'Prove before cutting: the circuit’s own fuse out or the battery off, then cut. Nothing yellow-sleeved, nothing twisted.'
        : 'The circuit’s own fuse out or the battery off before insulation is opened. Nothing yellow-sleeved, nothing twisted.',
    ),
  ];
}

function fuseIn(tap: PlannedTap): WorkStep {
  return step(
    `fuse-${tap.position}`,
    tap.at === 'slot'
      ? `${tap.feedName}: key off, put the ${tap.fuseA} A fuse into the outer place of ${tap.position}.`
      : `${tap.feedName}: key off, put the ${tap.fuseA} A fuse into its in-line holder.`,
    'The lead is live from here on: nothing bare, nothing loose.',
  );
}

function step(id: string, text: string, caution: string | undefined): WorkStep {
  return { id, text, caution };
}
