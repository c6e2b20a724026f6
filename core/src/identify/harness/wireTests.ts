import type { VehicleState } from '../../vehicle';
import { placeOf, stateAt } from '../../vehicle';
import type { Seen } from '../circuit/seenBy';
import { METER_SEES, OHMMETER_SEES } from '../circuit/seenBy';
import { LEVELS } from '../circuit/levels';
import { isPlain, senseOf } from '../reading/reading';
import { HYPOTHESES, expectedLevels } from '../circuit/hypotheses';
import { WORK_SECONDS, changeSeconds } from '../visit/workCosts';
import type { WireBelief } from './beliefs';
import type { WireRole } from './roles';
import { ROLE_BY_HYPOTHESIS, SETTLED, WIRE_ROLES } from './roles';
import type { HarnessLimit, HarnessSession } from './session';

/** One way of looking at wires: a state of the car, an instrument, and what it is clipped to. */
export interface WireLook {
  readonly name:
    | 'everything on'
    | 'off'
    | 'acc'
    | 'run'
    | 'parkingBrake'
    | 'ohms to ground'
    | 'from the constant';
  /** State that the car is brought to. */
  readonly state: VehicleState;
  /** What it is read with. */
  readonly instrument: 'meter' | 'ohmmeter' | 'lamp';
  /** Where the other end of the instrument sits. */
  readonly clip: 'ground' | 'constant';
  /** What must be at hand for it. */
  readonly needs: readonly HarnessLimit[];
}

/** Wires worth looking at one way, with what that costs. */
export interface WireVisit {
  readonly look: WireLook;
  /** Wires to be touched, in order. */
  readonly wireIds: readonly string[];
  /** Work of the visit, s. */
  readonly seconds: number;
  /** Bits per second. */
  readonly rate: number;
}

/** Key at run and lamps on: whatever can be live with the engine off is live, and data lines talk. */
const EVERYTHING_ON: VehicleState = { ...stateAt('run'), lamps: true };

const LOOKS: readonly WireLook[] = [
  look('everything on', EVERYTHING_ON, ['run', 'lamps']),
  look('off', stateAt('off'), []),
  look('acc', stateAt('acc'), ['acc']),
  look('run', stateAt('run'), ['run']),
  look('parkingBrake', stateAt('parkingBrake'), ['parkingBrake']),
  { ...look('ohms to ground', stateAt('off'), ['ohmmeter']), instrument: 'ohmmeter' },
  {
    ...look('from the constant', stateAt('off'), ['lamp']),
    instrument: 'lamp',
    clip: 'constant',
  },
];

function look(
  name: WireLook['name'],
  state: VehicleState,
  needs: readonly HarnessLimit[],
): WireLook {
  return { name, state, instrument: 'meter', clip: 'ground', needs };
}

/** Levels that an instrument tells apart. */
const SEEN_BY: Record<WireLook['instrument'], Seen> = {
  meter: METER_SEES,
  ohmmeter: OHMMETER_SEES,
  lamp: {
    battery: 0,
    ground: 0,
    chassis: 1,
    open: 0,
    quiet: 0,
    part: 0,
    pulse: 2,
    half: 2,
    bus: 0,
    five: 0,
    pulled: 0,
  },
};
const KINDS = 7;
/** No ohmmeter and no lamp on what may be a data or sensor line. */
const FENCED = 0.02;
/** A look that tells less than this of a wire is not worth a probe, bits. */
const WORTH_A_PROBE = 0.06;

/** The looks worth taking now, best first; the search for more grounds is left until the speakers are found. */
export function wireVisits(
  session: HarnessSession,
  beliefs: readonly WireBelief[],
  pairedIds: ReadonlySet<string>,
): { readonly now: WireVisit | undefined; readonly late: WireVisit | undefined } {
  const isSettled = (role: WireRole): boolean =>
    beliefs.some((one) => one.role === role && one.certainty > 0.9);
  const visits = LOOKS.filter((one) => one.clip === 'ground' || isSettled('constant'))
    .filter((one) => one.needs.every((need) => session.cannot?.includes(need) !== true))
    .flatMap((one) => visitFor(one, session, { beliefs, pairedIds }) ?? [])
    .sort((left, right) => right.rate - left.rate);
  const sweep = visits.find((one) => one.look.name === 'everything on');
  const withMeter = visits.find((one) => one.look.instrument === 'meter');
  const forGround = visits.find((one) => one.look.instrument !== 'meter');
  const now = sweep ?? withMeter ?? (isSettled('ground') ? undefined : forGround);
  return { now, late: forGround };
}

