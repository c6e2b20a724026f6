import type { StitchPlace, VehicleState } from '../../vehicle';
import { CIRCUIT_FUNCTIONS, placeOf } from '../../vehicle';
import { doubtOf, doubtTaken, expectation, isOpen, remove } from '../need/doubt';
import type { Doubt } from '../need/doubt';
import type { FindScope } from '../need/findScope';
import type { PreparedNeed } from '../need/needs';
import { isSignal, meetsProbability } from '../need/needs';
import { willDoubt } from '../belief/missedTouch';
import { isSettled, lampWantedAt } from '../verdict/settled';
import { TRUSTED_CLAIM } from '../reading/source';
import { tripTo } from '../visit/tripTo';
import { VISIT_ORDER, WORK_SECONDS } from '../visit/workCosts';
import { isLiveAtVisit } from '../visit/visitState';
import { HOPELESS, HOPELESS_SIGNAL } from '../need/thresholds';
import type { Check, Checks, Circumstances, Given } from './checks';
import { keptChecks } from './keptChecks';
import { fills, isRead, isSeen, maySupply, wantsName } from '../need/fills';
import { isTooRisky, priceOf, wantsLookUp } from '../need/price';
import type { Verdict } from '../verdict/verdict';
import { isTrigger, workedAt } from '../need/triggers';

/** A source followed up for a need: what is left to read, and what that costs. */
export interface Pursuit extends Checks {
  /** The need that it is for. */
  readonly wanted: PreparedNeed;
  /** What is known of the source. */
  readonly verdict: Verdict;
  /** Chance that it serves, 0 to 1. */
  readonly chance: number;
  /** What taking it costs besides the work, s: by its legend and by its danger. */
  readonly price: number;
  /** The handbook is to be asked before it is taken. */
  readonly lookUp: boolean;
}

/** From this chance on a switch's signal may pass for a supply. */
const PASSES_FOR_ONE = 0.0005;

/** So many sources per need are worked out, the most promising first. */
const LONG_LIST = 10;
/** Waiting for sleep or a shed load is no work, and one wait serves every source, s. */
const WAIT_SECONDS = 8;
/** Gain of a look-alike that must be seen although little doubt is left. */
const NAMING_GAIN = 0.05;

/**
 * The sources worth following up for a need, best first. The order is Weitzman's for boxes that are opened one after
 * the other until one will do (Econometrica 47, 1979): by what one would give for another box instead, which is the
 * work of settling this one over its chance, plus its price.
 */
export function pursuitsFor(wanted: PreparedNeed, scope: FindScope, at: Circumstances): Pursuit[] {
  const hopeful = scope.candidates
    .filter(({ sourceId }) => maySupply(wanted, sourceId))
    .map((verdict) => ({ verdict, chance: meetsProbability(wanted, verdict.posterior) }))
    .filter(({ chance }) => chance >= (isSignal(wanted.need) ? HOPELESS_SIGNAL : HOPELESS))
    .map(({ verdict, chance }) => ({
      verdict,
      chance,
      rough: ROUGH_SECONDS / chance + priceOf(verdict.sourceId, 0, scope),
    }))
    .sort((left, right) => left.rough - right.rough);
  const pursuits: Pursuit[] = [];
  const checksOf = keptChecks(wanted, { ...at, until: scope.until }, checksFor);
  for (const { verdict, chance } of hopeful) {
    const found = checksOf(verdict);
    const nothingLeft = found.checks.length === 0;
    const danger = nothingLeft ? verdict.posterior.critical : found.danger;
    const lookUp = wantsLookUp(verdict.sourceId, danger, scope);
    // With nothing left to read, only what the handbook alone keeps from serving is followed.
    const isDone = nothingLeft && !(lookUp && fills(wanted, verdict, scope.until));
    if (isDone || isTooRisky(verdict.sourceId, found.danger, scope)) continue;
    const price = priceOf(verdict.sourceId, found.danger, scope);
    pursuits.push({ wanted, verdict, chance, price, lookUp, ...found });
    if (pursuits.length === LONG_LIST) break;
  }
  return pursuits.sort((left, right) => reservation(left) - reservation(right));
}

/** About what settling a source takes, s: enough to say which are worked out first. */
const ROUGH_SECONDS = 20;

/** Seconds that would have to be saved elsewhere to leave a source alone. */
function reservation({ seconds, chance, price }: Pursuit): number {
  return seconds / chance + price;
}

/**
 * The places still to be read until a source is settled for a need, in the order in which they take most doubt away
 * per second, and the expected seconds of that.
 */
