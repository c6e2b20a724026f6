import fc from 'fast-check';
import type { VehicleState } from '../vehicle';
import { PARKED, STITCH_PLACES, nextState, placeOf, stateAt } from '../vehicle';
import { chanceLive, worthOfReading } from './information';
import { meetingHypotheses } from './needs';
import { posterior } from './posterior';
import { readLabel } from './readLabel';
import type { Source } from './source';
import { describeStitch, stitchOf } from './stitch';
import { judge } from './verdict';
import { planVisit, reach } from './visits';
import { WORK_SECONDS, changeSeconds } from './workCosts';

const NEED = { id: 'm', role: 'constant' } as const;
const SOURCE: Source = {
  id: 'F1',
  name: 'F1',
  legend: 'BAT',
  fitted: true,
  tappable: true,
  logged: undefined,
};
const SOURCES = new Map([[SOURCE.id, SOURCE]]);

describe('worth of a reading', () => {
  it('is nothing when nothing is in doubt, and never negative nor above one bit', () => {
    const meeting = meetingHypotheses(NEED);
    fc.assert(
      fc.property(
        fc.constantFrom('BAT', 'CIG', 'ILLUM', 'START', undefined),
        fc.constantFrom(...STITCH_PLACES),
        (legend, place) => {
          const worth = worthOfReading(
            posterior(readLabel(legend).prior, []),
            meeting,
            stateAt(place),
          );
          for (const bits of [worth.aboutNeed, worth.aboutFunction]) {
            expect(bits).toBeGreaterThanOrEqual(0);
            expect(bits).toBeLessThanOrEqual(1);
          }
        },
      ),
    );
  });

  it('is larger with the key off than with it on, for telling a constant', () => {
    const given = posterior(readLabel('RADIO').prior, []);
    const meeting = meetingHypotheses(NEED);
    const off = worthOfReading(given, meeting, stateAt('off')).aboutNeed;
    const run = worthOfReading(given, meeting, stateAt('run')).aboutNeed;
    expect(off).toBeGreaterThan(run);
  });

  it('expects a battery feed live and a spare dead', () => {
    expect(chanceLive(posterior(readLabel('BAT').prior, []), stateAt('off'))).toBeGreaterThan(0.6);
    expect(chanceLive(posterior(readLabel('SPARE').prior, []), stateAt('off'))).toBeLessThan(0.5);
  });
});

describe('costs', () => {
  it.each([
    [stateAt('off'), stateAt('run'), WORK_SECONDS.key],
    [stateAt('run'), stateAt('crank'), WORK_SECONDS.crank],
    [stateAt('off'), stateAt('asleep'), WORK_SECONDS.sleep],
    [stateAt('off'), stateAt('lamps'), WORK_SECONDS.lamps],
    [stateAt('off'), stateAt('off'), 0],
    [stateAt('off'), stateAt('justOff'), 2 * WORK_SECONDS.key + WORK_SECONDS.door],
  ])('from %o to %o', (from, to, seconds) => {
    expect(changeSeconds(from, to)).toBe(seconds);
  });

  it('are never negative', () => {
    const place = fc.constantFrom(...STITCH_PLACES);
    fc.assert(
      fc.property(place, place, (from, to) => {
        expect(changeSeconds(stateAt(from), stateAt(to))).toBeGreaterThanOrEqual(0);
      }),
    );
  });
});

describe('reach', () => {
  it('gets from any place to any other', () => {
    for (const from of STITCH_PLACES)
      for (const to of STITCH_PLACES) expect(placeOf(reach(stateAt(from), to))).toBe(to);
  });
  it('stays where the car is already', () => {
    const state: VehicleState = nextState(stateAt('run'), { kind: 'door', to: 'closed' });
    expect(reach(state, 'run')).toBe(state);
  });
  it('never asks for lamps while cranking', () => {
    expect(reach(stateAt('crank'), 'lamps').key).toBe('off');
  });
});

describe('planVisit', () => {
  const contest = (readings: Parameters<typeof judge>[1]) => [
    { need: NEED, contenders: [{ verdict: judge(SOURCE, readings), welcome: 1 }] },
  ];
  const read = (volts: number, id: string) => ({
    id,
    sourceId: 'F1',
    contact: undefined,
    state: PARKED,
    value: { kind: 'volts' as const, volts },
  });

  it('counts the change of state and every probe', () => {
    const visit = planVisit('run', contest([]), { state: PARKED, sources: SOURCES });
    expect(visit).toMatchObject({
      sourceIds: ['F1'],
      seconds: WORK_SECONDS.key + WORK_SECONDS.probe,
    });
  });

  it('has nothing to do where a slot was read already', () => {
    expect(
      planVisit('off', contest([read(12.5, 'a')]), { state: PARKED, sources: SOURCES }),
    ).toBeUndefined();
  });

  it('reads again where readings disagree, and stops after three', () => {
    const given = { state: PARKED, sources: SOURCES };
    const disputed = [read(12.5, 'a'), read(0, 'b')];
    expect(planVisit('off', contest(disputed), given)?.sourceIds).toEqual(['F1']);
    expect(planVisit('off', contest([...disputed, read(12.5, 'c')]), given)).toBeUndefined();
  });
});

describe('stitchOf', () => {
  const at = (
    place: (typeof STITCH_PLACES)[number],
    glow: 'lit' | 'dim' | 'dark',
    contact?: 'a',
  ) => ({
    id: `${place}${glow}`,
    sourceId: 'F1',
    contact,
    state: stateAt(place),
    value: { kind: 'glow' as const, glow },
  });

  it('hangs loose where nobody looked', () => {
    expect(stitchOf([]).map((cell) => cell.mark)).toEqual([
      'loose',
      'loose',
      'loose',
      'loose',
      'loose',
    ]);
  });
  it('runs high, low and in between where it was read, and crosses where readings disagree', () => {
    const stitch = stitchOf([
      at('off', 'dark'),
      at('acc', 'dim'),
      at('run', 'lit'),
      at('run', 'dark'),
    ]);
    expect(describeStitch(stitch)).toBe(
      'asleep not looked at, off dead, accessory in between, run readings disagree, crank not looked at',
    );
  });
  it('adds lamps, door and engine only once they were read', () => {
    expect(stitchOf([at('lamps', 'lit')]).map((cell) => cell.place)).toContain('lamps');
    expect(stitchOf([]).map((cell) => cell.place)).not.toContain('lamps');
  });
  it('does not count a reading at a contact of the empty slot', () => {
    expect(stitchOf([at('run', 'lit', 'a')]).every((cell) => cell.mark === 'loose')).toBe(true);
  });
});
