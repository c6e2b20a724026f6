import { advise, readLabel } from '../identify';
import type { Verdict } from '../identify';
import { TOO_RISKY_PRINTED } from '../identify/need/thresholds';
import type { Source, StitchPlace } from '../vehicle';
import { PARKED, stateAt } from '../vehicle';
import { isAgainstItsPrint, rankCandidates, whyNeverTapped, whyOnlyWithReason } from './index';
import type { RankInput } from './index';

type Shown = Partial<Record<StitchPlace, number>>;
/** Held through cranking and dead at accessory: instruments, or what moves and stops the car. */
const HELD: Shown = { off: 0.01, acc: 0.02, run: 12.2, crank: 10.4, engine: 14.1 };
const ACCESSORY: Shown = { off: 0.01, acc: 12.3, run: 12.2, crank: 0.02, engine: 14.1 };

function verdictOf(id: string, legend: string | undefined, shown: Shown): Verdict {
  const source = { id, name: id, legend, fitted: true, tappable: true, logged: undefined };
  const readings = Object.entries(shown).map(([place, volts]) => ({
    ...{ id: place, sourceId: id, contact: undefined, state: stateAt(place as StitchPlace) },
    value: { kind: 'volts' as const, volts },
  }));
  const { verdicts } = advise({ sources: [source], readings, state: PARKED, needs: [] });
  return verdicts[0] as Verdict;
}

const why = (legend: string | undefined, shown: Shown): string | undefined =>
  whyOnlyWithReason(readLabel(legend), verdictOf('F1', legend, shown));

describe('a reason is wanted', () => {
  it('where the readings speak against a harmless print, with the chance of danger', () => {
    expect(why('CIG LTR', HELD)).toMatch(
      /^Its readings speak against its legend.*safety-critical with a chance of \d\d\s%.*handbook/,
    );
    expect(why('CIG LTR', ACCESSORY)).toBeUndefined();
    expect(why('IG1', HELD)).toBeUndefined();
  });

  it('from a tenth of danger on, also where the plan would take the slot', () => {
    const of = (critical: number) =>
      whyOnlyWithReason(readLabel('CIG LTR'), {
        posterior: { ...verdictOf('F1', 'CIG LTR', HELD).posterior, critical },
      });
    expect(of(0.1)).toBeUndefined();
    expect(of(0.12)).toMatch(/chance of 12\s%/);
    expect(of(TOO_RISKY_PRINTED)).toMatch(/chance of 15\s%/);
  });

  it('where nothing can be read, with the chance that is left by what was measured', () => {
    const chance = (shown: Shown): number =>
      Number(/chance of (\d+)\s%/.exec(why(undefined, shown) ?? '')?.[1]);
    expect(why(undefined, HELD)).toMatch(/^No legend that can be read.*By all that is known/);
    // Nothing that is dangerous hangs on an accessory contact.
    expect(chance(ACCESSORY)).toBe(1);
    expect(chance(HELD)).toBeGreaterThan(30);
    expect(whyOnlyWithReason(readLabel(undefined))).not.toMatch(/%/);
  });

  it('where the print warns, in its own words, whatever was read', () => {
    const label = readLabel('CLIMATE');
    expect(label.safety).toBe('caution');
    expect(why('CLIMATE', ACCESSORY)).toBe(label.reason);
    expect(isAgainstItsPrint(label, verdictOf('F1', 'CLIMATE', HELD))).toBe(false);
  });
});

it('ranks a print that its readings speak against behind one that only warns', () => {
  const legends = { F1: 'CIG LTR', F2: 'WIPER', F3: 'CLIMATE' } as const;
  const slots = Object.entries(legends).map(([id, legend]) => ({
    ...{ id, position: id, legend, ratingA: 15, family: 'mini', column: 0, row: 0, lie: 'tall' },
    ...{ contacts: [], clearance: 'clear' },
  })) as unknown as RankInput['slots'];
  const verdicts = new Map(
    Object.entries(legends).map(([id, legend]) => [id, verdictOf(id, legend, HELD)]),
  );
  const { candidates } = rankCandidates({
    ...{ slots, verdicts, need: { id: 's', role: 'switched' }, currentA: 1 },
    loggedSourceIds: new Set<string>(),
  } as RankInput);
  const at = (id: string): number => candidates.findIndex(({ sourceId }) => sourceId === id);
  expect(at('F1')).toBeGreaterThan(at('F3'));
  expect(candidates[at('F1')]?.wantsReason).toMatch(/speak against/);
  expect(candidates[at('F1')]?.cautions[0]).toBe(candidates[at('F1')]?.wantsReason);
});

describe('a source that is never tapped', () => {
  const never = (source: object, role?: string) => whyNeverTapped(source as Source, role);

  it('is a slot whose legend or handbook names danger, with why', () => {
    expect(never({ kind: 'slot', position: 'F7', legend: 'A/BAG' })).toMatch(
      /^F7 must not be tapped\. .*[Aa]irbag/,
    );
    expect(never({ kind: 'slot', position: 'F7', legend: 'RADIO', handbook: 'ABS pump' })).toMatch(
      /^F7 must not be tapped/,
    );
    for (const legend of ['RADIO', 'CLIMATE', undefined])
      expect(never({ kind: 'slot', position: 'F7', legend })).toBeUndefined();
  });

  it('is a taped or twisted wire, but for the sound of an amplifier, which comes in pairs', () => {
    const wire = { kind: 'wire', name: 'B7 violet' };
    expect(never({ ...wire, tapedWith: 'B8' })).toBe(
      'B7 violet is taped or twisted with another: a pair is a data line or a speaker’s.',
    );
    expect(never({ ...wire, tapedWith: 'B8' }, 'amplified')).toBeUndefined();
    expect(never({ ...wire, tapedWith: 'B8' }, 'switched')).toBeDefined();
    expect(never(wire)).toBeUndefined();
  });

  it('is a ground, which feeds nothing; a stud that is fed may be', () => {
    expect(never({ kind: 'ground', name: 'kick stud' })).toMatch(
      /is a ground: it feeds nothing\.$/,
    );
    expect(never({ kind: 'stud', name: 'battery stud' })).toBeUndefined();
  });
});