function checksFor(wanted: PreparedNeed, verdict: Verdict, given: Given): Checks {
  const confirming = confirmationOf(wanted, verdict, given.state);
  if (confirming !== undefined) return confirming;
  // A switch's pull-up passes for a supply on an open wire until the switch is worked; at a fuse there is none.
  const switches = isSignal(wanted.need)
    ? []
    : CIRCUIT_FUNCTIONS.filter(
        (name) => verdict.posterior.functions[name] > PASSES_FOR_ONE,
      ).flatMap(workedAt);
  const left = new Set(
    [...wanted.visits, ...switches].filter(
      (place) => VISIT_ORDER.includes(place) && !isSettled(place, verdict, given.lamp),
    ),
  );
  // What a name hangs on may lie where the need alone takes nobody, such as at the dimmer.
  const isToBeSeen = (place: StitchPlace): boolean =>
    left.has(place) ||
    (VISIT_ORDER.includes(place) &&
      !wanted.visits.includes(place) &&
      !isSettled(place, verdict, given.lamp));
  const { steps, settles: whole } = settlingChecks(wanted, verdict, { left, state: given.state });
  const settles = whole || given.evenUnsettled === true;
  // While a place that would settle it is set aside, what it would make needless is worth a look.
  const waits = steps.some(({ place }) => given.cannot.includes(place));
  const chosen = settles ? (waits ? [...steps] : withoutNeedless(wanted, verdict, steps)) : [];
  for (const { place } of settles && wantsName(wanted, given.until) ? verdict.missing : [])
    if (isToBeSeen(place) && !chosen.some((one) => one.place === place))
      chosen.push({ place, gain: NAMING_GAIN, expectLive: true });
  const mayWantLamp = given.lamp && !isSignal(wanted.need);
  const lampAt = mayWantLamp ? lampWantedAt(verdict, placeOf(given.state)) : undefined;
  if (lampAt !== undefined && settles && !chosen.some((one) => one.place === lampAt))
    chosen.push({ place: lampAt, gain: NAMING_GAIN, expectLive: true });
  for (const { place } of verdict.contradictions)
    if (left.has(place)) chosen.push({ place, gain: 1, expectLive: true });
  const danger = dangerAfter(wanted, verdict, chosen);
  const seconds = expectedSeconds(wanted, verdict, { chosen, state: given.state });
  return { checks: chosen, danger, seconds: Math.max(1, seconds) };
}

/** Chance that a source is safety-critical although it serves and every check came out as hoped. */
function dangerAfter(wanted: PreparedNeed, verdict: Verdict, steps: readonly Step[]): number {
  const doubt = doubtOf(wanted, verdict);
  for (const { place, expectLive } of steps) remove(doubt, place, expectLive);
  const chances = wanted.serving(verdict.posterior);
  let critical = 0;
  let serving = 0;
  verdict.posterior.hypotheses.forEach((weight, index) => {
    const part = chances[index] ?? 0;
    if (part === 0 || isRuledOut(index, steps)) return;
    critical += part * (doubt.critical[index] ?? 0);
    serving += part * weight;
  });
  return serving > 0 ? critical / serving : 0;
}

function isRuledOut(index: number, steps: readonly Step[]): boolean {
  return steps.some(({ place, expectLive }) => isLiveAtVisit(index, place) !== expectLive);
}

/** A check with the outcome that speaks for the source. */
type Step = Required<Check>;

/**
 * Checks until no doubt is left, each the one that takes most away per second. A source that no check can settle any
 * more, because what matters has spoken against it, is not followed.
 */
function settlingChecks(
  wanted: PreparedNeed,
  verdict: Verdict,
  from: { readonly left: ReadonlySet<StitchPlace>; readonly state: VehicleState },
): { readonly steps: Step[]; readonly settles: boolean } {
  const doubt = doubtOf(wanted, verdict);
  const left = new Set(from.left);
  const steps: Step[] = [];
  const unseen = new Set(wanted.mustSee.filter((place) => !isSeen(place, wanted, verdict)));
  let { state } = from;
  const hopes = new Map(
    [...left, ...unseen].map((place) => [place, expectation(wanted, verdict, place)]),
  );
  while (isOpen(doubt) || unseen.size > 0) {
    const places = isOpen(doubt) ? left : unseen;
    const best = bestCheck(wanted, { hopes, doubt, places, state });
    if (best === undefined) break;
    unseen.delete(best.place);
    steps.push(best);
    left.delete(best.place);
    ({ state } = tripTo(best.place, state));
    remove(doubt, best.place, best.expectLive);
  }
  return { steps, settles: !isOpen(doubt) && unseen.size === 0 };
}

