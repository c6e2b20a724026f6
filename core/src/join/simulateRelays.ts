import type { Element, SolvedNetwork } from '../bench';
import { CHASSIS, solveNetwork } from '../bench';
import type { RelayDemand, RelayInputs, RelayOutcome } from './relayDemand';
import { demanded, everyInput } from './relayDemand';
import type { RelayDesign } from './relayDesign';
import { OUTSIDE } from './relayDesign';

/** Coil of a common 12 V relay, Ω; it pulls in above 7 V. Common practice. */
const COIL_OHM = 85;
const PULL_IN_V = 7;
const CONTACT_OHM = 0.01;
const BATTERY = { volts: 12.6, ohm: 0.02 } as const;
/** A trigger that is on, a diode that conducts, insulation, a lock motor, the load on a line, Ω. */
const TRIGGER_OHM = 0.05;
const DIODE_OHM = 1;
const LEAK_OHM = 1e7;
const MOTOR_OHM = 2.5;
const LOAD_OHM = 50;
/** Contacts and diodes settle within a few rounds; more means that a relay chatters. */
const MOST_ROUNDS = 20;

/** How a design stands with its inputs held. */
export interface RelayState {
  /** Relays that have pulled in. */
  readonly pulledIn: readonly string[];
  /** A relay that pulls in and drops for ever. */
  readonly chatters: boolean;
  /** What every output gives. */
  readonly outcome: RelayOutcome;
  /** Current out of the battery, A. */
  readonly batteryA: number;
  /** Current that each trigger carries, A. */
  readonly triggerA: readonly number[];
}

/** Brings a design from what was pulled in before to where it settles, contact by contact, on a solved network. */
export function simulateRelays(
  demand: RelayDemand,
  design: RelayDesign,
  given: { readonly inputs: RelayInputs; readonly pulledIn?: readonly string[] },
): RelayState {
  let pulledIn = new Set(given.pulledIn ?? []);
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    // Diodes follow at once, contacts after them.
    const settled = withDiodes(demand, design, { inputs: given.inputs, pulledIn });
    const nextIn = new Set(
      design.relays.filter(
        (relay) =>
          Math.abs(settled.volts(`${relay}.86`) - settled.volts(`${relay}.85`)) > PULL_IN_V,
      ),
    );
    if (sameSet(nextIn, pulledIn))
      return settledState(demand, given.inputs, { pulledIn, ...settled });
    pulledIn = nextIn;
  }
  return {
    pulledIn: [...pulledIn],
    chatters: true,
    outcome: 'in between',
    batteryA: 0,
    triggerA: [],
  };
}

/** A solved network with its nodes by name. */
interface Settled {
  readonly network: SolvedNetwork;
  readonly nodeOf: (name: string) => string;
  readonly volts: (name: string) => number;
}

function settledState(
  demand: RelayDemand,
  { on }: RelayInputs,
  { pulledIn, network, nodeOf, volts }: Settled & { readonly pulledIn: ReadonlySet<string> },
): RelayState {
  return {
    pulledIn: [...pulledIn],
    chatters: false,
    outcome: outcomeOf(demand, network, nodeOf),
    batteryA: (BATTERY.volts - volts(OUTSIDE.plus)) / BATTERY.ohm,
    triggerA: demand.triggers.map((trigger, index) => {
      if (on[index] !== true) return 0;
      const feed = trigger.gives === 'plus' ? volts(OUTSIDE.plus) : 0;
      return Math.abs(feed - volts(OUTSIDE.triggers[index] ?? '')) / TRIGGER_OHM;
    }),
  };
}

/** The network with its diodes settled, contacts held where they are. */
function withDiodes(
  demand: RelayDemand,
  design: RelayDesign,
  at: { readonly inputs: RelayInputs; readonly pulledIn: ReadonlySet<string> },
): Settled {
  let conducting: ReadonlySet<number> = new Set();
  for (;;) {
    const { network, nodeOf } = solved(demand, design, { ...at, conducting });
    const volts = (name: string): number => network.voltage(nodeOf(name));
    const open = design.diodes.flatMap(([anode, cathode], index) =>
      conducting.has(index) || volts(anode) - volts(cathode) <= 0 ? [] : [index],
    );
    if (open.length === 0) return { network, nodeOf, volts };
    conducting = new Set([...conducting, ...open]);
  }
}

function sameSet<T>(left: ReadonlySet<T>, right: ReadonlySet<T>): boolean {
  return left.size === right.size && [...left].every((one) => right.has(one));
}

