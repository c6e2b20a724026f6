import { PARKED, stateAt } from '../../vehicle';
import { judgeSource } from '../judgeSource';
import { preparedNeedOf } from '../need/needs';
import type { PreparedNeed } from '../need/needs';
import type { Verdict } from '../verdict/verdict';
import type { Checks, Given } from './checks';
import { keptChecks } from './keptChecks';

const MEMORY = preparedNeedOf({ id: 'memory', role: 'constant' });
const SUPPLY = preparedNeedOf({ id: 'supply', role: 'switched' });
const NOW: Given = { state: PARKED, cannot: [], lamp: false, until: 'role' };

const unread = (id: string): Verdict =>
  judgeSource({ id, name: id, legend: 'ACC', fitted: true, tappable: true, logged: undefined }, []);

/** Asks for checks that tell by their seconds what they were worked out for, and how often that was done. */
function asking() {
  let worked = 0;
  const workOut = (): Checks => {
    worked += 1;
    return { checks: [], seconds: worked, danger: 0 };
  };
  return {
    ask: (wanted: PreparedNeed, verdict: Verdict, given: Given) =>
      keptChecks(wanted, given, workOut)(verdict).seconds,
    times: () => worked,
  };
}

describe('the checks of a source for a need', () => {
  it('are worked out once, however often they are asked for', () => {
    const { ask, times } = asking();
    const verdict = unread('F1');
    const first = ask(MEMORY, verdict, NOW);
    expect(ask(MEMORY, verdict, { ...NOW, state: { ...PARKED } })).toBe(first);
    expect(times()).toBe(1);
  });

  it.each<[string, Partial<Given>]>([
    ['the state of the car', { state: stateAt('run') }],
    ['how long the car has stood', { state: { ...PARKED, minutesSinceKeyOff: 3 } }],
    ['what can’t be done', { cannot: ['crank'] }],
    ['a lamp at hand', { lamp: true }],
    ['how far testing goes', { until: 'function' }],
    ['what can’t be settled', { evenUnsettled: true }],
  ])('are worked out anew for %s, and the others stay known', (_, other) => {
    const { ask, times } = asking();
    const verdict = unread('F1');
    const first = ask(MEMORY, verdict, NOW);
    expect(ask(MEMORY, verdict, { ...NOW, ...other })).not.toBe(first);
    expect(ask(MEMORY, verdict, NOW)).toBe(first);
    expect(times()).toBe(2);
  });

  it('are worked out anew for another verdict, alike or not, and for another need', () => {
    const { ask } = asking();
    const [one, alike] = [unread('F1'), unread('F1')];
    const asked = [ask(MEMORY, one, NOW), ask(MEMORY, alike, NOW), ask(SUPPLY, one, NOW)];
    expect(new Set(asked).size).toBe(3);
  });
});
