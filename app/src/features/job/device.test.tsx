import type { CatalogueDevice, DeviceInput } from '@lucky-thread/contract';
import type { JobContext } from '@lucky-thread/work';
import { fireEvent, screen } from '@testing-library/react-native';
import { useState } from 'react';
import { renderInApp } from '../../testing/render';
import { Field } from '../../ui/Field';
import { DeviceOptions } from './DeviceOptions';
import { KeepDevice } from './KeepDevice';
import { OwnDevice } from './OwnDevice';
import { DeviceSummary } from './DeviceSummary';

const mockKeep = jest.fn((_kept: { id: string; request: { device: DeviceInput } }) =>
  Promise.resolve({}),
);
jest.mock('../../store/useShopCommand', () => ({ useShopCommand: () => [mockKeep, {}] }));
beforeEach(() => jest.clearAllMocks());

const SET: CatalogueDevice = {
  name: 'Set',
  options: [
    { id: 'bare', name: 'No accessory in the plug', says: 'An added wire wakes it.' },
    { id: 'amp', name: 'Factory amplifier' },
  ],
  feeds: [
    { id: 'acc', name: 'Accessory', role: 'switched', currentA: 1, onlyWithout: 'bare' },
    { id: 'ign', name: 'Ignition', role: 'switched', currentA: 1, onlyWith: 'bare' },
    { id: 'wake', name: 'Wake', role: 'switched', currentA: 1, onlyWith: 'amp' },
  ],
};
const OWN: DeviceInput = {
  name: 'Own',
  feeds: [{ id: 'lock', name: 'Lock', role: 'lock', currentA: 0.2 }],
};

it('asks what decides over the leads, and says at once which there are', () => {
  const taken: string[][] = [];
  renderInApp(
    <DeviceOptions
      device={{ ...SET, id: 'set', note: '' }}
      onDevice={({ feeds, fittedWith = [] }) =>
        taken.push([...feeds.map(({ id }) => id), ...fittedWith])
      }
    />,
  );
  expect(screen.getByTestId('option-leads')).toHaveTextContent('1 leads: Accessory');
  expect(screen.queryByText('An added wire wakes it.')).toBeNull();
  fireEvent.press(screen.getByTestId('option-bare'));
  fireEvent.press(screen.getByTestId('option-amp'));
  expect(screen.getByText('An added wire wakes it.')).toBeTruthy();
  expect(screen.getByTestId('option-leads')).toHaveTextContent('2 leads: Ignition, Wake');
  fireEvent.press(screen.getByTestId('option-bare'));
  expect(taken).toEqual([
    ['ign', 'No accessory in the plug'],
    ['ign', 'wake', 'No accessory in the plug', 'Factory amplifier'],
    ['acc', 'wake', 'Factory amplifier'],
  ]);
});

it('takes direction and what does not work without a lead, which may be wiped out again', () => {
  let device = OWN;
  function Host() {
    const [draft, setDraft] = useState(OWN);
    device = draft;
    return <OwnDevice device={draft} problems={[]} onDevice={setDraft} />;
  }
  renderInApp(<Host />);
  const press = (id: string): void => fireEvent.press(screen.getByTestId(id));
  press('direction-0-out');
  press('optional-0');
  fireEvent.changeText(screen.getByTestId('left-off-0'), 'The locks stay.');
  expect(device.feeds[0]).toMatchObject({ direction: 'out', leftOff: 'The locks stay.' });
  fireEvent.changeText(screen.getByTestId('left-off-0'), '');
  expect(device.feeds[0]).not.toHaveProperty('leftOff');
});

it('sums a job’s device up: what was chosen, and each lead in the trade’s words', () => {
  const lead = {
    ...{ id: 'lock', name: 'Lock', role: 'parkingLamps', currentA: 0.2, direction: 'out' },
    ...{ optional: true, leftOff: 'Nothing flashes.' },
  };
  const device = { name: 'Set', fittedWith: ['Factory amplifier'], feeds: [lead] };
  renderInApp(<DeviceSummary context={{ job: { device } } as unknown as JobContext} />);
  expect(screen.getByTestId('fitted-with')).toHaveTextContent('In this car: Factory amplifier.');
  expect(screen.getByText('Left off: Nothing flashes.')).toBeTruthy();
  const line = screen.getByText(/0\.2 A at 12 V, the device drives it, may be left off/);
  expect(line).not.toHaveTextContent(/parkingLamps/);
});

it('keeps a typed device in the catalogue, always as one entry, and names what it lacks', () => {
  function Host() {
    const [name, setName] = useState('');
    return (
      <>
        <Field label="Name" value={name} testID="name" onChange={setName} />
        <KeepDevice device={{ ...OWN, name }} />
      </>
    );
  }
  renderInApp(<Host />);
  fireEvent.press(screen.getByTestId('keep-device'));
  expect(screen.getByTestId('keep-problem')).toHaveTextContent(/name the device/);
  expect(mockKeep).not.toHaveBeenCalled();
  fireEvent.changeText(screen.getByTestId('name'), OWN.name);
  fireEvent.press(screen.getByTestId('keep-device'));
  fireEvent.press(screen.getByTestId('keep-device'));
  const [first, second] = mockKeep.mock.calls.map(([kept]) => kept);
  expect(first?.request.device).toEqual(OWN);
  expect(second?.id).toBe(first?.id);
});
