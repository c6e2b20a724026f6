import { fireEvent, screen } from '@testing-library/react-native';
import { renderInApp } from '../testing/render';
import { Words } from '../ui/Words';
import { room } from './room';

let mockFetches = 0;
let mockIsCutOff = true;
jest.mock('./importRooms', () => ({
  importRooms: () => {
    mockFetches += 1;
    if (mockIsCutOff) return Promise.reject(new Error('no signal'));
    return Promise.resolve({ ToolRoom: MockTool, BenchScreen: MockBench });
  },
}));

function MockTool() {
  return <Words>the tool</Words>;
}

function MockBench() {
  return <Words>the bench</Words>;
}

it('offers another try where the rooms could not be fetched, and fetches them once for all', async () => {
  const Tool = room((rooms) => rooms.ToolRoom);
  const Bench = room((rooms) => rooms.BenchScreen);
  renderInApp(<Tool />);
  await screen.findByText(/This screen could not be loaded/);
  mockIsCutOff = false;
  fireEvent.press(screen.getByText('Try again'));
  await screen.findByText('the tool');
  const fetched = mockFetches;
  renderInApp(<Bench />);
  // Without a moment of waiting in between.
  expect(screen.getByText('the bench')).toBeTruthy();
  expect(mockFetches).toBe(fetched);
});
