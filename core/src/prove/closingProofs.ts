import type { CircuitFunction, VehicleState } from '../vehicle';
import { describeState, stateAt } from '../vehicle';
import type { NeedRole } from '../identify';

/** The closing proofs that every tap needs before it may be logged. */
export const PROOF_KINDS = ['live', 'dead', 'original', 'orientation'] as const;
/** One closing proof. */
export type ProofKind = (typeof PROOF_KINDS)[number];

/** One proof as it is asked for. */
export interface Proof {
  readonly kind: ProofKind;
  readonly title: string;
  readonly how: string;
  /** States to bring the car to; empty where the proof is not about a state. */
  readonly states: readonly VehicleState[];
  /** What can hurt while doing it; undefined when nothing in particular. */
  readonly caution: string | undefined;
}

const LIVE_IN: Record<NeedRole, readonly VehicleState[]> = {
  constant: [stateAt('off'), stateAt('run')],
  switched: [stateAt('run')],
  illumination: [stateAt('lamps')],
};
const DEAD_IN: Record<NeedRole, readonly VehicleState[]> = {
  constant: [],
  switched: [stateAt('off')],
  illumination: [stateAt('off')],
};

/**
 * What must be shown at the end of the added lead before a tap counts as proven: live in its states, dead in the
 * others, the original circuit still works, and the lead live with the original fuse out (the right way round).
 */
export function closingProofs(role: NeedRole, of: CircuitFunction | undefined): readonly Proof[] {
  const live = [...LIVE_IN[role], ...(of === 'accessory' ? [stateAt('acc')] : [])];
  const dead = DEAD_IN[role];
  return [
    {
      kind: 'live',
      title: 'Live in its states',
      how: `Load on, at the far end of the added lead: ${listed(live)}.`,
      states: live,
      caution: 'The lead is live from now on: nothing bare, nothing loose.',
    },
    {
      kind: 'dead',
      title: dead.length === 0 ? 'Dead without its fuse' : 'Dead in the others',
      how:
        dead.length === 0
          ? 'A constant has no dead state: take the added fuse out, the lead must go dead.'
          : `At the far end of the added lead: ${listed(dead)}.`,
      states: dead,
      caution: undefined,
    },
    {
      kind: 'original',
      title: 'Original circuit works',
      how: 'Everything the slot fed before still works, in the states it worked in.',
      states: [],
      caution: undefined,
    },
    {
      kind: 'orientation',
      title: 'Right way round',
      how: 'Take the original fuse out of the tap: the added lead must stay live.',
      states: live.slice(0, 1),
      caution: 'Key off before a fuse comes out or goes in.',
    },
  ];
}

function listed(states: readonly VehicleState[]): string {
  return states.map(describeState).join('; ');
}
