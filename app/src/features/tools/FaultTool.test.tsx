import { fireEvent, screen } from '@testing-library/react-native';
import { renderInApp } from '../../testing/render';
import { FaultTool } from './FaultTool';

let mockParams: Record<string, string> = {};
const mockSet = jest.fn();
jest.mock('expo-router', () => ({
  useRouter: () => ({ navigate: () => undefined, setParams: mockSet }),
  useLocalSearchParams: () => mockParams,
}));

function shown(given: Record<string, string>): void {
  mockParams = given;
  renderInApp(<FaultTool />);
}

it('asks for one check after the other, and names the cause with what is done about it', () => {
  shown({ symptom: 'cranking', seen: 'crankSource-2' });
  expect(screen.getByTestId('fault')).toHaveTextContent(/the source dies while cranking/);
  expect(screen.getByTestId('found')).toHaveTextContent(/live in run and crank/);
});

it('puts what was seen into the address, so that it is there after a reload', () => {
  shown({ symptom: 'dead' });
  fireEvent.press(screen.getByTestId('outcome-1'));
  expect(mockSet).toHaveBeenCalledWith(
    expect.objectContaining({ seen: expect.stringMatching(/^\w+-1$/) }),
  );
});

it('passes over what is no check of the symptom, and no outcome of the check', () => {
  shown({ symptom: 'nonsense', seen: 'seeFuse-7.pop-1.x.seeFuse-' });
  expect(screen.getByTestId('next-check')).toBeTruthy();
  expect(screen.getByTestId('fault-undo').props.accessibilityState?.disabled ?? true).toBe(true);
});

it('cautions where the engine is cranked', () => {
  shown({ symptom: 'cranking' });
  expect(screen.getByText(/Neutral or park/)).toBeTruthy();
});
