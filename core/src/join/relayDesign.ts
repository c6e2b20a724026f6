import type { RelayDemand, Trigger } from './relayDemand';

/** Five-wire relays and what is joined to what. Nodes are terminals such as `K1.87a`, or what lies outside. */
export interface RelayDesign {
  /** Names of the relays: coil 85 and 86, common 30, 87 closed when it pulls in, 87a closed at rest (DIN 72552, ISO 7588). */
  readonly relays: readonly string[];
  /** Two nodes each. */
  readonly joined: readonly (readonly [string, string])[];
  /** Current passes from the first node to the second only. */
  readonly diodes: readonly (readonly [anode: string, cathode: string])[];
}

/** What lies outside the relays. */
export const OUTSIDE = {
  /** Fused at the battery. */
  plus: 'plus',
  ground: 'ground',
  triggers: ['trigger 1', 'trigger 2'],
  output: 'output',
  lineIn: 'line, supply side',
  lineOut: 'line, load side',
  motor: ['motor 1', 'motor 2'],
  carSwitch: ['switch 1', 'switch 2'],
} as const;

/** A design that does what is wanted; `checkDesign` shows that it does. */
export function designRelays(demand: RelayDemand): RelayDesign {
  switch (demand.kind) {
    case 'output':
      return changeover(demand, {
        common: OUTSIDE.output,
        worked: OUTSIDE[demand.worked],
        rest: demand.rest === 'open' ? undefined : OUTSIDE[demand.rest],
      });
    case 'interrupt': {
      const whileOn = demand.cut === 'while triggered';
      return changeover(demand, {
        common: OUTSIDE.lineIn,
        worked: whileOn ? undefined : OUTSIDE.lineOut,
        rest: whileOn ? OUTSIDE.lineOut : undefined,
      });
    }
    case 'latch':
      return latch(demand);
    case 'reversing':
      return reversing(demand);
  }
}

type Joined = (readonly [string, string])[];

/** A coil that a trigger pulls in: it gives one end, the other stands at the opposite. */
function coil(relay: string, trigger: Trigger, node: string): Joined {
  return trigger.gives === 'plus'
    ? [
        [`${relay}.86`, node],
        [`${relay}.85`, OUTSIDE.ground],
      ]
    : [
        [`${relay}.86`, OUTSIDE.plus],
        [`${relay}.85`, node],
      ];
}

/** One relay, or two one behind the other, that put a common node at one of two others. */
function changeover(
  { triggers, when }: Extract<RelayDemand, { when: unknown }>,
  to: {
    readonly common: string;
    readonly worked: string | undefined;
    readonly rest: string | undefined;
  },
): RelayDesign {
  const joined: Joined = triggers.flatMap((trigger, index) =>
    coil(`K${index + 1}`, trigger, OUTSIDE.triggers[index] ?? ''),
  );
  const throws = (relay: string, contact: '87' | '87a', node: string | undefined): void => {
    if (node !== undefined) joined.push([`${relay}.${contact}`, node]);
  };
  joined.push(['K1.30', to.common]);
  if (triggers.length === 1) {
    throws('K1', '87', to.worked);
    throws('K1', '87a', to.rest);
  } else {
    // Where either will do, the second relay decides at the first one's rest; where both must, behind its working contact.
    const [decided, onward] = when === 'any' ? (['87', '87a'] as const) : (['87a', '87'] as const);
    throws('K1', decided, when === 'any' ? to.worked : to.rest);
    joined.push([`K1.${onward}`, 'K2.30']);
    throws('K2', '87', to.worked);
    throws('K2', '87a', to.rest);
  }
  return { relays: triggers.map((_, index) => `K${index + 1}`), joined, diodes: [] };
}

/** K1 holds itself through its own contact; K2 opens the end of its coil. */
function latch({
  triggers: [set, reset],
  worked,
}: Extract<RelayDemand, { kind: 'latch' }>): RelayDesign {
  const [setNode, resetNode] = OUTSIDE.triggers;
  const joined: Joined = [
    ...coil('K2', reset, resetNode),
    ['K1.85', 'K2.30'],
    ['K2.87a', OUTSIDE.ground],
    ['K1.30', OUTSIDE.plus],
  ];
  // The diode keeps the hold from feeding back into the trigger.
  const diodes: Joined = [['K1.87', 'K1.86']];
  const relays = ['K1', 'K2'];
  if (set.gives === 'plus') diodes.push([setNode, 'K1.86']);
  else {
    relays.push('K3');
    joined.push(...coil('K3', set, setNode), ['K3.30', OUTSIDE.plus]);
    diodes.push(['K3.87', 'K1.86']);
  }
  if (worked === 'plus') joined.push(['K1.87', OUTSIDE.output]);
  else {
    relays.push('K4');
    joined.push(
      ...coil('K4', { gives: 'plus' }, 'K1.87'),
      ['K4.30', OUTSIDE.output],
      ['K4.87', OUTSIDE.ground],
    );
  }
  return { relays, joined, diodes };
}

/** Each motor lead rests where it rested before, on the car's switch or on ground, and is lifted to plus by its relay. */
function reversing({
  triggers,
  ownSwitch,
}: Extract<RelayDemand, { kind: 'reversing' }>): RelayDesign {
  const joined: Joined = ([0, 1] as const).flatMap((lead): Joined => {
    const relay = `K${lead + 1}`;
    return [
      ...coil(relay, triggers[lead], OUTSIDE.triggers[lead]),
      [`${relay}.30`, OUTSIDE.motor[lead]],
      [`${relay}.87`, OUTSIDE.plus],
      [`${relay}.87a`, ownSwitch ? OUTSIDE.carSwitch[lead] : OUTSIDE.ground],
    ];
  });
  return { relays: ['K1', 'K2'], joined, diodes: [] };
}
