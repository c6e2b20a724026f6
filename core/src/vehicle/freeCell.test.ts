import { freeCell } from './freeCell';

describe('where the next slot of a growing panel stands', () => {
  it('is after the last one, row by row, as wide as the panel but never narrower than six', () => {
    expect(freeCell([], 0)).toEqual({ column: 0, row: 0 });
    expect(freeCell([{ column: 5, row: 0 }], 6)).toEqual({ column: 0, row: 1 });
    expect(freeCell([{ column: 5, row: 0 }], 9)).toEqual({ column: 6, row: 0 });
    expect(freeCell([{ column: 8, row: 1 }], 9)).toEqual({ column: 0, row: 2 });
    // The last one by its place, not by its order in the list.
    const mixed = [
      { column: 2, row: 1 },
      { column: 4, row: 0 },
    ];
    expect(freeCell(mixed, 3)).toEqual({ column: 3, row: 1 });
  });
});
