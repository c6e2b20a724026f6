import type { CircuitFunction } from '../../vehicle';
import { CIRCUIT_FUNCTIONS } from '../../vehicle';
import type { HiddenCircuits } from '../legend/hiddenCircuits';
import type { FunctionWeights, SafetyClass } from '../legend/lexicon';
import type { PanelPrints } from '../legend/panelPrints';
import type { FunctionPrior, LabelReading, Written } from '../legend/readLabel';
import { believedOf, readOnce } from '../legend/readLabel';
import { isGivenBySwitch } from '../need/triggers';
import type { ProbeSource } from '../reading/source';

/** What is believed of a source before its first reading. */
export interface Belief {
  /** By function; sums to 1. Both kinds of circuit together. */
  readonly functions: FunctionPrior;
  /** Of each function's share, the part that belongs to safety-critical circuits. */
  readonly critical: FunctionPrior;
}

/**
 * Chance that a circuit is safety-critical although its legend does not say so, on a usual panel. About a quarter of a panel's
 * circuits are (common practice: count brakes, engine, restraint, steering, lamps of law on any legend), and few legends are wrong.
 */
const CRITICAL_CHANCE: Record<SafetyClass, number> = {
  free: 0.02,
  caution: 0.03,
  unknown: 0.25,
  block: 1,
};

/** A handbook names a circuit wrongly so much more rarely than a print. */
const LOOKED_UP = 0.25;

/** What safety-critical circuits hang on: ignition through cranking, or the battery; never an accessory contact. */
const CRITICAL_FUNCTIONS: Partial<Record<CircuitFunction, number>> = {
  ignitionRunCrank: 0.47,
  constant: 0.36,
  ignitionRun: 0.1,
  starter: 0.03,
  lowBeam: 0.02,
  stopLamp: 0.02,
};

/**
 * What is believed of a source by its legend, as far as its panel's legends deserve it, or by what the panel must hold besides when
 * it can't be read, and over both by the model's log.
 */
export function sourcePrior(
  source: Pick<ProbeSource, 'legend' | 'handbook' | 'logged' | 'kind' | 'sought'> & {
    readonly label?: LabelReading;
  },
  panel?: PanelPrints,
): Belief {
  const belief = bareBelief(source) ?? beliefOfSlot(source, panel);
  const { logged } = source;
  if (logged === undefined) return belief;
  const doubt = 1 - logged.probability;
  return {
    functions: mapFunctions(
      (name) =>
        doubt * belief.functions[name] + (name === logged.function ? logged.probability : 0),
    ),
    critical: mapFunctions((name) => doubt * belief.critical[name]),
  };
}

function beliefOfSlot(
  source: Written & { readonly label?: LabelReading },
  panel: PanelPrints | undefined,
): Belief {
  const label = source.label ?? readOnce(source);
  if (label.safety !== 'unknown') return beliefBy(label, panel?.doubt);
  const hidden = panel?.hidden;
  const byPanel = hidden !== undefined && hidden.share > 0;
  return byPanel ? beliefAmong(hidden, beliefBy(label)) : beliefBy(label);
}

/** By what is written alone; a print is doubted with its panel, what was looked up is not. */
function beliefBy(label: LabelReading, doubt = 1): Belief {
  // Blocked legends are never offered: their own prior stands, all of it critical.
  if (label.safety === 'block') return { functions: label.prior, critical: label.prior };
  const chance = CRITICAL_CHANCE[label.safety] * (label.lookedUp ? LOOKED_UP : doubt);
  const critical = mapFunctions((name) => chance * (CRITICAL_FUNCTIONS[name] ?? 0));
  return {
    functions: mapFunctions((name) => (1 - chance) * label.prior[name] + critical[name]),
    critical,
  };
}

/** A source without a readable legend: one of the circuits that no legend names, or anything. */
function beliefAmong(hidden: HiddenCircuits, anything: Belief): Belief {
  const among = (of: (weights: FunctionWeights | undefined) => FunctionPrior | undefined) =>
    mapFunctions((name) =>
      hidden.circuits.reduce(
        (sum, { share, weights }) => sum + share * (of(weights)?.[name] ?? 0),
        0,
      ),
    );
  const functions = among((weights) => (weights ? believedOf(weights) : CRITICAL_PRIOR));
  const critical = among((weights) => (weights ? undefined : CRITICAL_PRIOR));
  const blend = (part: FunctionPrior, rest: FunctionPrior): FunctionPrior =>
    mapFunctions((name) => hidden.share * part[name] + (1 - hidden.share) * rest[name]);
  return {
    functions: blend(functions, anything.functions),
    critical: blend(critical, anything.critical),
  };
}

