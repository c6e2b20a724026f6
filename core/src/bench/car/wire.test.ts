import { nextState, stateAt } from '../../vehicle';
import { switchClosed } from './wire';

const KEY_OFF = { kind: 'key', to: 'off' } as const;

it('lights the main beam by its lever, and only with the key on', () => {
  expect(switchClosed('highBeam', stateAt('highBeam'))).toBe(true);
  expect(switchClosed('highBeam', { ...stateAt('highBeam'), highBeam: false })).toBe(false);
  expect(switchClosed('highBeam', nextState(stateAt('highBeam'), KEY_OFF))).toBe(false);
});

// Common practice: an antenna is fed with the tuner, an amplifier woken by whatever plays.
it.each([
  ['tuner', true, true],
  ['otherSource', false, true],
  ['run', false, false],
] as const)('has the radio at %s feed an antenna: %s, and wake an amplifier: %s', (...of) => {
  const [place, antenna, amplifier] = of;
  expect(switchClosed('tuner', stateAt(place))).toBe(antenna);
  expect(switchClosed('radio', stateAt(place))).toBe(amplifier);
});
