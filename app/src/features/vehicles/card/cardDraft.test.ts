import type { ReadCardCell } from '@lucky-thread/core/card';
import { EMPTY_PANEL, readPanel } from '../drafts/panelDraft';
import { lidOf, righted, toLookAt } from './cardDraft';
import { firstCorners, turnedOver } from './picture';

const cell = (row: number, column: number, more: Partial<ReadCardCell> = {}): ReadCardCell => ({
  row,
  column,
  box: { left: 0, top: 0, right: 10, bottom: 10 },
  position: undefined,
  ratingA: 10,
  legend: 'ACC',
  doubts: [],
  ...more,
});
const slotsOf = (cells: readonly ReadCardCell[]) =>
  readPanel({ ...EMPTY_PANEL, ...lidOf(cells, EMPTY_PANEL) }, 'dash').slots;

describe('what a card says', () => {
  it('is the lid as it would be typed, with what is blank left empty', () => {
    const cells = [
      cell(0, 0, { legend: 'R, L' }),
      cell(0, 1, { ratingA: undefined, legend: undefined }),
      cell(1, 0, { ratingA: 7.5, legend: 'A' }),
    ];
    expect(slotsOf(cells)).toMatchObject([
      { position: 'F1', legend: 'R, L', ratingA: 10 },
      { position: 'F2', legend: undefined, ratingA: undefined, column: 1 },
      { position: 'F3', legend: 'A', ratingA: 7.5, row: 1 },
    ]);
  });

  it('keeps printed numbers when every fuse has one, and counts when one is missing or there twice', () => {
    const numbered = ['31', '32', 'A7'].map((position, at) => cell(0, at, { position }));
    expect(slotsOf(numbered).map((slot) => slot.position)).toEqual(['31', '32', 'A7']);
    const twice = [...numbered.slice(0, 2), cell(0, 2, { position: '31' })];
    expect(slotsOf(twice).map((slot) => slot.position)).toEqual(['F1', 'F2', 'F3']);
    const missing = [...numbered.slice(0, 2), cell(0, 2)];
    expect(slotsOf(missing).map((slot) => slot.position)).toEqual(['F1', 'F2', 'F3']);
  });

  it('has to be looked at where it is in doubt', () => {
    const cells = [cell(0, 0), cell(0, 1, { doubts: ['hard to read'] })].map((one) => ({
      cell: one,
      seen: false,
    }));
    expect(toLookAt(cells)).toBe(1);
    const looked = cells.map((one) => righted(one, { legend: 'CIG' }));
    expect(toLookAt(looked)).toBe(0);
    expect(looked[1]?.cell).toMatchObject({ legend: 'CIG', ratingA: 10 });
  });
});

describe('the corners of a card', () => {
  it('begin inside the picture, and go round twice to where they were', () => {
    const corners = firstCorners({ width: 100, height: 50 });
    expect(corners.every(({ x, y }) => x > 0 && x < 100 && y > 0 && y < 50)).toBe(true);
    expect(turnedOver(turnedOver(corners))).toEqual(corners);
    expect(turnedOver(corners)[0]).toEqual(corners[2]);
  });
});
