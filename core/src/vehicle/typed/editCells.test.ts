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
