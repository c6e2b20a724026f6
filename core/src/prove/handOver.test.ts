import { LACKING, dropOff, handOverTests, judgeHandOver } from './index';

const wordsOf = (tests: ReturnType<typeof handOverTests>): string =>
  tests.map(({ what, must }) => `${what} ${must}`).join(' ');

// What must prevent a remote start or stop it: hood, door, brake, gear, and never indoors. Common practice.
it('tries everything that must prevent a remote start', () => {
  const tests = handOverTests({ family: 'remoteStart', roles: ['constant', 'starter'] });
  for (const guard of [/hood open/i, /door open/i, /brake/i, /park or neutral/i, /garage/i])
    expect(wordsOf(tests)).toMatch(guard);
});

it('tries a stereo by its pairs, its cones, its corners and its memory', () => {
  const tests = handOverTests({ family: 'radio', roles: ['constant', 'switched', 'illumination'] });
  expect(tests.map(({ id }) => id)).toEqual([
    ...['front-left', 'front-right', 'rear-left', 'rear-right'].flatMap((corner) => [
      `speaker-${corner}`,
      `cone-${corner}`,
    ]),
    ...['corners', 'memory'],
  ]);
  expect(handOverTests({ family: 'radio', roles: [] }).map(({ id }) => id)).not.toContain('memory');
});

// No cell on an amplifier’s input or output: common practice.
it('asks for a song where a cell may not tell the phase', () => {
  const found = (id: string) => (id === 'speaker-rear-left' ? { value: LACKING } : undefined);
  const ids = handOverTests({ family: 'radio', roles: [] }, found).map(({ id }) => id);
  expect(ids).toContain('phase');
  expect(ids).toContain('cone-front-left');
  expect(ids).not.toContain('cone-rear-left');
});

it('leaves to the readings of the leads what they show, and tries what they do not', () => {
  expect(handOverTests({ family: 'camera', roles: ['reverse'] }).map(({ id }) => id)).toEqual([
    'reverse',
  ]);
  expect(handOverTests({ family: 'dashcamKit', roles: ['constant', 'switched'] })).toEqual([]);
  expect(handOverTests({ family: undefined, roles: ['constant'] })).toEqual([]);
});

describe('what is noted of a test', () => {
  const of = (id: string, family: 'radio' | 'remoteStart' | 'camera') => {
    const test = handOverTests({ family, roles: ['constant', 'reverse'] }).find(
      (one) => one.id === id,
    );
    if (test === undefined) throw new Error(`no test ${id}`);
    return test;
  };

  // A 4 Ω voice coil measures 3.2 to 3.8 Ω, an 8 Ω one 6 to 7, a 2 Ω one some 1.6; an amplifier’s input thousands. Common practice.
  it.each([
    ['speaker-front-left', 'radio', 3.6, 'passed'],
    ['speaker-front-left', 'radio', 6.8, 'passed'],
    ['speaker-front-left', 'radio', 1.6, 'passed'],
    ['speaker-front-left', 'radio', 0.2, 'failed'],
    ['speaker-front-left', 'radio', 10_000, 'failed'],
    ['speaker-front-left', 'radio', LACKING, 'lacking'],
    ['speaker-front-left', 'radio', null, 'open'],
    ['cone-front-left', 'radio', 1, 'passed'],
    ['cone-front-left', 'radio', 0, 'failed'],
    ['memory', 'radio', 0, 'passed'],
    ['memory', 'radio', 1, 'passed'],
    ['memory', 'radio', 724, 'failed'],
    ['loaded', 'remoteStart', 0.5, 'passed'],
    ['loaded', 'remoteStart', 0.51, 'failed'],
    ['time', 'remoteStart', 15, 'passed'],
    ['time', 'remoteStart', 31, 'failed'],
    ['hood', 'remoteStart', null, 'passed'],
    ['hood', 'remoteStart', 0, 'failed'],
    // 49 CFR 571.111 S5.5.3: two seconds; from memory.
    ['reverse', 'camera', 2, 'passed'],
    ['reverse', 'camera', 2.1, 'failed'],
  ] as const)('%s of a %s at %s: %s', (id, family, value, is) => {
    expect(judgeHandOver(of(id, family), { value }).is).toBe(is);
  });

  it('says what was answered or read, and where to look', () => {
    const cone = of('cone-rear-left', 'radio');
    expect(judgeHandOver(cone, { value: 0 }).shows).toBe('It moved in');
    expect(judgeHandOver(cone, { value: 0 }).look[0]).toMatch(/swap them/);
    expect(judgeHandOver(cone, { value: 1 }).look).toEqual([]);
    expect(judgeHandOver(of('memory', 'radio'), { value: 0.5 }).shows).toBe('0.5 min');
    expect(judgeHandOver(cone, undefined)).toEqual({ is: 'open', shows: '', look: [] });
    const pair = of('speaker-rear-left', 'radio');
    expect(judgeHandOver(pair, { value: 0.2 }).look[0]).toMatch(/leads touch/);
    expect(judgeHandOver(pair, { value: 900 }).look[0]).toMatch(/amplifier/);
    // Minus one is no answer to what always is there.
    expect(judgeHandOver(cone, { value: LACKING }).is).toBe('failed');
  });

  it('has something to look at for every test', () => {
    for (const family of ['radio', 'remoteStart', 'camera'] as const)
      for (const { look } of handOverTests({ family, roles: ['reverse', 'constant'] }))
        expect(look.length).toBeGreaterThan(0);
  });
});

it('names each test once', () => {
  for (const family of ['radio', 'remoteStart', 'camera', undefined] as const) {
    const ids = handOverTests({
      family,
      roles: ['constant', 'switched', 'illumination', 'reverse'],
    }).map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
  }
});

describe('the time until a lead goes dead', () => {
  it('tells a contact, retained power with its charge, and what never lets go', () => {
    expect(dropOff(0.5, 1)).toMatchObject({ good: true });
    // 0.6 A for ten minutes is 100 mAh (computed).
    expect(dropOff(600, 0.6)).toMatchObject({ good: true, text: expect.stringMatching(/100 mAh/) });
    expect(dropOff(3600, 0.6).good).toBe(false);
  });

  // A contact lets go within seconds, retained power within three quarters of an hour. Common practice.
  it.each([
    [3, true, /a contact/],
    [3.1, true, /retained/],
    [2700, true, /45 min/],
    [2701, false, /no switched supply/],
  ])('after %s s is good: %s', (seconds, good, text) => {
    expect(dropOff(seconds, 1)).toMatchObject({ good, text: expect.stringMatching(text) });
  });

  it('says the time in seconds as long as those are few', () => {
    expect(dropOff(99, 1).text).toMatch(/99 s/);
    expect(dropOff(100, 1).text).toMatch(/2 min/);
    expect(dropOff(120, 1).text).toMatch(/2 min/);
  });
});
