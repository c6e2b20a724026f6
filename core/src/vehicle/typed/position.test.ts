import { nextPosition } from './position';

describe('the position after another', () => {
  it.each([
    ['F1', 'F2'],
    ['F9', 'F10'],
    ['07', '08'],
    ['F099', 'F100'],
    ['A', 'B'],
    ['Z', 'AA'],
    ['az', 'ba'],
    ['1Z', '1AA'],
    ['K-', 'K-1'],
  ])('%s is followed by %s', (position, next) => {
    expect(nextPosition(position)).toBe(next);
  });
});
