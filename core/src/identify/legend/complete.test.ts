import { completions } from './complete';

describe('legends that begin with what was typed', () => {
  it('come after two letters, the shop’s own first, and plain words before others', () => {
    expect(completions('r', [], 5)).toEqual([]);
    expect(completions('ra', [], 3)).toEqual(['RAD', 'RADAR', 'RADIO']);
    expect(completions('ra', ['RADIO KIT', 'HORN'], 2)).toEqual(['RADIO KIT', 'RAD']);
  });

  it('keep strokes as they were typed, and never propose what is there already', () => {
    expect(completions('p/out', [], 2)).toContain('P/OUTLET');
    expect(completions('RADIO', ['RADIO'], 9)).not.toContain('RADIO');
    expect(completions('  ', [], 9)).toEqual([]);
  });
});
