import { checkDesign, designRelays, simulateRelays } from './index';
import type { RelayDemand, RelayDesign, Trigger } from './index';

const PLUS: Trigger = { gives: 'plus' };
const GROUND: Trigger = { gives: 'ground' };
const BOTH = [PLUS, GROUND];
const PAIRS = BOTH.flatMap((one) => BOTH.map((other) => [one, other] as const));

/** One trigger, either of two, both of two. */
const TRIGGERED = [
  ...BOTH.map((one) => ({ triggers: [one], when: 'any' as const })),
  ...PAIRS.map((triggers) => ({ triggers, when: 'any' as const })),
  ...PAIRS.map((triggers) => ({ triggers, when: 'all' as const })),
];

/** Every demand there is, the starter kill and the lock motors among them. */
const DEMANDS: readonly RelayDemand[] = [
  ...TRIGGERED.flatMap((triggered) =>
    (['plus', 'ground'] as const).flatMap((worked) =>
      (['open', worked === 'plus' ? 'ground' : 'plus'] as const).map((rest): RelayDemand => ({
        kind: 'output',
        ...triggered,
        worked,
        rest,
      })),
    ),
  ),
  ...TRIGGERED.flatMap((triggered) =>
    (['while triggered', 'unless triggered'] as const).map((cut): RelayDemand => ({
      kind: 'interrupt',
      ...triggered,
      cut,
    })),
  ),
  ...PAIRS.flatMap((triggers) =>
    (['plus', 'ground'] as const).map((worked): RelayDemand => ({
      kind: 'latch',
      triggers,
      worked,
    })),
  ),
  ...PAIRS.flatMap((triggers) =>
    [true, false].map((ownSwitch): RelayDemand => ({ kind: 'reversing', triggers, ownSwitch })),
  ),
];

it('makes at least sixty designs', () => {
  expect(DEMANDS.length).toBeGreaterThanOrEqual(60);
});

it.each(DEMANDS.map((demand) => [JSON.stringify(demand), demand] as const))(
  'does what is wanted with every input: %s',
  (_, demand) => {
    const rows = checkDesign(demand, designRelays(demand));
    expect(rows.length).toBeGreaterThanOrEqual(2);
    expect(rows.filter(({ right }) => !right)).toEqual([]);
  },
);

// 12.6 V over a coil of 85 Ω: 0.148 A; on the road at 14.4 V 0.169 A (computed). A trigger of 0.25 A carries one coil.
it('loads each trigger with one coil', () => {
  for (const demand of DEMANDS)
    for (const { state } of checkDesign(demand, designRelays(demand)))
      for (const amps of state.triggerA) expect(amps).toBeLessThan(0.17);
});

it('keeps a motor still when both triggers come at once', () => {
  const demand: RelayDemand = { kind: 'reversing', triggers: [GROUND, GROUND], ownSwitch: true };
  const { outcome, batteryA } = simulateRelays(demand, designRelays(demand), {
    inputs: { on: [true, true] },
  });
  expect(outcome).toBe('still');
  // Two coils and no motor.
  expect(batteryA).toBeLessThan(0.4);
});

it('sees a short where plus is put onto a motor’s lead that was not cut', () => {
  const demand: RelayDemand = { kind: 'reversing', triggers: [GROUND, GROUND], ownSwitch: true };
  const design = designRelays(demand);
  const uncut: RelayDesign = { ...design, joined: [...design.joined, ['K1.30', 'K1.87a']] };
  const rows = checkDesign(demand, uncut);
  expect(rows.some(({ state }) => state.batteryA > 100)).toBe(true);
  expect(rows.every(({ right }) => right)).toBe(false);
});

it.each([
  ['contacts are swapped', (design: RelayDesign) => swap(design, '.87', '.87a')],
  ['the coil’s ground is missing', (design: RelayDesign) => without(design, 'K1.85')],
  ['a supply is missing', (design: RelayDesign) => without(design, 'plus')],
])('does not pass a design whose %s', (_, broken) => {
  for (const demand of DEMANDS.filter((one) => one.kind === 'output' && one.worked === 'plus'))
    expect(checkDesign(demand, broken(designRelays(demand))).every(({ right }) => right)).toBe(
      false,
    );
});

it('sees a relay that chatters', () => {
  // A coil fed through its own resting contact: a buzzer.
  const demand: RelayDemand = {
    ...{ kind: 'output', triggers: [PLUS], when: 'any', worked: 'plus', rest: 'open' },
  };
  const buzzer: RelayDesign = {
    relays: ['K1'],
    joined: [
      ['K1.30', 'trigger 1'],
      ['K1.87a', 'K1.86'],
      ['K1.85', 'ground'],
    ],
    diodes: [],
  };
  expect(simulateRelays(demand, buzzer, { inputs: { on: [true] } }).chatters).toBe(true);
});

function swap(design: RelayDesign, one: string, other: string): RelayDesign {
  const turned = (node: string): string => {
    if (node.endsWith(other)) return node.slice(0, -other.length) + one;
    return node.endsWith(one) ? node.slice(0, -one.length) + other : node;
  };
  return { ...design, joined: design.joined.map(([a, b]) => [turned(a), turned(b)]) };
}

function without(design: RelayDesign, node: string): RelayDesign {
  return { ...design, joined: design.joined.filter((pair) => !pair.includes(node)) };
}
