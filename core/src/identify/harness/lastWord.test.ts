import { stateAt } from '../../vehicle';
import { lastWord } from './lastWord';
import { nothingLive } from './nothingLive';
import type { Reading, ReadingValue } from '../reading/reading';
import type { HarnessLimit, HarnessSession } from './session';
import { isByLamp } from './session';

const session = (cannot: readonly HarnessLimit[] = []): HarnessSession => ({
  ...{ wires: [], readings: [], state: stateAt('off'), cannot },
});
const NONE = { doubtful: [], untold: [], unneeded: [] };
const CAP = 'Cap each one that is left over, one at a time.';

describe('the last word on a bunch', () => {
  it('says that every wire is told apart only when it is so', () => {
    expect(lastWord(session(), NONE)).toBe(`Every wire is told apart. ${CAP}`);
    expect(lastWord(session(), { ...NONE, unneeded: ['W1', 'W2'] })).toBe(
      `Every wire is told apart but W1, W2, which nothing here needs: leave alone what is not proved dead. ${CAP}`,
    );
    expect(lastWord(session(), { ...NONE, doubtful: ['W1'] })).toBe(
      `Every wire has a place, but not all are sure: prove W1 before joining anything. ${CAP}`,
    );
    expect(lastWord(session(), { ...NONE, doubtful: ['W1', 'W3'], unneeded: ['W2'] })).toBe(
      `Every wire has a place, but not all are sure: prove W1, W3 before joining anything. Nothing here needs W2: leave alone what is not proved dead. ${CAP}`,
    );
  });

  it('names the tool that would tell what is not told', () => {
    const untold = { ...NONE, untold: ['W1', 'W2'] };
    const said = (...cannot: HarnessLimit[]) => lastWord(session(cannot), untold);
    expect(said()).toBe(
      `Not told: W1, W2 may be a speaker’s lead or a data line. Leave them alone, or follow them to where they go. ${CAP}`,
    );
    expect(said('pop')).toContain('A 9 V source would tell, on pairs that show a coil’s ohms.');
    expect(said('pop', 'ohmmeter')).toContain('An ohmmeter between them would tell');
    expect(said('ohmmeter')).toContain('a few ohms for a coil, 60 or 120 Ω for a data pair.');
    expect(lastWord({ ...session(), cannot: undefined as never }, untold)).toBe(said());
    expect(lastWord(session(), { ...untold, doubtful: ['W3'] })).toBe(
      `Not told: W1, W2 may be a speaker’s lead or a data line. Leave them alone, or follow them to where they go. Not sure either: prove W3 before joining anything. ${CAP}`,
    );
  });
});

describe('help when nothing is live', () => {
  const wires = ['a', 'b'].map((id) => ({ id, name: id })) as never;
  const read = (sourceId: string, volts: number, place: 'run' | 'off' | 'engine' = 'run') => ({
    ...{ id: `${sourceId}${place}${volts}`, sourceId, contact: undefined },
    ...{ state: stateAt(place), value: { kind: 'volts', volts } as const },
  });
  const help = (...readings: ReturnType<typeof read>[]) =>
    nothingLive({ ...session(), wires, readings });

  it('waits until every wire was read with the key on, and is none once one is live', () => {
    expect(help()).toBeUndefined();
    expect(help(read('a', 0))).toBeUndefined();
    expect(help(read('a', 0), read('b', 0, 'off'))).toBeUndefined();
    expect(help(read('a', 0), read('b', 0))).toBeDefined();
    expect(help(read('a', 0), read('b', 0, 'engine'))).toBeDefined();
    expect(help(read('a', 0), read('b', 0), read('b', 12.4, 'off'))).toBeUndefined();
  });

  it('names causes, cheapest check first: the tester’s own ground, the fuse, the key, the battery', () => {
    const { causes = [], instruction } = help(read('a', 0), read('b', 0)) ?? {};
    expect(instruction).toMatch(/^Nothing is live: touch the clip’s own ground first/);
    expect(causes.map(({ cause }) => cause)).toEqual([
      'The tester has no ground',
      'The fuse for radio and courtesy lamp has blown, mostly when the wires were cut',
      'The key is not where it should be, or the car sleeps',
      'The battery is off or flat',
    ]);
    expect(causes.map(({ check }) => check)).toEqual([
      expect.stringMatching(/^Touch a wire that must be live.*bare metal\.$/),
      expect.stringMatching(/^Does the courtesy lamp burn\?.*RADIO, AUDIO, ROOM or DOME\.$/),
      expect.stringMatching(/^Key to run, lamps on; .*wake the car\.$/),
      'Measure the battery at rest.',
    ]);
  });
});

describe('a lamp in the meter’s place', () => {
  const state = stateAt('run');
  const read = (value: ReadingValue, more: Partial<Reading> = {}): Reading => ({
    ...{ id: JSON.stringify(value), sourceId: 'a', contact: undefined, state, value, ...more },
  });
  const LIT = read({ kind: 'glow', glow: 'lit' });
  const isBy = (readings: readonly Reading[], cannot: readonly HarnessLimit[] = []): boolean =>
    isByLamp({ readings, cannot });

  it('is said so, or seen by what was read', () => {
    expect(isBy([])).toBe(false);
    expect(isBy([], ['meter'])).toBe(true);
    expect(isBy([], ['ohmmeter'])).toBe(false);
    expect(isBy([LIT])).toBe(true);
    expect(isBy([LIT, read({ kind: 'volts', volts: 12 })])).toBe(false);
    expect(isBy([LIT, read({ kind: 'pulsing', lowV: 0, highV: 12 })])).toBe(false);
    expect(isBy([LIT, read({ kind: 'ohms', ohm: 3 })])).toBe(true);
    // On the constant a lamp looks for ground; that says nothing of what reads the rest.
    expect(isBy([read({ kind: 'glow', glow: 'lit' }, { clip: 'constant' })])).toBe(false);
    expect(isByLamp({ readings: [LIT] })).toBe(true);
  });
});
