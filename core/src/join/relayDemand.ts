/** What a trigger gives while it is on; otherwise it is open. */
export interface Trigger {
  readonly gives: 'plus' | 'ground';
}

/** What is wanted of relays. One trigger or two; which of two must be on, is said by `when`. */
export type RelayDemand =
  /** An output that is at `worked` while triggered, and at `rest` otherwise. */
  | {
      readonly kind: 'output';
      readonly triggers: readonly Trigger[];
      readonly when: 'any' | 'all';
      readonly worked: 'plus' | 'ground';
      readonly rest: 'open' | 'plus' | 'ground';
    }
  /** An output that a pulse of the first trigger switches on and one of the second switches off, which wins over it. */
  | {
      readonly kind: 'latch';
      readonly triggers: readonly [set: Trigger, reset: Trigger];
      readonly worked: 'plus' | 'ground';
    }
  /** A line of the car that is cut while triggered, or unless it is. */
  | {
      readonly kind: 'interrupt';
      readonly triggers: readonly Trigger[];
      readonly when: 'any' | 'all';
      readonly cut: 'while triggered' | 'unless triggered';
    }
  /** A motor whose two leads rest on ground: each trigger lifts one to plus. The car's own switch goes on working. */
  | {
      readonly kind: 'reversing';
      readonly triggers: readonly [first: Trigger, second: Trigger];
      readonly ownSwitch: boolean;
    };

/** What stands at the inputs of a design. */
export interface RelayInputs {
  /** Which triggers are on, in their order. */
  readonly on: readonly boolean[];
  /** Which way the car's own switch of a motor is held: the lead that it lifts to plus. */
  readonly switchHeld?: 0 | 1;
}

/** What comes of it: where an output stands, whether a line is whole, which way a motor turns. */
export type RelayOutcome =
  | 'plus'
  | 'ground'
  | 'open'
  | 'through'
  | 'cut'
  | 'forward'
  | 'backward'
  | 'still'
  | 'in between';

/** Whether the triggers that must be on are on. */
function isTriggered(
  demand: Extract<RelayDemand, { when: unknown }>,
  { on }: RelayInputs,
): boolean {
  return demand.when === 'all' ? on.every(Boolean) : on.some(Boolean);
}

/**
 * What a demand asks for.
 *
 * @param wasOn whether a latch was on before
 */
export function demanded(demand: RelayDemand, inputs: RelayInputs, wasOn: boolean): RelayOutcome {
  switch (demand.kind) {
    case 'output':
      return isTriggered(demand, inputs) ? demand.worked : demand.rest;
    case 'latch': {
      const [set, reset] = inputs.on;
      return reset !== true && (set === true || wasOn) ? demand.worked : 'open';
    }
    case 'interrupt':
      return isTriggered(demand, inputs) === (demand.cut === 'while triggered') ? 'cut' : 'through';
    case 'reversing': {
      const lifted = ([0, 1] as const).map(
        (lead) => inputs.on[lead] === true || inputs.switchHeld === lead,
      );
      if (lifted[0] === lifted[1]) return 'still';
      return lifted[0] === true ? 'forward' : 'backward';
    }
  }
}

/** Every combination of inputs that a demand can meet. */
export function everyInput(demand: RelayDemand): RelayInputs[] {
  const count = demand.triggers.length;
  const all = Array.from({ length: 2 ** count }, (_, bits) => ({
    on: Array.from({ length: count }, (__, index) => (bits >> index) % 2 === 1),
  }));
  if (demand.kind !== 'reversing' || !demand.ownSwitch) return all;
  return all.flatMap((one) => [
    one,
    { ...one, switchHeld: 0 as const },
    { ...one, switchHeld: 1 as const },
  ]);
}
