import { stateAt } from '../../vehicle';
import { advise, newAdviser } from '../advise';
import type { Belief } from '../belief/sourcePrior';
import type { Reading } from '../reading/reading';
import type { ProbeSource } from '../reading/source';
import type { Grounds } from './keptVerdicts';
import { keptVerdicts } from './keptVerdicts';
import type { Verdict } from './verdict';

const SOURCE: ProbeSource = {
  ...{ id: 'F1', name: 'F1', legend: 'CIG', fitted: true, tappable: true, logged: undefined },
};
const READING: Reading = {
  ...{ id: 'r1', sourceId: 'F1', contact: undefined, state: stateAt('off') },
  value: { kind: 'volts', volts: 12.4 },
};
const BELIEF = {} as unknown as Belief;
const GROUNDS: Grounds = { source: SOURCE, belief: BELIEF, own: [READING] };

/** Whether the verdict on some grounds is worked out again after that on `GROUNDS`. */
function isWorkedOut(now: Grounds): boolean {
  const keep = keptVerdicts();
  let count = 0;
  const workOut = (): Verdict => {
    count += 1;
    return { sourceId: `${count}` } as unknown as Verdict;
  };
  const first = keep(GROUNDS, workOut);
  const second = keep(now, workOut);
  expect(second === first).toBe(count === 1);
  // What was kept last counts from then on.
  expect(keep(now, workOut)).toBe(second);
  return count === 2;
}
const reading = (of: Partial<Reading>): Grounds => ({ ...GROUNDS, own: [{ ...READING, ...of }] });
const source = (of: Partial<ProbeSource>): Grounds => ({
  ...GROUNDS,
  source: { ...SOURCE, ...of } as ProbeSource,
});

describe('the verdict on a source', () => {
  it.each<[string, Grounds]>([
    ['the same grounds', GROUNDS],
    ['grounds that say the same in other objects', { ...reading({}), source: { ...SOURCE } }],
    [
      'a reading told over again',
      reading({ value: { kind: 'volts', volts: 12.4 }, state: { ...stateAt('off') } }),
    ],
    ['another name of it', source({ name: 'Fuse 1' })],
  ])('is kept for %s', (_what, now) => expect(isWorkedOut(now)).toBe(false));

  it.each<[string, Grounds]>([
    ['another belief', { ...GROUNDS, belief: { ...BELIEF } }],
    ['another legend', source({ legend: 'RADIO' })],
    ['no legend', source({ legend: undefined })],
    ['the handbook’s entry', source({ handbook: 'Lighter' })],
    ['a wire', source({ kind: 'wire' })],
    ['the log', source({ logged: { function: 'accessory', probability: 0.9 } as never })],
    ['a reading more', { ...GROUNDS, own: [READING, { ...READING, id: 'r2' }] }],
    ['a reading less', { ...GROUNDS, own: [] }],
    ['another reading', reading({ id: 'r2' })],
    ['the other contact', reading({ contact: 'a' })],
    ['another clip', reading({ clip: 'constant' })],
    ['a pair', reading({ otherId: 'F2' })],
    ['other volts', reading({ value: { kind: 'volts', volts: 12.3 } })],
    ['a lamp', reading({ value: { kind: 'glow', glow: 'lit' } })],
    ['another state', reading({ state: stateAt('acc') })],
    ['a switch that is worked', reading({ state: { ...stateAt('off'), brake: true } })],
    ['another source', source({ id: 'F2' })],
  ])('is worked out again after %s', (_what, now) => expect(isWorkedOut(now)).toBe(true));

  it('is the same as without keeping, whatever changes between two questions', () => {
    const adviser = newAdviser();
    for (const legend of ['CIG', 'A/BAG', undefined, 'IGN', 'CIG'])
      for (const volts of [12.4, 0.1]) {
        const session = {
          sources: [{ ...SOURCE, legend }],
          readings: [{ ...READING, value: { kind: 'volts' as const, volts } }],
          ...{ state: stateAt('off'), needs: [{ id: 'supply', role: 'switched' as const }] },
        };
        expect(adviser(session)).toEqual(advise(session));
      }
  });
});