function visitFor(
  look: WireLook,
  session: HarnessSession,
  known: { readonly beliefs: readonly WireBelief[]; readonly pairedIds: ReadonlySet<string> },
): WireVisit | undefined {
  const worths = known.beliefs
    .filter(
      (one) => !hasLook(one.wire.id, look, session) && concerns(look, one, { session, ...known }),
    )
    .map((one) => ({ id: one.wire.id, bits: Math.max(bitsOf(one, look), leastBits(one, look)) }))
    .filter(({ bits }) => look.name === 'everything on' || bits >= WORTH_A_PROBE)
    // Everything on is a sweep, in the order of the bunch; what is looked for goes by worth.
    .sort((left, right) => (look.name === 'everything on' ? 0 : right.bits - left.bits));
  if (worths.length === 0) return undefined;
  const clipMoves = (session.clip ?? 'ground') === look.clip ? 0 : WORK_SECONDS.clip;
  const change = changeSeconds(session.state, look.state) + clipMoves;
  // Ground is looked for wire by wire: the first that is found ends the search.
  const chosen = look.instrument === 'meter' ? worths : worths.slice(0, 1);
  const seconds = change + chosen.length * WORK_SECONDS.probe;
  const bits = chosen.reduce((sum, worth) => sum + worth.bits, 0);
  return { look, wireIds: chosen.map(({ id }) => id), seconds, rate: bits / seconds };
}

/** Whether a look is meant for a wire: first everything on, then what was live, then ground among what was dead. */
function concerns(
  look: WireLook,
  belief: WireBelief,
  known: {
    readonly session: HarnessSession;
    readonly beliefs: readonly WireBelief[];
    readonly pairedIds: ReadonlySet<string>;
  },
): boolean {
  const { session } = known;
  if (look.name === 'everything on')
    return !session.readings.some(
      ({ sourceId, state, value }) =>
        sourceId === belief.wire.id && state.key === 'run' && state.lamps && value.kind !== 'pop',
    );
  if (look.name === 'parkingBrake' && isRivalConstant(belief, known.beliefs)) return true;
  if (belief.certainty >= SETTLED) return false;
  if (look.instrument === 'meter') return wasLive(belief.wire.id, session);
  // Key off, an ohmmeter harms no data line; it only can't read one that is fed.
  if (look.instrument === 'ohmmeter')
    return !known.pairedIds.has(belief.wire.id) && isDeadAwake(belief.wire.id, session);
  // A few ohms may be a poor ground or a cold bulb: the lamp on the constant tells, as it does where there is no ohmmeter.
  if (look.instrument === 'lamp' && session.cannot?.includes('ohmmeter') !== true)
    return mayBeGround(belief) && wasMeasured(belief.wire.id, session);
  return !known.pairedIds.has(belief.wire.id) && mayCarryCurrent(belief, session);
}

/** One of several wires that look like constants: a pulled-up switch wire shows the same on a meter. */
function isRivalConstant(belief: WireBelief, beliefs: readonly WireBelief[]): boolean {
  return belief.role === 'constant' && beliefs.filter(({ role }) => role === 'constant').length > 1;
}

/** Bits that a look at rival constants is worth at least. */
const RIVAL_BITS = 0.2;

function leastBits(belief: WireBelief, look: WireLook): number {
  return look.name === 'parkingBrake' && belief.role === 'constant' ? RIVAL_BITS : 0;
}

/** From here up a wire of a few ohms is worth the lamp: the other choice is a load. */
const MAY_BE_GROUND = 0.3;

function mayBeGround({ together }: WireBelief): boolean {
  return (together[WIRE_ROLES.indexOf('ground')] ?? 0) >= MAY_BE_GROUND;
}

function wasMeasured(wireId: string, session: HarnessSession): boolean {
  return session.readings.some(
    ({ sourceId, otherId, value }) =>
      sourceId === wireId && otherId === undefined && value.kind === 'ohms',
  );
}

function wasLive(wireId: string, session: HarnessSession): boolean {
  return session.readings.some(
    (reading) =>
      reading.sourceId === wireId &&
      isPlain(reading) &&
      (senseOf(reading) === 'live' || reading.value.kind === 'pulsing'),
  );
}

