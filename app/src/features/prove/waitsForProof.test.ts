import { isProofWaited, waitsForProof } from './waitsForProof';

it('says what is waited for in up to 80 letters, cut between words', () => {
  expect(waitsForProof('Memory: asleep')).toBe('Proof of Memory: asleep');
  const long = waitsForProof(
    'hand-over: Balance in the middle, a song with much bass; then plus and minus of one swapped',
  );
  expect(long).toBe('Proof of hand-over: Balance in the middle, a song with much bass; then plus…');
  expect(long.length).toBeLessThanOrEqual(80);
  expect(waitsForProof(`x ${'y'.repeat(200)}`)).toBe('Proof of x…');
  const fits = 'z'.repeat(71);
  expect(waitsForProof(fits)).toBe(`Proof of ${fits}`);
});

it('knows such a reason again', () => {
  expect(isProofWaited(waitsForProof('Memory'))).toBe(true);
  expect(isProofWaited('a grommet')).toBe(false);
  expect(isProofWaited(null)).toBe(false);
});
