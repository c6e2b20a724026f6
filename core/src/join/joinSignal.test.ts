import { checkDesign, designRelays, joinSignal } from './index';
import type { SignalLead } from './index';

const GIVES_GROUND: SignalLead = { direction: 'out', polarity: 'ground' };
const TAKES_GROUND: SignalLead = { direction: 'in', polarity: 'ground' };

// Lock kinds and what each wants of a trigger: common practice.
it.each([
  ['lockNegative', GIVES_GROUND, 'itself'],
  ['lockPositive', GIVES_GROUND, 'relays'],
  ['lockReversing', GIVES_GROUND, 'relays'],
  ['lockMultiplex', GIVES_GROUND, 'resistor'],
  ['dataBus', GIVES_GROUND, 'module'],
  ['parkingBrakeSwitch', TAKES_GROUND, 'itself'],
  ['stopLamp', TAKES_GROUND, 'relays'],
  ['lamps', { direction: 'out', polarity: 'set' }, 'setting'],
  ['amplifierTurnOn', { direction: 'out', polarity: 'plus' }, 'itself'],
  ['antennaTurnOn', { direction: 'out', polarity: 'plus' }, 'itself'],
  ['highBeam', { direction: 'in', polarity: 'plus' }, 'itself'],
  ['highBeam', TAKES_GROUND, 'relays'],
  ['dimmedIllumination', { direction: 'in', polarity: 'plus' }, 'itself'],
  ['tachPulse', { direction: 'in', polarity: 'plus' }, 'itself'],
] as const)('%s is joined by %o', (name, lead, by) => {
  expect(joinSignal(lead, { function: name })?.by).toBe(by);
});

it('says of dimmed illumination what may hang on it', () => {
  const joint = joinSignal(
    { direction: 'in', polarity: 'plus' },
    { function: 'dimmedIllumination' },
  );
  expect(joint?.because).toMatch(/pulses.*nothing that draws current/);
});

it('cuts the leads of a lock motor, and what it draws then works', () => {
  const joint = joinSignal(GIVES_GROUND, { function: 'lockReversing' });
  expect(joint?.because).toMatch(/cut each/);
  if (joint?.by !== 'relays') throw new Error('a lock motor wants relays');
  expect(checkDesign(joint.demand, designRelays(joint.demand)).every(({ right }) => right)).toBe(
    true,
  );
});

it('goes by the readings where the function leaves it open', () => {
  const door = { function: 'doorSwitch' } as const;
  expect(joinSignal(TAKES_GROUND, door)).toBeUndefined();
  expect(joinSignal(TAKES_GROUND, { ...door, worked: 'ground' })?.by).toBe('itself');
  expect(joinSignal(TAKES_GROUND, { ...door, worked: 'plus' })?.by).toBe('relays');
  const set = joinSignal({ direction: 'in', polarity: 'set' }, { ...door, worked: 'plus' });
  expect(set).toMatchObject({ by: 'setting', set: 'plus' });
});

it('says where a lead is set, and who knows it where the kit’s entry does not', () => {
  const wire = { function: 'doorSwitch', worked: 'ground' } as const;
  const lead = { direction: 'in', polarity: 'set' } as const;
  expect(joinSignal({ ...lead, setAt: 'jumper J2' }, wire)?.because).toBe(
    'Set the lead to ground: jumper J2.',
  );
  expect(joinSignal(lead, wire)?.because).toMatch(/ground: where, says the guide in the box/);
});