/** Whether a wire was read this way already. */
export function hasLook(wireId: string, look: WireLook, session: HarnessSession): boolean {
  const place = placeOf(look.state);
  return session.readings.some(
    (reading) =>
      reading.sourceId === wireId &&
      reading.value.kind !== 'pop' &&
      reading.otherId === undefined &&
      (reading.clip ?? 'ground') === look.clip &&
      (reading.value.kind === 'ohms') === (look.instrument === 'ohmmeter') &&
      (look.instrument !== 'meter' || placeOf(reading.state) === place) &&
      // Lamps on with the key off are not everything on.
      (look.name !== 'everything on' || reading.state.key === look.state.key),
  );
}

/** An ohmmeter or a lamp goes only on wires that were read dead with everything on, and are no data or sensor line. */
function mayCarryCurrent(belief: WireBelief, session: HarnessSession): boolean {
  const { functions } = belief.given;
  return (
    functions.dataBus + functions.sensor + functions.lockMultiplex < FENCED &&
    isDeadAwake(belief.wire.id, session)
  );
}

/** Whether a wire was read with the key on and everything on, and every time dead. */
export function isDeadAwake(wireId: string, session: HarnessSession): boolean {
  const own = session.readings.filter((reading) => reading.sourceId === wireId && isPlain(reading));
  return (
    own.some(({ state }) => state.key === 'run' || state.key === 'engine') &&
    own.every((reading) => senseOf(reading) === 'dead')
  );
}

/** What stands on a wire below this may be a ghost, V; a supply is well above it. */
const GHOST_V = 4;

/** Whether a wire was read with the key on, and never fed: dead, or with no more on it than a ghost. */
export function isUnfed(wireId: string, session: HarnessSession): boolean {
  const own = session.readings.filter((reading) => reading.sourceId === wireId && isPlain(reading));
  return (
    own.some(({ state }) => state.key === 'run' || state.key === 'engine') &&
    own.every(
      ({ value, state }) =>
        senseOf({ value, state }) === 'dead' ||
        (value.kind === 'volts' && Math.abs(value.volts) < GHOST_V),
    )
  );
}

/** Bits about a wire's role that a look would give (mutual information between role and what the instrument tells). */
function bitsOf(belief: WireBelief, look: WireLook): number {
  const seen = SEEN_BY[look.instrument];
  const joint = WIRE_ROLES.map(() => new Array<number>(KINDS).fill(0));
  const mass = WIRE_ROLES.map(() => 0);
  HYPOTHESES.forEach((hypothesis, index) => {
    const weight = belief.given.hypotheses[index] ?? 0;
    if (weight < 1e-6) return;
    const role = WIRE_ROLES.indexOf(ROLE_BY_HYPOTHESIS[index] ?? 'leftOver');
    mass[role] = (mass[role] ?? 0) + weight;
    expectedLevels(hypothesis, look.state).forEach((chance, level) => {
      const row = joint[role];
      const kind = seen[LEVELS[level] ?? 'open'];
      if (row !== undefined) row[kind] = (row[kind] ?? 0) + weight * chance;
    });
  });
  // The other wires have their say in how likely each role is; within a role the wire's own readings rule.
  const scaled = joint.map((row, role) => {
    const own = mass[role] ?? 0;
    const factor = own > 0 ? (belief.together[role] ?? 0) / own : 0;
    return row.map((value) => value * factor);
  });
  const kinds = new Array<number>(KINDS).fill(0);
  for (const row of scaled)
    row.forEach((value, kind) => (kinds[kind] = (kinds[kind] ?? 0) + value));
  return entropy(kinds) - conditional(scaled);
}

function conditional(joint: readonly (readonly number[])[]): number {
  return joint.reduce((sum, row) => {
    const mass = row.reduce((total, value) => total + value, 0);
    return mass > 0 ? sum + mass * entropy(row.map((value) => value / mass)) : sum;
  }, 0);
}

function entropy(chances: readonly number[]): number {
  const total = chances.reduce((sum, chance) => sum + chance, 0);
  if (total <= 0) return 0;
  return chances.reduce((sum, chance) => {
    const share = chance / total;
    return share > 0 ? sum - share * Math.log2(share) : sum;
  }, 0);
}
