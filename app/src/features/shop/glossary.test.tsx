import type { GlossaryEntryView } from '@lucky-thread/contract';
import { fireEvent, screen } from '@testing-library/react-native';
import { renderInApp } from '../../testing/render';
import { Glossary } from './Glossary';

const mockDrop = jest.fn(() => Promise.resolve({}));
let mockEntries: { data?: GlossaryEntryView[]; isError?: boolean } = {};
jest.mock('../../store/api', () => ({
  ...jest.requireActual('../../store/api'),
  useGlossaryQuery: () => mockEntries,
}));
jest.mock('../../store/useShopCommand', () => ({ useShopCommand: () => [mockDrop, {}] }));

function entry(id: string, legend: string | null, words: string | null): GlossaryEntryView {
  const at = '2026-05-04T10:00:00.000Z';
  return {
    id,
    make: 'Skerrick',
    model: 'Longboat',
    sourceId: `dash/${id}`,
    legend,
    entry: words,
    by: 'Ana',
    at,
  };
}

describe('Glossary', () => {
  beforeEach(() => mockDrop.mockClear());

  it('finds entries by any of their words, and says who looked them up', () => {
    mockEntries = { data: [entry('F1', 'P/SEAT', 'Seat fan'), entry('F2', null, null)] };
    renderInApp(<Glossary />);
    expect(screen.getByText('P/SEAT: Seat fan')).toBeTruthy();
    expect(screen.getByText('dash/F2 (no legend): not listed')).toBeTruthy();
    expect(screen.getAllByText('Skerrick Longboat, Ana, 2026-05-04')).toHaveLength(2);
    fireEvent.changeText(screen.getByTestId('glossary-sought'), 'FAN');
    expect(screen.queryByTestId('glossary-F2')).toBeNull();
    fireEvent.changeText(screen.getByTestId('glossary-sought'), 'mirror');
    expect(screen.getByText('Nothing has “mirror” in it.')).toBeTruthy();
  });

  it('takes an entry out at the second touch only', () => {
    mockEntries = { data: [entry('F1', 'P/SEAT', 'Seat fan'), entry('F2', 'CIG', 'Socket')] };
    renderInApp(<Glossary />);
    fireEvent.press(screen.getByTestId('drop-F1'));
    fireEvent.press(screen.getByTestId('drop-F2'));
    expect(mockDrop).not.toHaveBeenCalled();
    fireEvent.press(screen.getByTestId('drop-F2'));
    expect(mockDrop.mock.calls).toEqual([[{ id: 'F2' }]]);
  });

  it('says that nothing was looked up, that it is reading, or that it could not', () => {
    mockEntries = { data: [] };
    renderInApp(<Glossary />);
    expect(screen.getByText(/Nothing looked up yet/)).toBeTruthy();
    mockEntries = { isError: true };
    renderInApp(<Glossary />);
    expect(screen.getByText('The glossary could not be read.')).toBeTruthy();
  });

  it('shows a few of many', () => {
    mockEntries = { data: Array.from({ length: 11 }, (_, at) => entry(`F${at}`, `L${at}`, 'x')) };
    renderInApp(<Glossary />);
    expect(screen.getByText('3 more: type to find them.')).toBeTruthy();
    expect(screen.queryByTestId('glossary-F9')).toBeNull();
  });
});
