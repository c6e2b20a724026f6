import { fireEvent, screen } from '@testing-library/react-native';
import { renderInApp } from '../../testing/render';
import { DesignTool } from './DesignTool';

let mockParams: Record<string, string> = {};
jest.mock('expo-router', () => ({
  useRouter: () => ({ navigate: () => undefined, setParams: () => undefined }),
  useLocalSearchParams: () => mockParams,
}));

function shown(given: Record<string, string>): void {
  mockParams = given;
  renderInApp(<DesignTool />);
}

const outcome = (): string => String(screen.getByTestId('outcome').props.children);
const touch = (id: string): void => void fireEvent.press(screen.getByTestId(id));

it('turns a lock motor either way, and lets it stand when both triggers come', () => {
  shown({});
  expect(outcome()).toMatch(/stands still/);
  touch('hold-1');
  expect(outcome()).toMatch(/turns forward/);
  touch('hold-2');
  expect(outcome()).toMatch(/Both held at once: the motor stands still/);
  touch('hold-1');
  expect(outcome()).toMatch(/turns backward/);
  expect(screen.getByLabelText(/^K2, pulled in: .*87a to switch 2/)).toBeTruthy();
});

it('holds what a pulse switched on, and lets go at the other', () => {
  shown({ what: 'latch', first: 'plus', second: 'plus' });
  touch('hold-1');
  touch('hold-1');
  expect(outcome()).toMatch(/Nothing held: the output is at plus/);
  touch('hold-2');
  touch('hold-2');
  expect(outcome()).toMatch(/Nothing held: the output is open/);
});

it('cuts a line, and takes what is no choice for the first one', () => {
  shown({ what: 'interrupt', second: 'none', cut: 'whenever' });
  expect(outcome()).toMatch(/line is whole/);
  touch('hold-1');
  expect(outcome()).toMatch(/line is cut/);
  expect(screen.getByTestId('truth')).toHaveTextContent(/all 2 inputs/);
});
