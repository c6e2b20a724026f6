import type { CircuitFunction, StitchPlace, VehicleState } from '../vehicle';
import { describeState, stateAt } from '../vehicle';
import type { NeedRole, TriggerRole } from '../identify';
import { isTrigger, placesOfTrigger, visitState } from '../identify';
import { PROOF_KINDS } from './proofKinds';
import type { ProofKind } from './proofKinds';

/** Where a lead is joined, as far as proofs differ. */
export type JoinedAt = 'slot' | 'wire';

/** The proofs that a tap needs: a splice has no way round. */
export function proofKindsAt(at: JoinedAt): readonly ProofKind[] {
  return at === 'slot' ? PROOF_KINDS : PROOF_KINDS.filter((kind) => kind !== 'orientation');
}

/** One proof as it is asked for. */
export interface Proof {
  readonly kind: ProofKind;
  /** What is shown, in a few words. */
  readonly title: string;
  /** How it is shown. */
  readonly how: string;
  /** States to bring the car to; empty where the proof is not about a state. */
  readonly states: readonly VehicleState[];
  /** What can hurt while doing it; undefined when nothing in particular. */
  readonly caution: string | undefined;
}

/** What a feed promises, as far as its closing proofs depend on it. */
export interface PromisedFeed {
  /** What kind of feed it is. */
  readonly role: NeedRole;
  /** Must hold through cranking. */
  readonly holdsCranking?: boolean | undefined;
  /** Must be live at accessory. */
  readonly liveInAcc?: boolean | undefined;
  /** May stay live while the car is awake; then key off is no proof, sleep is. */
  readonly mayStayLiveAwake?: boolean | undefined;
}

const LIVE_IN: Record<Exclude<NeedRole, TriggerRole>, readonly StitchPlace[]> = {
  constant: ['off', 'run', 'asleep'],
  switched: ['run'],
  retained: ['run', 'justOff'],
  illumination: ['lamps'],
  reverse: ['reverse'],
  brake: ['brake'],
  starter: ['crank'],
};
const DEAD_IN: Record<Exclude<NeedRole, TriggerRole>, readonly StitchPlace[]> = {
  constant: [],
  switched: ['off'],
  retained: ['off'],
  // Dark in run: what is live with the key on lights up by day as well.
  illumination: ['run', 'off'],
  reverse: ['run', 'off'],
  brake: ['off', 'run'],
  starter: ['run', 'off'],
};

function livePlaces(feed: PromisedFeed, of: CircuitFunction | undefined): readonly StitchPlace[] {
  const { role } = feed;
  if (isTrigger(role)) return placesOfTrigger(role).worked;
  const acc = role === 'switched' && (feed.liveInAcc === true || of === 'accessory');
  return [
    ...LIVE_IN[role],
    ...(acc ? (['acc'] as const) : []),
    ...(feed.holdsCranking === true ? (['crank'] as const) : []),
  ];
}

function deadPlaces(feed: PromisedFeed): readonly StitchPlace[] {
  const { role } = feed;
  if (isTrigger(role)) return placesOfTrigger(role).atRest;
  const goesByKey = role === 'switched' || role === 'retained';
  return goesByKey && feed.mayStayLiveAwake === true ? ['asleep'] : DEAD_IN[role];
}

/**
 * What must be shown at the end of the added lead before a tap counts as proven: live in the states that the feed
 * promises (cranking where it must hold, asleep for a constant), dead in the others (asleep alone where it may stay
 * live awake), the original circuit still works, and the lead live with the original fuse out (the right way round).
 */
export function closingProofs(
  feed: PromisedFeed,
  of: CircuitFunction | undefined,
  at: JoinedAt = 'slot',
): readonly Proof[] {
  // A signal is proved where it was found: low beam and what the dimmer does are there with the key at run only.
  const stateOf = isTrigger(feed.role) ? (place: StitchPlace) => visitState(place) : stateAt;
  const live = livePlaces(feed, of).map(stateOf);
  const dead = deadPlaces(feed).map(stateOf);
  if (isTrigger(feed.role)) return triggerProofs(live, dead);
  const all: readonly Proof[] = [
    {
      kind: 'live',
      title: 'Live in its states',
      how: `Load on, at the far end of the added lead: ${listed(live)}.`,
      states: live,
      caution:
        feed.holdsCranking === true
          ? 'The lead is live from now on: nothing bare, nothing loose. Cranking: neutral or park, brake on, nobody near belts and fan, never in a closed room.'
          : 'The lead is live from now on: nothing bare, nothing loose.',
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
      how: `Everything the ${at} fed before still works, in the states it worked in.`,
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
  return all.filter(({ kind }) => proofKindsAt(at).includes(kind));
}

function listed(states: readonly VehicleState[]): string {
  return states.map(describeState).join('; ');
}

/** A signal may be ground, ohms or pulses: it is proved by what the device does with it, worked and at rest. */
function triggerProofs(
  worked: readonly VehicleState[],
  atRest: readonly VehicleState[],
): readonly Proof[] {
  return [
    {
      kind: 'live',
      title: 'The device sees it',
      how: `Joined up, the device answers: ${listed(worked)}.`,
      states: worked,
      caution: 'Doors, locks, lamps or the engine may answer: keep hands and bystanders clear.',
    },
    {
      kind: 'dead',
      title: 'And not without it',
      how: `The device does nothing: ${listed(atRest)}.`,
      states: atRest,
      caution: undefined,
    },
    {
      kind: 'original',
      title: 'The car’s own switch still works',
      how: 'Work the car’s own switch: everything it did before, it still does.',
      states: [],
      caution: undefined,
    },
  ];
}
