import type { NoteView } from '@lucky-thread/contract';
import {
  fireEvent,
  screen,
  waitFor,
  waitForElementToBeRemoved,
} from '@testing-library/react-native';
import { renderInApp } from '../../../testing/render';
import { Notes } from './Notes';

const mockWrite = jest.fn();
const mockTake = jest.fn();
jest.mock('../../../store/useShopCommand', () => ({
  useShopCommand: (kind: string) => [kind === 'note' ? mockWrite : mockTake, { busy: false }],
}));
beforeEach(() => {
  jest.clearAllMocks();
  mockWrite.mockResolvedValue({ kind: 'kept' });
});

function note(id: string, sourceId: string | null, kind: NoteView['kind']): NoteView {
  const at = '2026-11-02T09:00:00.000Z';
  return { id, placeId: 'dash', sourceId, kind, text: `Words of ${id}`, by: 'Ida', at };
}
const model = {
  id: 'm',
  notes: [note('a', null, 'note'), note('b', 'dash/F7', 'bulletin'), note('c', 'dash/F8', 'note')],
};

it('shows what was written about the place, or about the source alone, with who and when', () => {
  renderInApp(<Notes model={model} placeId="dash" />);
  expect(screen.getByTestId('place-notes')).toHaveTextContent(/^Words of a \(Ida, 2026-11-02\)/);
  screen.unmount();
  renderInApp(<Notes model={model} placeId="dash" sourceId="dash/F7" />);
  expect(screen.getByTestId('source-notes')).toHaveTextContent(/Known damage: Words of b/);
  expect(screen.queryByTestId('note-c')).toBeNull();
});

it('writes one note under one id, however often it is tried, and closes', async () => {
  mockWrite.mockResolvedValueOnce({ kind: 'refused', error: {}, problem: 'no' });
  renderInApp(<Notes model={model} placeId="dash" sourceId="dash/F7" />);
  fireEvent.press(screen.getByTestId('source-notes-open'));
  fireEvent.press(screen.getByTestId('note-keep'));
  expect(mockWrite).not.toHaveBeenCalled();
  fireEvent.press(screen.getByTestId('note-kind-bulletin'));
  expect(screen.getByText(/nothing is joined here any more/)).toBeTruthy();
  fireEvent.changeText(screen.getByTestId('note-text'), ' Burnt ');
  fireEvent.press(screen.getByTestId('note-keep'));
  await waitFor(() => expect(mockWrite).toHaveBeenCalledTimes(1));
  fireEvent.press(screen.getByTestId('note-keep'));
  await waitForElementToBeRemoved(() => screen.queryByTestId('note-text'));
  const [first, second] = mockWrite.mock.calls.map(([body]: [{ noteId: string }]) => body);
  expect(second).toEqual(first);
  expect(first).toMatchObject({
    modelId: 'm',
    request: { placeId: 'dash', sourceId: 'dash/F7', kind: 'bulletin', text: 'Burnt' },
  });
});

it('takes one away at the second touch only', () => {
  renderInApp(<Notes model={model} placeId="dash" />);
  fireEvent.press(screen.getByTestId('drop-note-a'));
  expect(mockTake).not.toHaveBeenCalled();
  fireEvent.press(screen.getByTestId('drop-note-a'));
  expect(mockTake).toHaveBeenCalledWith({ modelId: 'm', noteId: 'a' });
});