function solved(
  demand: RelayDemand,
  design: RelayDesign,
  at: {
    readonly inputs: RelayInputs;
    readonly pulledIn: ReadonlySet<string>;
    readonly conducting: ReadonlySet<number>;
  },
): { readonly network: SolvedNetwork; readonly nodeOf: (name: string) => string } {
  const nodeOf = joinedNodes(design);
  const elements: Element[] = [
    { kind: 'voltage', plus: 'cells', minus: CHASSIS, volts: BATTERY.volts },
    resistor('cells', nodeOf(OUTSIDE.plus), BATTERY.ohm),
  ];
  const add = (a: string, b: string, ohm: number): void => {
    if (nodeOf(a) !== nodeOf(b)) elements.push(resistor(nodeOf(a), nodeOf(b), ohm));
  };
  for (const relay of design.relays) {
    add(`${relay}.86`, `${relay}.85`, COIL_OHM);
    add(`${relay}.30`, `${relay}.${at.pulledIn.has(relay) ? '87' : '87a'}`, CONTACT_OHM);
    for (const terminal of ['85', '86', '30', '87', '87a'])
      add(`${relay}.${terminal}`, OUTSIDE.ground, LEAK_OHM);
  }
  design.diodes.forEach(([anode, cathode], index) =>
    add(anode, cathode, at.conducting.has(index) ? DIODE_OHM : LEAK_OHM),
  );
  demand.triggers.forEach(({ gives }, index) => {
    const node = OUTSIDE.triggers[index] ?? '';
    add(node, OUTSIDE.ground, LEAK_OHM);
    if (at.inputs.on[index] === true) add(node, OUTSIDE[gives], TRIGGER_OHM);
  });
  outsideOf(demand, at.inputs, add);
  return { network: solveNetwork(elements), nodeOf };
}

/** The car around the relays: a fed line with its load, or a motor with its own switch. */
function outsideOf(
  demand: RelayDemand,
  { switchHeld }: RelayInputs,
  add: (a: string, b: string, ohm: number) => void,
): void {
  if (demand.kind === 'interrupt') {
    add(OUTSIDE.lineIn, OUTSIDE.plus, TRIGGER_OHM);
    add(OUTSIDE.lineOut, OUTSIDE.ground, LOAD_OHM);
  }
  if (demand.kind !== 'reversing') return;
  add(OUTSIDE.motor[0], OUTSIDE.motor[1], MOTOR_OHM);
  if (demand.ownSwitch)
    for (const lead of [0, 1] as const)
      add(
        OUTSIDE.carSwitch[lead],
        switchHeld === lead ? OUTSIDE.plus : OUTSIDE.ground,
        TRIGGER_OHM,
      );
}

function outcomeOf(
  demand: RelayDemand,
  network: SolvedNetwork,
  nodeOf: (name: string) => string,
): RelayOutcome {
  const volts = (name: string): number => network.voltage(nodeOf(name));
  if (demand.kind === 'interrupt') return volts(OUTSIDE.lineOut) > LIVE_V ? 'through' : 'cut';
  if (demand.kind === 'reversing') {
    const across = volts(OUTSIDE.motor[0]) - volts(OUTSIDE.motor[1]);
    if (Math.abs(across) < 1) return 'still';
    return across > 0 ? 'forward' : 'backward';
  }
  const port = network.port(nodeOf(OUTSIDE.output));
  if (port.ohm > OPEN_OHM) return 'open';
  if (port.volts > LIVE_V) return 'plus';
  return Math.abs(port.volts) < 1 ? 'ground' : 'in between';
}

const LIVE_V = 9;
const OPEN_OHM = 1e4;

/** Names of nodes that are one because they are joined. */
function joinedNodes(design: RelayDesign): (name: string) => string {
  const parents = new Map<string, string>();
  const rootOf = (name: string): string => {
    const parent = parents.get(name);
    return parent === undefined ? name : rootOf(parent);
  };
  for (const [one, other] of design.joined) {
    const [a, b] = [rootOf(one), rootOf(other)];
    if (a !== b) parents.set(a, b);
  }
  const ground = rootOf(OUTSIDE.ground);
  return (name) => {
    const root = rootOf(name);
    return root === ground ? CHASSIS : root;
  };
}

function resistor(a: string, b: string, ohm: number): Element {
  return { kind: 'resistor', a, b, ohm };
}

/** One line of a truth table. */
export interface RelayRow {
  /** Which triggers are held. */
  readonly inputs: RelayInputs;
  /** Whether a latch was on before; false for all others. */
  readonly wasOn: boolean;
  /** What is wanted then. */
  readonly demanded: RelayOutcome;
  /** What the network came to. */
  readonly state: RelayState;
  /** It does what was wanted, without chattering, and no current flows from plus to ground past a load. */
  readonly right: boolean;
}

/** More than coils and motors draw, A: a short. */
const SHORT_A = 12;

/** The whole truth table of a design: every input, and for a latch from either state before. */
export function checkDesign(demand: RelayDemand, design: RelayDesign): RelayRow[] {
  const atRest = simulateRelays(demand, design, {
    inputs: { on: demand.triggers.map(() => false) },
  });
  const latched =
    demand.kind === 'latch'
      ? simulateRelays(demand, design, {
          inputs: { on: demand.triggers.map(() => false) },
          pulledIn: simulateRelays(demand, design, { inputs: { on: [true, false] } }).pulledIn,
        })
      : undefined;
  return [atRest, ...(latched === undefined ? [] : [latched])].flatMap((before) =>
    everyInput(demand).map((inputs) => {
      const wasOn = before === latched;
      const state = simulateRelays(demand, design, { inputs, pulledIn: before.pulledIn });
      const wanted = demanded(demand, inputs, wasOn);
      const right = state.outcome === wanted && !state.chatters && state.batteryA < SHORT_A;
      return { inputs, wasOn, demanded: wanted, state, right };
    }),
  );
}
