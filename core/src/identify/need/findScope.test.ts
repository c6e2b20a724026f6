import type { ProbeSource } from '../reading/source';
import type { Verdict } from '../verdict/verdict';
import { candidatesFor, findScopeOf, isCandidate } from './findScope';
import { preparedNeedOf } from './needs';

const SLOT: ProbeSource = {
  ...{ id: 'slot', name: 'F1', legend: 'CIG', fitted: true, tappable: true, logged: undefined },
};
const WIRE: ProbeSource = { ...SLOT, kind: 'wire', id: 'wire', legend: undefined };
const SOURCES: readonly ProbeSource[] = [
  SLOT,
  { ...SLOT, id: 'empty', fitted: false },
  { ...SLOT, id: 'tight', tappable: false },
  { ...SLOT, id: 'airbag', legend: 'A/BAG' },
  { ...SLOT, id: 'unread', legend: undefined },
  WIRE,
  { ...WIRE, id: 'taped', tappable: false },
  { ...WIRE, id: 'cold', fitted: false },
  { ...WIRE, id: 'cold and taped', fitted: false, tappable: false },
  { ...SLOT, kind: 'point', id: 'stud', legend: undefined },
];
const VERDICTS = SOURCES.map(({ id }) => ({ sourceId: id }) as unknown as Verdict);
const scope = (more: { readonly handbook?: boolean } = {}) =>
  findScopeOf(SOURCES, VERDICTS, {
    needs: [{ id: 'a', role: 'switched' }],
    until: 'role',
    ...more,
  });
const ids = (verdicts: readonly Verdict[]): string[] => verdicts.map(({ sourceId }) => sourceId);

describe('what may serve a need', () => {
  it('is fitted, takes a tap, and its legend is not blocked', () => {
    expect(ids(scope().candidates)).toEqual(['slot', 'unread', 'wire', 'stud']);
    expect(SOURCES.filter(isCandidate).map(({ id }) => id)).toEqual([
      'slot',
      'unread',
      'wire',
      'stud',
    ]);
  });

  it('is a wire of a pair as well where an amplifier is looked for, and for nothing else', () => {
    expect(ids(scope().taped)).toEqual(['taped']);
    const need = (role: 'amplified' | 'switched') =>
      ids(candidatesFor(preparedNeedOf({ id: 'a', role }), scope()));
    expect(need('amplified')).toEqual(['slot', 'unread', 'wire', 'stud', 'taped']);
    expect(need('switched')).toEqual(['slot', 'unread', 'wire', 'stud']);
  });

  it('is looked through with what every legend is, and with the handbook where there is one', () => {
    const { classes, verdicts, sources, needs, handbook } = scope();
    expect([classes.get('slot'), classes.get('airbag'), classes.get('unread')]).toEqual([
      'free',
      'block',
      'unknown',
    ]);
    expect([verdicts.size, sources.size, needs.length, handbook]).toEqual([10, 10, 1, false]);
    expect(scope({ handbook: true }).handbook).toBe(true);
    // A source that nobody judged is no candidate.
    const none = findScopeOf(SOURCES, [], { needs: [], until: 'role' });
    expect([...none.candidates, ...none.taped]).toEqual([]);
  });
});

describe('the chance of danger from which the handbook is asked', () => {
  /** A lid of 32 positions, of which so many print nothing. */
  const lid = (silent: number): ProbeSource[] =>
    Array.from({ length: 32 }, (_, at) => ({
      ...{ ...SLOT, id: `F${at}`, name: `F${at}` },
      legend: at < silent ? undefined : 'RADIO',
    }));
  const from = (silent: number): number =>
    findScopeOf(lid(silent), [], { needs: [], until: 'role' }).lookUpFrom;

  it('is 4 % on a lid that reads well, 2 % on a worn one, and never more the less it says', () => {
    expect([from(0), from(8), from(11)]).toEqual([0.04, 0.04, 0.04]);
    // Of 32 and the 8 that are taken as usual 18 silent, 22 to read: doubted two and a half times as much as a quarter.
    expect(from(16)).toBeCloseTo((0.04 * 1.5) / ((18 / 22) * 3), 9);
    expect([from(22), from(32)]).toEqual([0.02, 0.02]);
    const all = Array.from({ length: 33 }, (_, silent) => from(silent));
    expect(all).toEqual([...all].sort((left, right) => right - left));
  });
});
