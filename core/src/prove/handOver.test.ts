import { dropOff, handOverTests } from './index';

const wordsOf = (tests: ReturnType<typeof handOverTests>): string =>
  tests.map(({ what, must }) => `${what} ${must}`).join(' ');

// What must prevent a remote start or stop it: hood, door, brake, gear, and never indoors. Common practice.
it('tries everything that must prevent a remote start', () => {
  const tests = handOverTests({ family: 'remoteStart', roles: ['constant', 'starter'] });
  for (const guard of [/hood open/i, /door open/i, /brake/i, /park or neutral/i, /garage/i])
    expect(wordsOf(tests)).toMatch(guard);
});

it('tries a stereo by its corners, its phase, its memory and the lamps', () => {
  const tests = handOverTests({
    family: 'radio',
    roles: ['constant', 'switched', 'illumination', 'ground'],
  });
  expect(tests.map(({ id }) => id)).toEqual(['corners', 'phase', 'memory', 'key-out', 'lamps']);
  expect(wordsOf(tests)).toMatch(/plus to plus/);
});

it('tries what the leads of anything else promise, and nothing of what it has not', () => {
  const camera = handOverTests({ family: 'camera', roles: ['reverse'] });
  expect(camera.map(({ id }) => id)).toEqual(['reverse']);
  const dashcam = handOverTests({ family: 'dashcamKit', roles: ['constant', 'switched'] });
  expect(wordsOf(dashcam)).toMatch(/none of them has an effect/);
  expect(handOverTests({ family: undefined, roles: ['constant'] })).toEqual([]);
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
