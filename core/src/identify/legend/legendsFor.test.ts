import { readLabel } from './readLabel';
import { legendsFor } from './legendsFor';

describe('legends to look for', () => {
  // Common practice: which circuits installers look for on a lid.
  it.each([
    ['constant', 'BAT'],
    ['switched', 'ACC'],
    ['retained', 'ACC'],
    ['illumination', 'ILLUM'],
  ] as const)('for a %s feed there is %s among them', (role, legend) => {
    expect(legendsFor(role, 6)).toContain(legend);
  });

  it('are none for what stands in no fuse slot', () => {
    expect(legendsFor('lock', 5)).toEqual([]);
  });

  it('are harmless, all different, and no more than asked for', () => {
    for (const role of ['constant', 'switched', 'retained', 'illumination'] as const) {
      const found = legendsFor(role, 5);
      expect(new Set(found).size).toBe(found.length);
      expect(found.length).toBeLessThanOrEqual(5);
      for (const legend of found) expect(readLabel(legend).safety).toBe('free');
    }
  });
});
