import type { ModelView } from '@lucky-thread/contract';
import { fireEvent, screen, waitForElementToBeRemoved } from '@testing-library/react-native';
import { renderInApp } from '../../testing/render';
import { HandbookEntry } from './HandbookEntry';

const SLOT = { id: 'dash/F7', position: 'F7', legend: 'X7' };
const MODEL: Pick<ModelView, 'id' | 'make' | 'handbook'> = {
  id: 'm',
  make: 'Heron',
  handbook: [],
};

const mockEnter = jest.fn(() => Promise.resolve({ kind: 'stored' }));
jest.mock('../../store/useShopCommand', () => ({
  useShopCommand: () => [mockEnter, { busy: false }],
}));
beforeEach(() => mockEnter.mockClear());

describe('HandbookEntry', () => {
  it('asks nothing until it is opened, then keeps the words without their blanks, and closes', async () => {
    renderInApp(<HandbookEntry model={MODEL} slot={SLOT} />);
    expect(screen.queryByTestId('handbook-entry')).toBeNull();
    fireEvent.press(screen.getByTestId('handbook-open'));
    fireEvent.changeText(screen.getByTestId('handbook-entry'), ' Heated seats ');
    fireEvent.press(screen.getByTestId('handbook-keep'));
    const request = { entry: 'Heated seats' };
    expect(mockEnter).toHaveBeenCalledWith({ modelId: 'm', sourceId: 'dash/F7', request });
    await waitForElementToBeRemoved(() => screen.queryByTestId('handbook-entry'));
  });

  it('keeps nothing while nothing is typed', () => {
    renderInApp(<HandbookEntry model={MODEL} slot={SLOT} asked />);
    fireEvent.changeText(screen.getByTestId('handbook-entry'), '   ');
    fireEvent.press(screen.getByTestId('handbook-keep'));
    expect(mockEnter).not.toHaveBeenCalled();
  });

  it('stands open where the plan asks, and takes “not listed”', async () => {
    renderInApp(<HandbookEntry model={MODEL} slot={SLOT} asked />);
    fireEvent.press(screen.getByTestId('handbook-none'));
    const request = { entry: null };
    expect(mockEnter).toHaveBeenCalledWith({ modelId: 'm', sourceId: 'dash/F7', request });
    await waitForElementToBeRemoved(() => screen.queryByTestId('handbook-entry'));
  });

  it.each([
    ['Radio', false, 'Handbook: Radio (Mika, 2026-11-02).'],
    ['Radio', true, 'Handbook: Radio (Mika, 2026-11-02, found on another Heron).'],
    [null, false, 'Handbook: not listed (Mika, 2026-11-02).'],
  ])('says who looked it up and when: %s, from the glossary %s', (entry, fromGlossary, words) => {
    const handbook = [
      { sourceId: SLOT.id, entry, fromGlossary, by: 'Mika', at: '2026-11-02T09:00:00.000Z' },
    ];
    renderInApp(<HandbookEntry model={{ ...MODEL, handbook }} slot={SLOT} />);
    expect(screen.getByTestId('handbook-known')).toHaveTextContent(words);
  });
});
