import { handOverTests } from './index';

// What must prevent a remote start or stop it: hood, door, brake, gear, and never indoors. Common practice.
it('tries everything that must prevent a remote start', () => {
  const words = handOverTests('remoteStart')
    .map(({ what, must }) => `${what} ${must}`)
    .join(' ');
  for (const guard of [/hood open/i, /door open/i, /brake/i, /park or neutral/i, /garage/i])
    expect(words).toMatch(guard);
  expect(new Set(handOverTests('remoteStart').map(({ id }) => id)).size).toBe(
    handOverTests('remoteStart').length,
  );
});

it('asks nothing of what moves nothing', () => {
  expect(handOverTests('radio')).toEqual([]);
  expect(handOverTests(undefined)).toEqual([]);
});
