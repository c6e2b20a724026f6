import { act, screen } from '@testing-library/react-native';
import { useState } from 'react';
import { renderInApp } from '../testing/render';
import type { ReadingRow } from '../work/jobReadings';
import { ReadingHistory } from './ReadingHistory';

const mockLine = jest.fn();
jest.mock('../panel/VerdictCard', () => ({
  readingLine: (row: { id: string }) => {
    mockLine(row.id);
    return `reading ${row.id}`;
  },
}));

function rowOf(id: string): ReadingRow {
  return {
    ...{ id, sourceId: `dash/${id}`, contact: null, takenBy: 'Ida', takenAt: id },
    ...{ withdrawnAt: null, saved: 'saved', problem: undefined },
  } as unknown as ReadingRow;
}

it('draws only what is new in a list of readings', () => {
  const first = Array.from({ length: 12 }, (_, index) => rowOf(`r${index}`));
  let more: (rows: readonly ReadingRow[]) => void = () => undefined;
  function Host() {
    const [rows, setRows] = useState<readonly ReadingRow[]>(first);
    more = setRows;
    return <ReadingHistory jobId="j" rows={rows} nameOf={(id) => id.slice(5)} />;
  }
  renderInApp(<Host />);
  mockLine.mockClear();
  act(() => more([...first, rowOf('new')]));
  expect(screen.getAllByTestId('reading-saved')).toHaveLength(13);
  expect(new Set(mockLine.mock.calls.flat())).toEqual(new Set(['new']));
});
