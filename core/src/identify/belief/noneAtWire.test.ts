import { nextState, stateAt } from '../../vehicle';
import type { StitchPlace } from '../../vehicle';
import { gatherEvidence } from './stateEvidence';
import { noneAtWire } from './noneAtWire';

const KEY_ON: readonly StitchPlace[] = ['run', 'acc', 'reverse', 'wiper', 'turnLeft', 'turnRight'];

function fitOf(shown: readonly (readonly [place: StitchPlace, volts: number])[]): number {
  return noneAtWire(
    gatherEvidence(
      shown.map(([place, volts], index) => ({
        ...{ id: `r${index}`, sourceId: 'W', contact: undefined },
        state: nextState(stateAt(place), { kind: 'door', to: 'open' }),
        value: { kind: 'volts', volts },
      })),
    ),
  );
}

it('holds like readings for one and the same rest, however many there are', () => {
  const once = fitOf([['run', 8]]);
  const often = fitOf(KEY_ON.map((place) => [place, 8]));
  expect(often).toBeGreaterThan(0.3 * once);
});

it('holds a level of its own with the key off for no contradiction', () => {
  const on = fitOf([
    ['run', 8],
    ['acc', 8],
  ]);
  const both = fitOf([
    ['run', 8],
    ['acc', 8],
    ['off', 0],
  ]);
  expect(both).toBeGreaterThan(0.1 * on);
});

it('is worse where the level changes from one state to the next', () => {
  const steady = fitOf(KEY_ON.map((place) => [place, 12.3]));
  const wild = fitOf(KEY_ON.map((place, index) => [place, index % 2 === 0 ? 12.3 : 0]));
  expect(wild).toBeLessThan(0.05 * steady);
});
