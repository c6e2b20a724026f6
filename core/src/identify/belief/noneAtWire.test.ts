import { nextState, stateAt } from '../../vehicle';
import type { StitchPlace } from '../../vehicle';
import fc from 'fast-check';
import type { VehicleState } from '../../vehicle';
import { UNKNOWN_LEVELS } from '../circuit/hypotheses';
import { LEVELS } from '../circuit/levels';
import type { StateEvidence } from './stateEvidence';
import { gatherEvidence } from './stateEvidence';
import { LEAVES, noneAsWanted, noneAtWire } from './noneAtWire';

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

describe('what nobody knows, where a need wants it live or dead', () => {
  const CHANCES = fc.array(fc.double({ min: 0.001, max: 1, noNaN: true }), {
    ...{ minLength: LEVELS.length, maxLength: LEVELS.length },
  });
  const [REVERSE, RUN, OFF] = [stateAt('reverse'), stateAt('run'), stateAt('off')];
  const evidenceAt = (state: VehicleState, levels: readonly number[]): StateEvidence => ({
    ...(gatherEvidence([
      {
        ...{ id: 'r', sourceId: 'W', contact: undefined, state },
        value: { kind: 'volts', volts: 12 },
      },
    ])[0] as StateEvidence),
    levels,
  });
  const isAsWanted = (level: number, want: 'live' | 'dead'): boolean =>
    (LEVELS[level] === 'battery') === (want === 'live');

  /** Every level at rest and in both states with the key on, one after the other; the key off is on its own. */
  function plainChance(reverse: readonly number[], run: readonly number[]): number {
    let [whole, wanted] = [0, 0];
    const indices = LEVELS.map((_, index) => index);
    const draw = (level: number, rest: number): number =>
      (level === rest ? 1 - LEAVES : 0) + LEAVES * (UNKNOWN_LEVELS[level] ?? 0);
    for (const rest of indices)
      for (const atReverse of indices)
        for (const atRun of indices) {
          const chance =
            (UNKNOWN_LEVELS[rest] ?? 0) *
            draw(atReverse, rest) *
            draw(atRun, rest) *
            (reverse[atReverse] ?? 0) *
            (run[atRun] ?? 0);
          whole += chance;
          if (isAsWanted(atReverse, 'live') && isAsWanted(atRun, 'dead')) wanted += chance;
        }
    return wanted / whole;
  }

  it('is reckoned as every level written out in turn', () => {
    fc.assert(
      fc.property(CHANCES, CHANCES, (reverse, run) => {
        const [live, dead] = [evidenceAt(REVERSE, reverse), evidenceAt(RUN, run)];
        const chance = noneAsWanted(
          [live, dead],
          [
            { state: REVERSE, want: 'live', seen: live },
            { state: RUN, want: 'dead', seen: dead },
          ],
        );
        expect(chance).toBeCloseTo(plainChance(reverse, run), 10);
        const unread = noneAsWanted(
          [live],
          [
            { state: REVERSE, want: 'live', seen: live },
            { state: RUN, want: 'dead', seen: undefined },
          ],
        );
        expect(unread).toBeCloseTo(
          plainChance(
            reverse,
            LEVELS.map(() => 1),
          ),
          10,
        );
      }),
    );
  });

  it('goes by its rest with the key where it is, and not by that of the other', () => {
    const read = (place: StitchPlace, volts: number): StateEvidence =>
      gatherEvidence([
        {
          ...{ id: place, sourceId: 'W', contact: undefined, state: stateAt(place) },
          value: { kind: 'volts', volts },
        },
      ])[0] as StateEvidence;
    const live = read('reverse', 12.3);
    const dead = (state: VehicleState) =>
      noneAsWanted([live], [{ state, want: 'dead', seen: undefined }]);
    expect(dead(RUN)).toBeLessThan(0.2);
    expect(dead(OFF)).toBeGreaterThan(0.5);
  });

  it('goes by the key as it was when it was read, whatever state the need names', () => {
    const live = gatherEvidence([
      {
        ...{ id: 'r', sourceId: 'W', contact: undefined, state: { ...RUN, brake: true } },
        value: { kind: 'volts', volts: 12.3 },
      },
    ])[0] as StateEvidence;
    const dead = { state: RUN, want: 'dead', seen: undefined } as const;
    const chance = noneAsWanted(
      [live],
      [{ state: stateAt('brake'), want: 'live', seen: live }, dead],
    );
    expect(chance).toBeLessThan(0.2);
  });
});
