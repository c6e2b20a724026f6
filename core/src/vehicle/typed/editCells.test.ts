import fc from 'fast-check';
import type { CellEdit } from './editCells';
import { editCell } from './editCells';

const LID = '10 ACC, 15 CIG\n7.5 A/BAG, -, 10 "R, L"';
const at = (row: number, column: number, edit: CellEdit) => editCell(LID, { row, column }, edit);

describe('one cell of what was typed', () => {
  it('is written anew, and a mark in quotes divides nothing', () => {
    expect(at(0, 1, { kind: 'write', text: '20 PWR' })).toBe(LID.replace('15 CIG', '20 PWR'));
    expect(at(1, 2, { kind: 'write', text: '5 L' })).toBe(LID.replace('10 "R, L"', '5 L'));
  });

  it('keeps its name', () => {
    const named = editCell('31: 10 ACC', { row: 0, column: 0 }, { kind: 'write', text: '5' });
    expect(named).toBe('31: 5');
  });

  it('is put in, taken out, or changes places with its neighbour', () => {
    expect(at(0, 1, { kind: 'insert', text: '-' })).toBe(LID.replace('15 CIG', '-, 15 CIG'));
    expect(at(1, 1, { kind: 'remove' })).toBe(LID.replace(' -,', ''));
    expect(at(0, 0, { kind: 'swap', by: 1 })).toBe(LID.replace('10 ACC, 15 CIG', '15 CIG, 10 ACC'));
    expect(at(0, 0, { kind: 'swap', by: -1 })).toBe(LID);
    expect(editCell('10', { row: 0, column: 0 }, { kind: 'remove' })).toBe('');
  });

  it('is taken up and put where another stands, in its line or in another', () => {
    const put = (from: readonly [number, number], to: readonly [number, number]) =>
      at(from[0], from[1], { kind: 'move', to: { row: to[0], column: to[1] } });
    expect(put([0, 0], [0, 1])).toBe(LID.replace('10 ACC, 15 CIG', '15 CIG, 10 ACC'));
    expect(put([1, 2], [1, 0])).toBe('10 ACC, 15 CIG\n10 "R, L", 7.5 A/BAG, -');
    expect(put([0, 1], [1, 1])).toBe('10 ACC\n7.5 A/BAG, 15 CIG, -, 10 "R, L"');
    expect(put([1, 0], [0, 9])).toBe('10 ACC, 15 CIG, 7.5 A/BAG\n-, 10 "R, L"');
    expect(put([0, 0], [0, 0])).toBe(LID);
    expect(put([0, 0], [7, 0])).toBe(LID);
  });

  it('moved stands where it was put, and every other is still there', () => {
    const lines = fc.array(
      fc.array(fc.constantFrom('10 A', '-', '15 B'), { minLength: 1, maxLength: 5 }),
      {
        minLength: 1,
        maxLength: 3,
      },
    );
    fc.assert(
      fc.property(
        lines,
        fc.nat(2),
        fc.nat(4),
        fc.nat(2),
        fc.nat(4),
        (all, row, column, toRow, toColumn) => {
          fc.pre(all[row]?.[column] !== undefined && all[toRow]?.[toColumn] !== undefined);
          const marked = all.map((line, r) => line.map((cell, c) => `${cell} N${r}${c}`));
          const text = marked.map((line) => line.join(', ')).join('\n');
          const to = { row: toRow, column: toColumn };
          const after = editCell(text, { row, column }, { kind: 'move', to });
          expect(after.split(/[,\n]\s*/).sort()).toEqual(text.split(/[,\n]\s*/).sort());
          // A line that was emptied is gone, and those below it move up.
          const up = all[row]?.length === 1 && row < toRow ? 1 : 0;
          expect(after.split('\n')[toRow - up]?.split(', ')[toColumn]).toContain(
            `N${row}${column}`,
          );
        },
      ),
    );
  });

  it('that is not there changes nothing', () => {
    expect(at(5, 0, { kind: 'remove' })).toBe(LID);
    expect(at(0, 9, { kind: 'write', text: '5' })).toBe(LID);
  });

  it('swapped twice stands where it stood', () => {
    const cells = fc.array(fc.constantFrom('10 ACC', '-', '20? X', '31: 5'), {
      minLength: 2,
      maxLength: 8,
    });
    fc.assert(
      fc.property(cells, fc.nat(6), (line, column) => {
        const text = line.join(', ');
        const there = editCell(text, { row: 0, column }, { kind: 'swap', by: 1 });
        const moved = column + 1 < line.length ? column + 1 : column;
        const back = { kind: 'swap', by: moved === column ? 1 : -1 } as const;
        expect(editCell(there, { row: 0, column: moved }, back)).toBe(text);
      }),
    );
  });
});