/** Leaves out the checks that later ones make needless; the last ones, cranking and sleep, often settle most. */
function withoutNeedless(wanted: PreparedNeed, verdict: Verdict, steps: readonly Step[]): Step[] {
  let kept = [...steps];
  for (const step of [...steps].reverse()) {
    if (wanted.mustSee.includes(step.place)) continue;
    const without = kept.filter((one) => one !== step);
    const doubt = doubtOf(wanted, verdict);
    for (const one of without) remove(doubt, one.place, one.expectLive);
    if (!isOpen(doubt)) kept = without;
  }
  return kept;
}

/** Expected attended seconds of checks in their order, given up at the first that comes out otherwise. */
function expectedSeconds(
  wanted: PreparedNeed,
  verdict: Verdict,
  plan: { readonly chosen: readonly Step[]; readonly state: VehicleState },
): number {
  const doubt = doubtOf(wanted, verdict);
  let { state } = plan;
  let passing = 1;
  let seconds = 0;
  for (const { place, expectLive } of plan.chosen) {
    const trip = tripTo(place, state);
    // A wait counts as little work.
    const change = placeOf(state) === place ? 0 : Math.min(trip.seconds, WAIT_SECONDS);
    seconds += passing * (change + WORK_SECONDS.probe);
    const failing = remove(doubt, place, expectLive);
    passing *= 1 - failing;
    if (!expectLive && willDoubt(failing, doubt.serving.believed))
      seconds += passing * WORK_SECONDS.probe;
    ({ state } = trip);
  }
  return seconds;
}

/**
 * What a trusted log names wants one live reading on this car, and saves all the other checks but one: a switched feed
 * is also looked at where it must be dead, for what people take a constant for most often is a switched circuit.
 */
function confirmationOf(
  wanted: PreparedNeed,
  verdict: Verdict,
  state: VehicleState,
): Checks | undefined {
  const { claim } = verdict;
  if (claim === undefined || claim.probability < TRUSTED_CLAIM) return undefined;
  if (verdict.status === 'contradicted' || verdict.leading !== claim.function) return undefined;
  const hopes = wanted.visits.flatMap((place) => {
    const expectLive = expectation(wanted, verdict, place);
    return expectLive === undefined ? [] : [{ place, expectLive }];
  });
  const own = hopes.filter(({ place }) => wanted.mustSee.includes(place) && !isWait(place));
  // Where none of its own places is live, the cheapest other one is.
  const other = hopes
    .filter(({ place, expectLive }) => expectLive && !isWait(place))
    .sort((left, right) => costOf(left.place, state) - costOf(right.place, state))[0];
  const looked = own.some(({ expectLive }) => expectLive) || !other ? own : [...own, other];
  const checks = looked
    .filter(({ place }) => !isRead(place, verdict))
    .map((one) => ({ ...one, gain: claim.probability }));
  if (checks.length === 0) return undefined;
  const seconds = checks.reduce((sum, { place }) => sum + costOf(place, state), 0);
  return { checks, seconds, danger: 0 };
}

function costOf(place: StitchPlace, state: VehicleState): number {
  return tripTo(place, state).seconds + WORK_SECONDS.probe;
}

function isWait(place: StitchPlace): boolean {
  return place === 'asleep' || place === 'waited';
}

function bestCheck(
  wanted: PreparedNeed,
  at: {
    /** What each place shows if the source serves. */
    readonly hopes: ReadonlyMap<StitchPlace, boolean | undefined>;
    readonly doubt: Doubt;
    readonly places: ReadonlySet<StitchPlace>;
    readonly state: VehicleState;
  },
): { place: StitchPlace; gain: number; expectLive: boolean } | undefined {
  let best: { place: StitchPlace; gain: number; expectLive: boolean } | undefined;
  let bestRate = 0;
  for (const place of at.places) {
    const expected = at.hopes.get(place);
    const isDue = wanted.mustSee.includes(place);
    // A switch's wire may rest at any level: it must be seen there all the same.
    if (expected === undefined && !(isDue && isTrigger(wanted.need.role))) continue;
    const expectLive = expected ?? true;
    const taken = expected === undefined ? 0 : doubtTaken(at.doubt, place, expectLive);
    if (taken <= MIN_GAIN && !isDue) continue;
    const gain = Math.max(taken, MIN_GAIN);
    const rate = gain / costOf(place, at.state);
    if (rate > bestRate) {
      best = { place, gain, expectLive };
      bestRate = rate;
    }
  }
  return best;
}

/** A check that takes less doubt away than this is not worth a probe. */
const MIN_GAIN = 0.0005;
