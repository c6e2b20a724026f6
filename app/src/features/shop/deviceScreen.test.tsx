import type { DeviceFileInput, DeviceView } from '@lucky-thread/contract';
import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { renderInApp } from '../../testing/render';
import { DeviceScreen } from './DeviceScreen';

let mockAnswer: { kind: string } = { kind: 'stored' };
const mockKeep = jest.fn((_kept: Kept) => Promise.resolve(mockAnswer));
interface Kept {
  readonly id: string;
  readonly request: DeviceFileInput;
}
const mockNavigate = jest.fn();
let mockDevices: { data?: DeviceView[]; isError?: boolean; refetch?: () => void } = {};
jest.mock('../../store/shown', () => ({ useDevices: () => mockDevices }));
jest.mock('../../store/useShopCommand', () => ({ useShopCommand: () => [mockKeep, {}] }));
jest.mock('expo-router', () => ({
  useRouter: () => ({ navigate: mockNavigate }),
}));

const SET: DeviceView = {
  ...{ id: 'set', note: 'For the dash.', name: 'Set' },
  setUp: { guide: 'Guide 2', steps: [{ say: 'Hold the button' }] },
  feeds: [{ id: 'memory', name: 'Constant', role: 'constant', currentA: 7 }],
};
const press = (id: string): void => fireEvent.press(screen.getByTestId(id));
const type = (id: string, text: string): void => fireEvent.changeText(screen.getByTestId(id), text);

beforeEach(() => {
  jest.clearAllMocks();
  mockAnswer = { kind: 'stored' };
  mockDevices = { data: [SET] };
});

it('gives a device an option that a lead hangs on, keeps it under its own id and goes back', async () => {
  renderInApp(<DeviceScreen deviceId="set" />);
  press('open-lead-0');
  expect(screen.queryByTestId('presence-0-always')).toBeNull();
  press('add-option');
  type('option-name-0', 'Factory amplifier');
  type('option-says-0', 'Its wake-up is driven.');
  press('add-lead');
  type('lead-name-1', 'Wake');
  press('presence-1-without');
  press('presence-1-with');
  press('save-device');
  await waitFor(() => expect(mockNavigate).toHaveBeenCalledWith('/shop'));
  const [{ id: kept, request }] = mockKeep.mock.calls[0] as [Kept];
  const option = request.device.options?.[0]?.id;
  expect(option).toMatch(/^option-/);
  expect(kept).toBe('set');
  expect(request).toMatchObject({
    note: 'For the dash.',
    device: {
      name: 'Set',
      setUp: SET.setUp,
      options: [{ id: option, name: 'Factory amplifier', says: 'Its wake-up is driven.' }],
      feeds: [SET.feeds[0], { name: 'Wake', role: 'switched', onlyWith: option }],
    },
  });
});

it('hangs a lead on the lack of another option than the first', async () => {
  mockDevices = {
    data: [
      {
        ...SET,
        options: [
          { id: 'amp', name: 'Factory amplifier' },
          { id: 'bare', name: 'No plug' },
        ],
      },
    ],
  };
  renderInApp(<DeviceScreen deviceId="set" />);
  press('open-lead-0');
  press('presence-0-without');
  press('hangs-on-0-bare');
  press('save-device');
  await waitFor(() => expect(mockKeep).toHaveBeenCalled());
  expect(mockKeep.mock.calls[0]?.[0].request.device.feeds).toEqual([
    { ...SET.feeds[0], onlyWithout: 'bare' },
  ]);
});

it('takes steps back, and leaves the catalogue as it was', () => {
  renderInApp(<DeviceScreen deviceId="set" />);
  press('add-lead');
  expect(screen.getByTestId('lead-1')).toBeTruthy();
  press('open-lead-0');
  press('remove-lead-0');
  expect(screen.queryByTestId('lead-1')).toBeNull();
  press('undo-entry');
  expect(screen.getByTestId('lead-name-0').props.value).toBe('Constant');
  press('undo-entry');
  expect(screen.queryByTestId('lead-1')).toBeNull();
  type('own-amps-0', '9');
  press('undo-entry');
  expect(screen.getByTestId('own-amps-0').props.value).toBe('7');
  fireEvent.press(screen.getByText('Leave it as it was'));
  expect(mockNavigate).toHaveBeenCalledWith('/shop');
  expect(mockKeep).not.toHaveBeenCalled();
});

it('names what is missing and stays; what is refused stays too', async () => {
  renderInApp(<DeviceScreen deviceId={undefined} />);
  press('save-device');
  expect(screen.getByTestId('device-problems')).toHaveTextContent(/name the device/);
  expect(mockKeep).not.toHaveBeenCalled();
  mockAnswer = { kind: 'refused' };
  type('device-name', 'Own set');
  press('save-device');
  await waitFor(() => expect(mockKeep).toHaveBeenCalledTimes(1));
  expect(mockNavigate).not.toHaveBeenCalled();
});

it.each([
  ['gone', { data: [] }, 'No such device'],
  ['on its way', {}, /the catalogue/],
  ['not to be read', { isError: true }, /The catalogue/],
])('says that a device is %s', (_what, devices, says) => {
  mockDevices = devices;
  renderInApp(<DeviceScreen deviceId="set" />);
  expect(screen.getByText(says)).toBeTruthy();
  expect(screen.queryByTestId('device-screen')).toBeNull();
});
