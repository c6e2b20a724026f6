import type { DeviceView } from '@lucky-thread/contract';
import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { renderInApp } from '../../testing/render';
import type { ShopCommandState } from '../../store/useShopCommand';
import { Devices } from './Devices';

const mockKeep = jest.fn((_kept: { id: string; request: object }) => Promise.resolve({}));
const mockDrop = jest.fn(() => Promise.resolve({}));
const mockBringIn = jest.fn();
let mockBrought: Partial<ShopCommandState<'shippedDevices'>> = {};
const mockSaved = jest.fn();
let mockDevices: { data?: DeviceView[]; isError?: boolean } = {};
jest.mock('../../store/api', () => ({
  ...jest.requireActual('../../store/api'),
  useDevicesQuery: () => mockDevices,
}));
jest.mock('../../store/useShopCommand', () => ({
  useShopCommand: (kind: string) =>
    ({
      device: [mockKeep, {}],
      deviceRemoval: [mockDrop, {}],
      shippedDevices: [mockBringIn, mockBrought],
    })[kind],
}));
const mockNavigate = jest.fn();
jest.mock('expo-router', () => ({ useRouter: () => ({ navigate: mockNavigate }) }));
jest.mock('../../ui/saveText', () => ({ saveText: (...of: unknown[]) => mockSaved(...of) }));
// The browser's own file dialog: here it hands over what the test puts in.
let mockChoose:
  | ((file: { name: string; text: () => Promise<string> }) => Promise<void>)
  | undefined;
jest.mock('../../ui/FilePicker', () => ({
  FilePicker: ({ onFile }: { onFile: typeof mockChoose }) => {
    mockChoose = onFile;
    return null;
  },
}));

const SET: DeviceView = {
  ...{ id: 'set', note: 'For the dash.', name: 'Set / No. 2' },
  options: [{ id: 'amp', name: 'Factory amplifier' }],
  feeds: [
    { id: 'memory', name: 'Constant', role: 'constant', currentA: 7 },
    { id: 'wake', name: 'Wake', role: 'switched', currentA: 0.1, onlyWith: 'amp' },
  ],
};
const chosen = (text: string) => ({ name: 'x.json', text: () => Promise.resolve(text) });

function brought(...added: string[]) {
  return { kind: 'stored', data: { added } } as const;
}

beforeEach(() => {
  jest.clearAllMocks();
  mockDevices = { data: [SET] };
  mockBrought = {};
});

it('hands a device on as a file that another shop reads in as it was', async () => {
  renderInApp(<Devices />);
  expect(screen.getByText('2 leads, by 1 option')).toBeTruthy();
  fireEvent.press(screen.getByTestId('device-file-Set / No. 2'));
  const [name, text] = mockSaved.mock.calls[0] as [string, string];
  expect(name).toBe('set-no-2.device.json');
  await mockChoose?.(chosen(text));
  const { id: _own, note, ...device } = SET;
  expect(mockKeep.mock.calls[0]?.[0].request).toEqual({
    ...{ kind: 'lucky-thread-device', version: 1 },
    ...{ note, device },
  });
});

it('leads to the entry of each device, and to a new one', () => {
  renderInApp(<Devices />);
  fireEvent.press(screen.getByTestId('device-change-Set / No. 2'));
  fireEvent.press(screen.getByTestId('device-new'));
  expect(mockNavigate.mock.calls).toEqual([['/shop/devices/set'], ['/shop/devices/new']]);
});

it.each([
  ['[', 'x.json: is no device: it can’t be read as JSON'],
  ['null', 'x.json: is no device'],
  ['{"kind":"lucky-thread-device","version":2}', /^x\.json: /],
  [
    '{"kind":"lucky-thread-device","version":1,"note":"n","device":{"name":"a","feeds":[]}}',
    /lead/,
  ],
])('names what is wrong with a file that says %s, and keeps nothing', async (text, says) => {
  renderInApp(<Devices />);
  await mockChoose?.(chosen(text));
  await waitFor(() => expect(screen.getByTestId('devices-problem')).toHaveTextContent(says));
  expect(mockKeep).not.toHaveBeenCalled();
});

it('takes a device out at the second touch only', () => {
  renderInApp(<Devices />);
  fireEvent.press(screen.getByTestId('device-drop-Set / No. 2'));
  expect(mockDrop).not.toHaveBeenCalled();
  fireEvent.press(screen.getByTestId('device-drop-Set / No. 2'));
  expect(mockDrop.mock.calls).toEqual([[{ id: 'set' }]]);
});

it('says that it is reading, or that it could not', () => {
  mockDevices = { isError: true };
  renderInApp(<Devices />);
  expect(screen.getByText('The catalogue could not be read.')).toBeTruthy();
});

it.each([
  [{ outcome: brought('Alarm', 'Lifter') }, 'brought-in', /Alarm, Lifter.*stayed as they were/],
  [{ outcome: brought() }, 'brought-in', /Nothing is new/],
  [{ outcome: { kind: 'kept' }, said: 'It is kept.' }, 'bring-in-problem', /It is kept/],
] as const)('brings in what is new, and says what came of it: %j', (state, where, says) => {
  renderInApp(<Devices />);
  expect(screen.queryByTestId('brought-in')).toBeNull();
  fireEvent.press(screen.getByTestId('devices-bring-in'));
  expect(mockBringIn).toHaveBeenCalledTimes(1);
  screen.unmount();
  mockBrought = state;
  renderInApp(<Devices />);
  expect(screen.getByTestId(where)).toHaveTextContent(says);
});
