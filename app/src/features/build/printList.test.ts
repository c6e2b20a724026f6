import type { MatchingList } from '@lucky-thread/work';
import { printedList } from './printList';

const LIST: MatchingList = {
  pairs: [
    {
      id: 'c',
      optional: false,
      leftOff: undefined,
      direction: 'in',
      lead: { name: '<b>Constant</b>', words: 'yellow', colour: 'YE' },
      to: {
        place: 'Dash & knee',
        source: 'F1 "RADIO"',
        colour: undefined,
        side: 'upper contact',
        joint: 'fuse tap',
        fuseA: 3,
        awg: 18,
        areaMm2: 0.82,
        lengthM: 3.048,
        first: [],
      },
    },
    {
      id: 'x',
      optional: false,
      leftOff: undefined,
      direction: 'in',
      lead: { name: 'Trigger', words: undefined, colour: undefined },
      to: undefined,
    },
  ],
  left: [{ lead: { name: 'antenna', words: 'blue', colour: 'BU' }, end: 'Cap it.' }],
};
const HEAD = { vehicle: 'Tern <Skua>', device: 'Set' };

describe('a matching list on paper', () => {
  it('has every pair, what is open, and what is left over', () => {
    const html = printedList(HEAD, LIST, false);
    for (const words of ['yellow', 'upper contact', '3 A', '0.82 mm² (18 AWG)', '3.05 m'])
      expect(html).toContain(words);
    expect(html).toContain('not chosen yet');
    expect(html).toContain('left over: Cap it.');
    expect(html.match(/☐/g)).toHaveLength(3);
  });

  it('runs nothing that somebody wrote', () => {
    const html = printedList(HEAD, LIST, false);
    expect(html).not.toMatch(/<b>|<Skua>|"RADIO"|knee &[^#]/);
    expect(html).toContain('&#60;b&#62;Constant');
  });

  it('says which leads meet in a joint, and where one goes on to', () => {
    const pairs = LIST.pairs.map((pair) => ({
      ...pair,
      to: pair.to && { ...pair.to, together: ['Memory'], onTo: ['W2 RD, Column', 'W3 YE, Column'] },
    }));
    const page = printedList(HEAD, { ...LIST, pairs }, false);
    expect(page).toContain(
      'fuse tap. One joint with Memory. From there on to W2 RD, Column, then W3 YE, Column.',
    );
  });

  it('comes in feet and AWG too', () => {
    expect(printedList(HEAD, LIST, true)).toMatch(/18 AWG, 10(\.0+)? ft/);
  });

  it('says of a lead that the device works without how it ends', () => {
    const pairs = LIST.pairs.map((pair) => ({ ...pair, optional: true }));
    const page = printedList(HEAD, { ...LIST, pairs }, false);
    expect(page).toContain('left off: cap it by itself');
    expect(page).not.toContain('not chosen yet');
  });
});
