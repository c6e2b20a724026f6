import type { StitchPlace } from '../../vehicle';
import { FUNCTION_NAMES, PLACE_WORDS, stateAt } from '../../vehicle';
import { newBeliefCache } from '../belief/beliefCache';
import { posterior } from '../belief/posterior';
import { sourcePrior } from '../belief/sourcePrior';
import type { LookAlike } from '../circuit/lookAlikes';
import { readLabel, readWritten } from '../legend/readLabel';
import type { Reading, ReadingValue } from '../reading/reading';
import { findContradictions } from './contradictions';
import { fenceOf } from './fence';
import { headlineOf } from './headline';
import { judge } from './judge';
import {
  hasGhost,
  isPulledUpAt,
  isSettled,
  lampWantedAt,
  mayBePulledUp,
  mayTakeLamp,
} from './settled';
import type { Verdict } from './verdict';

const at = (...places: StitchPlace[]): LookAlike[] =>
  places.map((place) => ({ place, separates: [] }));

describe('a verdict in one line', () => {
  it('says what is known, what is missing, or that readings disagree', () => {
    expect(headlineOf('unread', 'constant', [])).toBe('Not read yet');
    expect(headlineOf('contradicted', 'constant', [])).toBe(
      'Readings disagree: read it again or withdraw one',
    );
    expect(headlineOf('resolved', 'constant', [])).toBe(FUNCTION_NAMES.constant.plain);
    expect(headlineOf('open', 'constant', at('crank'))).toBe('Still open');
  });

  it('names the group that is unresolved, and up to two places', () => {
    const { crank, asleep } = PLACE_WORDS;
    expect(headlineOf('unresolved', 'accessory', at('crank'))).toBe(
      `Switched, accessory or ignition unresolved: ${crank} untested`,
    );
    expect(headlineOf('unresolved', 'timedConstant', at('asleep', 'crank'))).toBe(
      `Live with the key off, constant unresolved: ${asleep}, ${crank} untested`,
    );
    expect(headlineOf('unresolved', 'lamps', at('asleep', 'crank', 'run'))).toBe(
      `${FUNCTION_NAMES.lamps.plain}: 3 states untested`,
    );
    expect(headlineOf('unresolved', 'lamps', [])).toBe(
      `${FUNCTION_NAMES.lamps.plain}: one more reading`,
    );
  });
});

let count = 0;
const read = (place: StitchPlace, value: ReadingValue, more: Partial<Reading> = {}): Reading => {
  count += 1;
  const state = stateAt(place);
  return { id: `r${count}`, sourceId: 'w', contact: undefined, state, value, ...more };
};
const volts = (place: StitchPlace, value: number, more: Partial<Reading> = {}) =>
  read(place, { kind: 'volts', volts: value }, more);
const glow = (place: StitchPlace, of: 'lit' | 'dark') => read(place, { kind: 'glow', glow: of });

function verdictOf(readings: readonly Reading[], sought: 'tachPulse'[] = []): Verdict {
  const cache = newBeliefCache();
  return judge(
    {
      ...{ id: 'w', name: 'W', legend: undefined, fitted: true, tappable: true, kind: 'wire' },
      ...{ logged: undefined, sought },
    },
    readings,
    { read: readWritten, posterior: (prior, own) => posterior(prior, own, cache) },
  );
}

describe('whether a place is settled', () => {
  it('is so once it was read, unless a lamp must settle a ghost', () => {
    expect(isSettled('run', verdictOf([]), true)).toBe(false);
    expect(isSettled('run', verdictOf([volts('run', 12.3)]), true)).toBe(true);
    expect(isSettled('acc', verdictOf([volts('run', 12.3)]), true)).toBe(false);
    const ghost = [volts('run', 3)];
    expect([
      isSettled('run', verdictOf(ghost), true),
      isSettled('run', verdictOf(ghost), false),
    ]).toEqual([false, true]);
    expect(isSettled('run', verdictOf([...ghost, glow('run', 'dark')]), true)).toBe(true);
  });

  it('is not so while readings disagree, until there are three', () => {
    const two = [volts('run', 12.3), volts('run', 0)];
    expect(verdictOf(two).contradictions).toHaveLength(1);
    expect(isSettled('run', verdictOf(two), true)).toBe(false);
    expect(isSettled('run', verdictOf([...two, glow('run', 'lit')]), true)).toBe(true);
  });

  it('tells a ghost by neither live nor dead on a meter, where no lamp was tried', () => {
    const ghost = (...readings: Reading[]): boolean => hasGhost('run', verdictOf(readings));
    expect(ghost(volts('run', 3))).toBe(true);
    expect(ghost(volts('acc', 3))).toBe(false);
    expect(ghost(volts('run', 12.3))).toBe(false);
    expect(ghost(volts('run', 0))).toBe(false);
    expect(ghost(volts('run', 3), glow('run', 'dark'))).toBe(false);
    expect(ghost(volts('run', 3), glow('acc', 'dark'))).toBe(true);
    expect(ghost()).toBe(false);
  });
});

