import type { JobView } from '@lucky-thread/contract';
import { act, fireEvent, screen } from '@testing-library/react-native';
import { useState } from 'react';
import { renderInApp } from '../../testing/render';
import type { ClosingProps } from './closing';
import { DropOffTimes } from './DropOffTimes';
import { HandOver } from './HandOver';
import { ParkedDrain } from './ParkedDrain';

type Device = JobView['device'];

function deviceOf(family: Device['family'], ...roles: string[]): Device {
  return {
    name: 'Set',
    ...(family === undefined ? {} : { family }),
    feeds: roles.map((role) => ({ id: role, name: role, role, currentA: 0.6, standbyA: 0.008 })),
  } as Device;
}

const noted = jest.fn();

/** The cards of a device, on a job that keeps what is noted. */
function Host({ device }: { readonly device: Device }) {
  const [closing, setClosing] = useState<JobView['closing']>([]);
  const job = { id: 'job', device, closing };
  const onNote: ClosingProps['onNote'] = ({ item, done, value }) => {
    noted(item, done, value);
    setClosing((before) => [
      ...before.filter((one) => one.item !== item),
      ...(done ? [{ item, value, by: 'Sam', at: '' }] : []),
    ]);
  };
  return (
    <>
      <DropOffTimes job={job} onNote={onNote} />
      <ParkedDrain job={job} onNote={onNote} />
      <HandOver job={job} onNote={onNote} />
    </>
  );
}

beforeEach(() => noted.mockReset());

it('asks what must stop a remote start to be tried, and keeps who tried it', () => {
  renderInApp(<Host device={deviceOf('remoteStart', 'starter')} />);
  expect(screen.getByText(/^☐ Hood open/)).toBeTruthy();
  fireEvent.press(screen.getByTestId('hand-over-hood'));
  expect(screen.getByText(/^☒ Hood open.*\(Sam\)/)).toBeTruthy();
  expect(screen.getByText(/^☐ Running by remote, press/)).toBeTruthy();
  fireEvent.press(screen.getByTestId('hand-over-hood'));
  expect(noted).toHaveBeenLastCalledWith('hand-over:hood', false, null);
  expect(screen.getByText(/^☐ Hood open/)).toBeTruthy();
});

it('tries a stereo by ear, without the cautions of a starter', () => {
  renderInApp(<Host device={deviceOf('radio', 'constant', 'switched')} />);
  expect(screen.getByText(/Balance and fader/)).toBeTruthy();
  expect(screen.queryByText(/foot ready/)).toBeNull();
});

it('asks nothing of what has no supply to try', () => {
  renderInApp(<Host device={deviceOf(undefined, 'lock')} />);
  for (const card of ['hand-over', 'drop-off', 'parked-drain'])
    expect(screen.queryByTestId(card)).toBeNull();
});

it('notes what was drawn parked on the job, once both are numbers in their range', () => {
  renderInApp(<Host device={deviceOf(undefined, 'constant')} />);
  fireEvent.changeText(screen.getByTestId('drain-before'), '0.03');
  fireEvent.changeText(screen.getByTestId('drain-after'), '900');
  fireEvent.press(screen.getByTestId('drain-note'));
  expect(noted).not.toHaveBeenCalled();
  fireEvent.changeText(screen.getByTestId('drain-after'), '0.035');
  expect(screen.getByTestId('drain-verdict')).toHaveTextContent(/✓ 35 mA with/);
  fireEvent.press(screen.getByTestId('drain-note'));
  expect(noted.mock.calls).toEqual([
    ['drain-before', true, 0.03],
    ['drain-after', true, 0.035],
  ]);
  expect(screen.getByText('Noted on the job')).toBeTruthy();
});

it('forgets a time that nobody watched to its end', () => {
  renderInApp(<Host device={deviceOf(undefined, 'switched')} />);
  fireEvent.press(screen.getByTestId('drop-off-switched'));
  fireEvent.press(screen.getByTestId('drop-off-forget-switched'));
  expect(screen.getByText('Key is off')).toBeTruthy();
  expect(noted).not.toHaveBeenCalled();
});

it('counts the time until a lead goes dead, and says what it means', () => {
  jest.useFakeTimers();
  renderInApp(<Host device={deviceOf(undefined, 'switched')} />);
  fireEvent.press(screen.getByTestId('drop-off-switched'));
  act(() => void jest.advanceTimersByTime(600_000));
  expect(screen.getByText('switched: 600 s')).toBeTruthy();
  fireEvent.press(screen.getByTestId('drop-off-switched'));
  expect(noted).toHaveBeenLastCalledWith('drop-off:switched', true, 600);
  // 0.6 A for ten minutes (computed).
  expect(screen.getByTestId('dropped-switched')).toHaveTextContent(/100 mAh each time/);
  jest.useRealTimers();
});