/** Wires of an unknown bunch: anything, speakers more than most; door switches end in the body. Common practice. */
const WIRE_WEIGHTS: Partial<Record<CircuitFunction, number>> = {
  constant: 1,
  timedConstant: 0.1,
  accessory: 1,
  retainedAccessory: 0.2,
  ignitionRun: 0.4,
  ignitionRunCrank: 0.3,
  starter: 0.05,
  ground: 1.3,
  lamps: 0.6,
  dimmedIllumination: 0.4,
  lowBeam: 0.05,
  stopLamp: 0.15,
  reverse: 0.3,
  turnHazard: 0.2,
  doorSwitch: 0.03,
  parkingBrakeSwitch: 0.3,
  lockNegative: 0.1,
  lockPositive: 0.1,
  lockReversing: 0.1,
  lockMultiplex: 0.05,
  speaker: 6,
  amplifierTurnOn: 0.4,
  antennaTurnOn: 0.6,
  dataBus: 0.9,
  sensor: 0.4,
  spare: 1,
  none: 0.3,
};
/** Terminals of relay sockets and studs: fed, grounded or dead; nothing else is brought to one. Common practice. */
const POINT_WEIGHTS: Partial<Record<CircuitFunction, number>> = {
  constant: 3,
  timedConstant: 0.1,
  accessory: 0.4,
  retainedAccessory: 0.1,
  ignitionRun: 0.6,
  ignitionRunCrank: 0.6,
  starter: 0.1,
  ground: 1.5,
  lamps: 0.1,
  spare: 1.5,
  none: 0.2,
};
const WIRE_BELIEF = beliefFrom(WIRE_WEIGHTS);
const POINT_BELIEF = beliefFrom(POINT_WEIGHTS);

/** What is believed of a source that no legend speaks for; undefined for a slot. */
function bareBelief({ kind, sought }: Pick<ProbeSource, 'kind' | 'sought'>): Belief | undefined {
  if (kind === 'wire') return sought === undefined ? WIRE_BELIEF : soughtBelief(sought);
  return kind === 'point' ? POINT_BELIEF : undefined;
}

/** What may lie among wires that a switch's signal is searched for in, beside what is searched for. */
const AMONG_SIGNALS: Partial<Record<CircuitFunction, number>> = {
  lampsNegative: 0.05,
  hoodSwitch: 0.05,
  horn: 0.15,
  wiper: 0.05,
  speedPulse: 0.1,
  tachPulse: 0.05,
  // Nobody looks for a switch in a bunch of speaker leads.
  speaker: 2,
  none: 0.12,
};

/**
 * Switches and pulses whose pull-up passes for a supply, and while the starter draws a tired battery down for what is live
 * then alone; whoever looks for neither meets them all the same.
 */
const AMONG_OTHERS: Partial<Record<CircuitFunction, number>> = {
  lampsNegative: 0.05,
  hoodSwitch: 0.05,
  horn: 0.15,
  speedPulse: 0.05,
  tachPulse: 0.03,
};

/** What else may lie there, by what is looked for. */
function amongThem(sought: readonly CircuitFunction[]): Partial<Record<CircuitFunction, number>> {
  return sought.some(isGivenBySwitch) ? AMONG_SIGNALS : AMONG_OTHERS;
}

/** Whoever looks for a signal in a bunch has reason to think that one wire or two of it carry it. Our own choice. */
const SOUGHT_WEIGHT = 1.5;
/** Speakers come in pairs, and mostly in fours. */
const SOUGHT_BY: Partial<Record<CircuitFunction, number>> = { speaker: WIRE_WEIGHTS.speaker ?? 0 };
const SOUGHT = new Map<string, Belief>();

/** A wire of a bunch in which some functions are looked for. */
function soughtBelief(sought: readonly CircuitFunction[]): Belief {
  const key = sought.join();
  const known = SOUGHT.get(key);
  if (known !== undefined) return known;
  const raised = {
    ...amongThem(sought),
    ...Object.fromEntries(sought.map((name) => [name, SOUGHT_BY[name] ?? SOUGHT_WEIGHT])),
  };
  const belief = beliefFrom({ ...WIRE_WEIGHTS, ...raised });
  SOUGHT.set(key, belief);
  return belief;
}

function beliefFrom(weights: Partial<Record<CircuitFunction, number>>): Belief {
  const total = Object.values(weights).reduce((sum, weight) => sum + weight, 0);
  return {
    functions: mapFunctions((name) => (weights[name] ?? 0) / total),
    critical: mapFunctions(() => 0),
  };
}
const CRITICAL_PRIOR = mapFunctions((name) => CRITICAL_FUNCTIONS[name] ?? 0);

function mapFunctions(of: (name: CircuitFunction) => number): FunctionPrior {
  const made: Partial<Record<CircuitFunction, number>> = {};
  for (const name of CIRCUIT_FUNCTIONS) made[name] = of(name);
  return made as FunctionPrior;
}
