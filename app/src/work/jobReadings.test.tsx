import type { ReadingView } from '@lucky-thread/contract';
import { act } from '@testing-library/react-native';
import { useState } from 'react';
import { renderInApp } from '../testing/render';
import type { ReadingRow } from './jobReadings';
import { useJobReadings } from './jobReadings';

let mockData: readonly ReadingView[] = [];
jest.mock('../store/api', () => ({
  ...jest.requireActual('../store/api'),
  useReadingsQuery: () => ({ data: mockData, isError: false }),
}));

const reading = (id: string, volts: number): ReadingView =>
  ({ id, sourceId: 'dash/F1', volts, takenAt: id, withdrawnAt: null }) as unknown as ReadingView;

it('keeps a reading the same row while it says the same, however often it is fetched', () => {
  let rows: readonly ReadingRow[] = [];
  let again: (count: number) => void = () => undefined;
  function Host() {
    const [, setCount] = useState(0);
    again = setCount;
    rows = useJobReadings('j').rows;
    return null;
  }
  mockData = [reading('b', 2), reading('a', 1)];
  renderInApp(<Host />);
  const [first, second] = rows;
  expect([first?.id, second?.id]).toEqual(['a', 'b']);
  mockData = [reading('b', 2.5), reading('a', 1), reading('c', 3)];
  act(() => again(1));
  expect(rows.map(({ id }) => id)).toEqual(['a', 'b', 'c']);
  expect(rows[0]).toBe(first);
  expect(rows[1]).not.toBe(second);
  expect(rows[1]?.volts).toBe(2.5);
});