describe('whether a lamp is wanted on what a meter shows live', () => {
  // A pulse at rest stands at its module’s pull-up, which feeds nothing. Common practice.
  const pulled = [volts('run', 12.1), volts('off', 0)];

  it('is so where it may be a pulse at rest, and no lamp was tried', () => {
    const verdict = verdictOf(pulled, ['tachPulse']);
    expect([mayBePulledUp(verdict), mayTakeLamp(verdict)]).toEqual([true, true]);
    expect(isPulledUpAt('run', verdict)).toBe(true);
    expect(isPulledUpAt('off', verdict)).toBe(false);
    expect(isPulledUpAt('acc', verdict)).toBe(false);
    expect(lampWantedAt(verdict)).toBe('run');
    expect(lampWantedAt(verdict, 'off')).toBe('run');
    const tried = verdictOf([...pulled, glow('run', 'lit')], ['tachPulse']);
    expect(isPulledUpAt('run', tried)).toBe(false);
    expect(lampWantedAt(tried)).toBeUndefined();
  });

  it('prefers the place where the car stands', () => {
    const both = verdictOf([volts('run', 12.1), volts('acc', 12.1)], ['tachPulse']);
    expect([lampWantedAt(both, 'acc'), lampWantedAt(both, 'run')]).toEqual(['acc', 'run']);
  });

  it('is not so on what nobody would take for a pulse', () => {
    const constant = verdictOf([volts('off', 12.4), volts('asleep', 12.4), volts('run', 12.4)]);
    expect(mayBePulledUp(constant)).toBe(false);
    expect(lampWantedAt(constant)).toBeUndefined();
    expect(isPulledUpAt('run', constant)).toBe(false);
  });

  it('is never put on what may be a data or sensor line', () => {
    const data = verdictOf([volts('run', 2.5)]);
    expect(mayTakeLamp(data)).toBe(false);
    expect(isPulledUpAt('run', data)).toBe(false);
  });
});

describe('readings that disagree', () => {
  const found = (
    readings: readonly Reading[],
    leading: 'constant' | 'tachPulse' | 'doorSwitch',
  ) => {
    const cache = newBeliefCache();
    const prior = sourcePrior({ legend: undefined, logged: undefined, kind: 'wire' });
    return findContradictions(posterior(prior, readings, cache).evidence, leading);
  };

  it('are live and dead in one state, named with the likeliest reason', () => {
    const two = [volts('run', 12.3), volts('run', 0.1)];
    const [one, ...more] = found(two, 'constant');
    expect(more).toEqual([]);
    expect(one).toMatchObject({ place: 'run', readingIds: two.map(({ id }) => id) });
    expect(one?.explanation).toMatch(
      /^Live and dead in one state \(.+\)\. Check the ground clip, then whether the fuse was out/,
    );
    const lamp = [volts('run', 12.3), glow('run', 'dark')];
    expect(found(lamp, 'constant')[0]?.explanation).toMatch(
      /The meter sees volts that do not light a lamp: .* Trust the lamp, and check its clip first\.$/,
    );
  });

  it('are none alone, alike, in between, or outvoted by two live ones of the same instrument', () => {
    const none = (...readings: Reading[]) => expect(found(readings, 'constant')).toEqual([]);
    none(volts('run', 12.3));
    none(volts('run', 12.3), volts('run', 12.1));
    none(volts('run', 0), volts('run', 0.1));
    none(volts('run', 12.3), volts('run', 3));
    none(volts('run', 12.3), volts('off', 0));
    none(volts('run', 12.3), volts('run', 12.3), volts('run', 0));
    expect(
      found([volts('run', 12), volts('run', 12), glow('run', 'dark')], 'constant'),
    ).toHaveLength(1);
    expect(
      found([volts('run', 12), volts('run', 12), volts('run', 0), volts('run', 0)], 'constant'),
    ).toHaveLength(1);
  });

  it('leave a dark lamp out on what a module pulls up', () => {
    const lamp = [volts('run', 12.3), glow('run', 'dark')];
    expect(found(lamp, 'doorSwitch')).toEqual([]);
    expect(found([volts('run', 12.3), volts('run', 0)], 'doorSwitch')).toHaveLength(1);
  });
});

describe('a fence', () => {
  const given = verdictOf([volts('run', 12.3)]).posterior;

  it('names why to stop, and what not to use', () => {
    expect(fenceOf({}, readLabel('AIRBAG'), given)?.instruction).toMatch(
      /^Stop: do not pull the fuse.*maker’s service information\.$/,
    );
    const abs = fenceOf({}, readLabel('ABS'), given);
    expect(abs?.instruction).toMatch(/^Leave the fuse in .* 10 MΩ meter only, no lamp\.$/);
    expect(abs?.reason).toBe(readLabel('ABS').reason);
    expect(fenceOf({}, readLabel('CIG'), given)).toBeUndefined();
    // A wire has no legend that could fence it.
    expect(fenceOf({ kind: 'wire' }, readLabel('ABS'), given)).toBeUndefined();
  });
});
