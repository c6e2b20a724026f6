import { GROUND_LIMIT_V } from '../choose';
import { isTrigger } from '../identify';
import type { CircuitFunction, LeadSpot, StitchPlace, VehicleState } from '../vehicle';
import { PLACE_WORDS, leadPointId, placeOf, stateAt } from '../vehicle';
import type { JoinedAt, Proof, PromisedFeed } from './closingProofs';
import { closingProofs } from './closingProofs';
import type { ProofKind } from './proofKinds';

/** One reading that a closing proof rests on, with what it must show. */
export interface ProofCheck {
  /** Unique within the feed. */
  readonly id: string;
  /** What it shows. */
  readonly kind: ProofKind;
  /** Where along the lead it is read. */
  readonly spot: LeadSpot;
  /** What a reading of it goes by. */
  readonly pointId: string;
  /** State to bring the car to. */
  readonly state: VehicleState;
  /** Where the probe goes and what is done for it, in one sentence. */
  readonly how: string;
  /** What a good joint shows, V. */
  readonly expectV: number;
  /** Least that will do, V; undefined where it must be dead. */
  readonly leastV: number | undefined;
  /** Most that will do, V; undefined where it must be live. */
  readonly mostV: number | undefined;
  /** Where the limit comes from. */
  readonly because: string;
  /** What can hurt meanwhile; undefined when nothing in particular. */
  readonly caution: string | undefined;
}

/** What the checks of a lead are worked out from. */
export interface ProvedLead {
  readonly feed: PromisedFeed & {
    readonly id: string;
    /** What the device’s converter gives from it, V; undefined where it has none. */
    readonly outputV?: number | undefined;
    /** What the lead draws from its source while it is proved, A; 0 where that is nothing before the hand-over. */
    readonly currentA: number;
  };
  /** The source that it is joined to. */
  readonly sourceId: string;
  /** Whether that is a slot or a wire. */
  readonly at: JoinedAt;
  /** What the source turned out to be; undefined while nobody knows. */
  readonly of: CircuitFunction | undefined;
  /** Volts that a meter showed at the source before anything was joined, by place. */
  readonly sourceV: Partial<Record<StitchPlace, number>>;
  /** What the lead loses with its load on, and the most that it may, V. */
  readonly dropV: number;
  /** Most volts that may be lost along it, V. */
  readonly dropLimitV: number;
  /** Whether the device’s ground is measured at this lead: at the heaviest of a job. */
  readonly ground: boolean;
}

/**
 * What a supply shows where nobody measured it, V: a rested battery; charging; cranking as it dips. Common practice, check values
 * “Battery”.
 */
const USUAL_V: Partial<Record<StitchPlace, number>> = { engine: 14, crank: 9.6 };
const RESTED_V = 12.3;
/** The battery gives way between two readings, and a meter is off by a little, V. Our own choice; cranking dips anew each time. */
const BETWEEN_READINGS_V = 0.25;
const BETWEEN_CRANKS_V = 1;
/** The car’s own feed and its battery give way under the added load, Ω: bus, fuse, feed, battery. Common practice: some tens of mΩ. */
const CAR_OHM = 0.05;
/** Where nobody measured the source, a tired battery must still pass, V. */
const UNMEASURED_V = 0.6;
/** With the load on, what floats is pulled down: more than this is a supply, V. Common practice. */
const DEAD_V = 0.8;

/**
 * The readings that prove an added lead, in the order of its proofs, with the limit of each: what the source gave in that state,
 * less what the lead may lose with its load on. None for signals: what the device does with them is the proof.
 */
export function proofChecks(lead: ProvedLead): readonly ProofCheck[] {
  if (isTrigger(lead.feed.role)) return [];
  const checks = closingProofs(lead.feed, lead.of, lead.at).flatMap((proof) =>
    checksOf(lead, proof),
  );
  return [
    ...checks,
    ...lampsChecks(lead),
    ...outputChecks(lead),
    ...(lead.ground ? [groundCheck(lead, checks)] : []),
  ];
}

/** Lamps without effect: what goes by the key stays dead with the lamps on, where legends and dimmers mislead. */
function lampsChecks(lead: ProvedLead): ProofCheck[] {
  const { role, currentA, mayStayLiveAwake } = lead.feed;
  if (role !== 'switched' || currentA === 0 || mayStayLiveAwake === true) return [];
  return closingProofs(lead.feed, lead.of, lead.at)
    .filter(({ kind }) => kind === 'dead')
    .map((proof) => dead(lead, proof, { spot: 'end', state: stateAt('lamps'), how: farEnd(lead) }));
}

/** A converter holds its volts within a twentieth. USB 2.0 gives 4.75 to 5.25 V for 5 V (from memory); others by common practice. */
const OUTPUT_SHARE = 0.05;

/** What the device’s converter gives, in the first state that its feed is live in. */
function outputChecks(lead: ProvedLead): ProofCheck[] {
  const { outputV, id } = lead.feed;
  if (outputV === undefined) return [];
  const [state = stateAt('run')] = liveStates(lead);
  const spot = 'output';
  const [leastV, mostV] = [outputV * (1 - OUTPUT_SHARE), outputV * (1 + OUTPUT_SHARE)];
  return [
    {
      ...{ id: `${spot} ${placeOf(state)}`, kind: 'live', spot, state },
      pointId: leadPointId(spot, id, lead.sourceId),
      how: 'Meter at what the converter gives, with what it feeds plugged in and working.',
      ...{ expectV: outputV, leastV, mostV },
      because: `${volts(leastV)} to ${volts(mostV)}: ${volts(outputV)} within a twentieth.`,
      caution: undefined,
    },
  ];
}

