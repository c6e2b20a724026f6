import { stateAt } from '../vehicle';
import type { StitchPlace } from '../vehicle';
import { advise } from './advise';
import type { Reading } from './reading/reading';
import type { ProbeSource } from './reading/source';
import { mayHaveMissed } from './belief/missedTouch';
import { fills } from './need/fills';
import { judgeSource as judge } from './judgeSource';

const SUPPLY = { id: 'supply', role: 'switched' } as const;

function slot(legend: string): ProbeSource {
  return { id: 'F1', name: 'F1', legend, fitted: true, tappable: true, logged: undefined };
}

function lamp(rows: readonly (readonly [StitchPlace, 'lit' | 'dark'])[]): Reading[] {
  return rows.map(([place, glow], index) => ({
    id: `r${index}`,
    sourceId: 'F1',
    contact: undefined,
    state: stateAt(place),
    value: { kind: 'glow', glow },
  }));
}

function next(legend: string, readings: readonly Reading[]) {
  const given = { sources: [slot(legend)], readings, state: stateAt('off'), needs: [SUPPLY] };
  return advise(given);
}

// A probe that misses the metal shows nothing, and nothing is what a switched feed shows with the key off: common practice
// is to touch again before a radio's fuse, which is a constant in every other car, is taken for a switched one.
describe('a dead touch that may have missed', () => {
  const once = lamp([
    ['run', 'lit'],
    ['off', 'dark'],
  ]);
  const twice = lamp([
    ['run', 'lit'],
    ['off', 'dark'],
    ['off', 'dark'],
  ]);

  it('is touched again before a circuit that is often a constant serves as switched', () => {
    expect(fills(SUPPLY, judge(slot('RADIO'), once))).toBe(false);
    const advice = next('RADIO', once).next;
    expect(advice).toMatchObject({ kind: 'visit', visit: { place: 'off', sourceIds: ['F1'] } });
    expect(fills(SUPPLY, judge(slot('RADIO'), twice))).toBe(true);
    expect(next('RADIO', twice).next.kind).toBe('filled');
  });

  // One car in eight has its lighter on the battery: with one touch in two hundred that misses, such a socket would be wrong and sure.
  it('is touched again where a lighter hangs on the accessory contact by all that was read', () => {
    const touched = (...off: readonly (readonly ['off', 'dark'])[]) =>
      fills({ ...SUPPLY, liveInAcc: true }, judge(slot('CIG LTR'), lamp([['acc', 'lit'], ...off])));
    expect(touched(['off', 'dark'])).toBe(false);
    expect(touched(['off', 'dark'], ['off', 'dark'])).toBe(true);
  });

  it('is enough where hardly any car has a constant', () => {
    expect(fills(SUPPLY, judge(slot('WIPER'), once))).toBe(true);
  });

  it('is worth another touch before the only slot that could serve is dropped', () => {
    const missed = lamp([['run', 'dark']]);
    expect(next('WIPER', missed).next).toMatchObject({ kind: 'visit', visit: { place: 'run' } });
  });

  it('is outvoted by two later touches with the same instrument', () => {
    const readings = lamp([
      ['run', 'dark'],
      ['run', 'lit'],
      ['run', 'lit'],
      ['off', 'dark'],
    ]);
    const verdict = judge(slot('WIPER'), readings);
    expect(verdict.contradictions).toEqual([]);
    expect(verdict.against).toEqual(['r0']);
    expect(fills(SUPPLY, verdict)).toBe(true);
  });

  it.each([
    ['the odd one is live, which no miss can show', ['dark', 'dark', 'lit']],
    ['nothing outvotes it yet', ['dark', 'lit']],
    ['it came twice', ['lit', 'dark', 'lit', 'dark']],
  ] as const)('stays in dispute when %s', (_, glows) => {
    const readings = lamp(glows.map((glow) => ['run', glow] as const));
    expect(judge(slot('WIPER'), readings).status).toBe('contradicted');
  });

  it('is not outvoted by another instrument: what a lamp does not light may be a ghost', () => {
    const [dark] = lamp([['run', 'dark']]);
    const volts = ['a', 'b'].map((id): Reading => ({
      id,
      sourceId: 'F1',
      contact: undefined,
      state: stateAt('run'),
      value: { kind: 'volts', volts: 12.2 },
    }));
    const verdict = judge(slot('WIPER'), [dark as Reading, ...volts]);
    expect(verdict.status).toBe('contradicted');
  });

  // With the key on a door tells no fuse apart: what was missed with it open is touched again with it shut.
  it('is touched again in the state the car is in by then, and no third time', () => {
    const crank = stateAt('crank');
    const [open, shut] = (['open', 'closed'] as const).map((driverDoor) => ({
      ...crank,
      driverDoor,
    }));
    const touches = (states: readonly (typeof crank | undefined)[]): Reading[] => [
      ...lamp([
        ['run', 'lit'],
        ['off', 'dark'],
        ['off', 'dark'],
      ]),
      ...states.map((state = crank, at): Reading => ({
        ...{ id: `crank ${at}`, sourceId: 'F1', contact: undefined, state },
        value: { kind: 'glow', glow: at === 0 ? 'dark' : 'lit' },
      })),
    ];
    const plan = (states: readonly (typeof crank | undefined)[]) =>
      advise({
        sources: [slot('METER')],
        readings: touches(states),
        state: stateAt('off'),
        needs: [{ ...SUPPLY, holdsCranking: true }],
      });
    expect(plan([open]).next).toMatchObject({ kind: 'visit', visit: { place: 'crank' } });
    expect(plan([open, shut]).next).toMatchObject({ kind: 'visit', visit: { place: 'crank' } });
    expect(plan([open, shut, shut])).toMatchObject({
      filled: { supply: 'F1' },
      next: { kind: 'filled' },
    });
  });

  // At a wire it does: a door switch may end there. What was read with it open and shut is not asked for a fourth time.
  it('is let be at a wire after three touches, however the door stood', () => {
    const run = stateAt('run');
    const wire: ProbeSource = { ...slot('RADIO'), kind: 'wire', legend: undefined };
    const touched = (['open', 'closed', 'closed'] as const).map((driverDoor, at): Reading => ({
      ...{ id: `run ${at}`, sourceId: 'F1', contact: undefined, state: { ...run, driverDoor } },
      value: { kind: 'glow', glow: at === 0 ? 'dark' : 'lit' },
    }));
    const missed = (count: number) =>
      mayHaveMissed('run', judge(wire, touched.slice(0, count)).posterior);
    expect([missed(1), missed(2), missed(3)]).toEqual([true, true, false]);
  });
});
