import { screen } from '@testing-library/react-native';
import { renderInApp } from '../../testing/render';
import { LadderTool } from './LadderTool';

let mockParams: Record<string, string> = {};
jest.mock('expo-router', () => ({
  useRouter: () => ({ navigate: () => undefined, setParams: () => undefined }),
  useLocalSearchParams: () => mockParams,
}));

function shown(given: Record<string, string>): void {
  mockParams = given;
  renderInApp(<LadderTool />);
}

it('names the resistor of each button as it is sold', () => {
  shown({ restV: '4', testOhm: '1000', testV: '2', lockV: '1', unlockV: '2' });
  expect(screen.getByTestId('rung-lock')).toHaveTextContent('Lock: 330 Ω to ground');
  expect(screen.getByTestId('rung-unlock')).toHaveTextContent('Unlock: 1 kΩ to ground');
});

it('leaves out a button that nobody read, and says what is wrong with the test', () => {
  shown({ restV: '4', testOhm: '1000', testV: '2', lockV: '1', unlockV: '' });
  expect(screen.queryByTestId('rung-unlock')).toBeNull();
  shown({ restV: '4', testOhm: '1000', testV: '4', lockV: '1' });
  expect(screen.getAllByText(/part of the way down/)).toHaveLength(1);
});

it('warns where two steps lie too near each other', () => {
  shown({ restV: '5', testOhm: '1000', testV: '2.5', lockV: '2.5', unlockV: '2.62' });
  expect(screen.getAllByText(/1 % resistor, or a module/)).toHaveLength(2);
});