function checksOf(lead: ProvedLead, proof: Proof): ProofCheck[] {
  switch (proof.kind) {
    case 'live':
      return proof.states.map((state) =>
        live(lead, proof, { spot: 'end', state, how: farEnd(lead) }),
      );
    case 'dead':
      return proof.states.length === 0
        ? [dead(lead, proof, { spot: 'endAddedOut', state: stateAt('off'), how: ADDED_OUT })]
        : proof.states.map((state) => dead(lead, proof, { spot: 'end', state, how: farEnd(lead) }));
    case 'original': {
      const [state = stateAt('run')] = liveStates(lead);
      const how = lead.at === 'slot' ? BEHIND_ORIGINAL : AT_WIRE;
      return [live({ ...lead, dropV: 0, dropLimitV: 0 }, proof, { spot: 'original', state, how })];
    }
    case 'orientation':
      return proof.states.map((state) =>
        live(lead, proof, { spot: 'endOriginalOut', state, how: ORIGINAL_OUT }),
      );
  }
}

const FAR_END = 'Device on, meter over its plug: plus lead to ground lead.';
const FAR_END_GIVEN =
  'Device’s plug pulled, meter in it: this lead to the ground lead. Under its load it is tried at the hand-over, with the engine started by the device.';
const farEnd = ({ feed }: ProvedLead): string => (feed.currentA === 0 ? FAR_END_GIVEN : FAR_END);
const ADDED_OUT = 'Take the added fuse out, meter at the far end of the lead.';
const BEHIND_ORIGINAL =
  'Meter on the original fuse’s load side, in the tap. Then try what it feeds: it works as before.';
const AT_WIRE =
  'Meter on the car’s wire beside the joint. Then try what it feeds: it works as before.';
const ORIGINAL_OUT =
  'Key off, original fuse out of the tap, back to this state: meter at the far end.';

/** A spot in a state, and how it is read. */
interface Asked {
  readonly spot: LeadSpot;
  readonly state: VehicleState;
  readonly how: string;
}

function live(lead: ProvedLead, proof: Proof, asked: Asked): ProofCheck {
  const place = placeOf(asked.state);
  const measured = lead.sourceV[place];
  const source = measured ?? USUAL_V[place] ?? RESTED_V;
  const swing = measured === undefined ? UNMEASURED_V : 0;
  const between = place === 'crank' ? BETWEEN_CRANKS_V : BETWEEN_READINGS_V;
  const sagV = between + swing + lead.feed.currentA * CAR_OHM;
  const leastV = source - lead.dropLimitV - sagV;
  const from =
    measured === undefined ? `usually ${volts(source)}` : `${volts(source)} read at the source`;
  const loses =
    lead.dropLimitV > 0 ? `, less ${volts(lead.dropLimitV)} that the lead may lose` : '';
  return {
    ...head(lead, proof, asked),
    expectV: source - lead.dropV,
    leastV,
    mostV: undefined,
    because: `At least ${volts(leastV)}: ${from}${loses}, ${volts(sagV)} for the battery and the car’s own feed.`,
  };
}

function dead(lead: ProvedLead, proof: Proof, asked: Asked): ProofCheck {
  return {
    ...head(lead, proof, asked),
    expectV: 0,
    leastV: undefined,
    mostV: DEAD_V,
    because: `At most ${volts(DEAD_V)}: ${lead.feed.currentA === 0 ? 'more is a supply' : 'with the load on, what floats is pulled down'}.`,
  };
}

function groundCheck(lead: ProvedLead, checks: readonly ProofCheck[]): ProofCheck {
  const [state = stateAt('run')] = liveStates(lead);
  const spot = 'ground';
  return {
    ...{ id: `${spot} ${placeOf(state)}`, kind: checks[0]?.kind ?? 'live', spot, state },
    pointId: leadPointId(spot, lead.feed.id, lead.sourceId),
    how: 'Device on: meter between its ground and the battery’s minus.',
    expectV: 0,
    leastV: undefined,
    mostV: GROUND_LIMIT_V,
    because: `At most ${volts(GROUND_LIMIT_V)} with the load on, common practice.`,
    caution: undefined,
  };
}

function head(
  lead: ProvedLead,
  proof: Proof,
  { spot, state, how }: Asked,
): Pick<ProofCheck, 'id' | 'kind' | 'spot' | 'pointId' | 'state' | 'how' | 'caution'> {
  return {
    ...{ id: `${spot} ${placeOf(state)}`, kind: proof.kind, spot, state, how },
    pointId: leadPointId(spot, lead.feed.id, lead.sourceId),
    caution: proof.caution,
  };
}

function liveStates(lead: ProvedLead): readonly VehicleState[] {
  return (
    closingProofs(lead.feed, lead.of, lead.at).find(({ kind }) => kind === 'live')?.states ?? []
  );
}

function volts(value: number): string {
  return `${value.toFixed(2)} V`;
}

/** What a check must show, as short as it can be said. */
export function checkLimit({ leastV, mostV }: Pick<ProofCheck, 'leastV' | 'mostV'>): string {
  if (leastV === undefined) return `≤ ${volts(mostV ?? 0)}`;
  return mostV === undefined ? `≥ ${volts(leastV)}` : `${leastV.toFixed(2)} to ${volts(mostV)}`;
}

/** A check’s state in words, as it stands over its row. */
export function checkTitle({ spot, state }: Pick<ProofCheck, 'spot' | 'state'>): string {
  return `${SPOT_WORDS[spot]}: ${PLACE_WORDS[placeOf(state)]}`;
}

const SPOT_WORDS: Record<LeadSpot, string> = {
  end: 'Far end',
  endOriginalOut: 'Far end, original fuse out',
  endAddedOut: 'Far end, added fuse out',
  original: 'Original circuit',
  ground: 'Ground, load on',
  output: 'Converter’s output',
};
