import type { JobView } from '@lucky-thread/contract';
import { act, fireEvent, screen } from '@testing-library/react-native';
import { useState } from 'react';
import { renderInApp } from '../../testing/render';
import type { ClosingProps } from './closing';
import { DropOffTimes } from './DropOffTimes';
import { HandOver } from './HandOver';
import { HandOverDock } from './HandOverDock';
import { ParkedDrain } from './ParkedDrain';
import { useHandOver } from './useHandOver';

type Device = JobView['device'];

function deviceOf(family: Device['family'], ...roles: string[]): Device {
  return {
    name: 'Set',
    ...(family === undefined ? {} : { family }),
    feeds: roles.map((role) => ({ id: role, name: role, role, currentA: 0.6, standbyA: 0.008 })),
  } as Device;
}

const noted = jest.fn();
const later = jest.fn();

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
      <Handing job={job} onNote={onNote} />
    </>
  );
}

function Handing({ job, onNote }: ClosingProps) {
  const { tests, left, current, ...handing } = useHandOver(job);
  return (
    <>
      <HandOver tests={tests} inHand={current?.test.id} onTake={handing.take} />
      {current !== undefined && (
        <HandOverDock
          of={current}
          left={left}
          starts={job.device.feeds.some(({ role }) => role === 'starter')}
          onFound={(value) => {
            onNote({ item: current.item, done: true, value });
            handing.goOn();
          }}
          onUndo={() => {
            onNote({ item: current.item, done: false, value: null });
            handing.goOn();
          }}
          onLater={() => {
            later(current.item);
            handing.later();
          }}
        />
      )}
    </>
  );
}

beforeEach(() => noted.mockReset());

it('keeps a test in hand until it came to what it must, and says where to look', () => {
  renderInApp(<Host device={deviceOf('remoteStart', 'starter')} />);
  expect(screen.getByText(/foot ready/)).toBeTruthy();
  expect(screen.getByTestId('hand-over-what')).toHaveTextContent(/^Hood open/);
  fireEvent.press(screen.getByTestId('hand-over-bad'));
  expect(noted).toHaveBeenLastCalledWith('hand-over:hood', true, 0);
  expect(screen.getByTestId('hand-over-failed')).toHaveTextContent(/Not so[\s\S]*1\. Its own wire/);
  expect(screen.getByTestId('hand-over-what')).toHaveTextContent(/^Hood open/);
  fireEvent.press(screen.getByTestId('hand-over-good'));
  expect(screen.getByTestId('hand-over-hood')).toHaveTextContent(/✓.*As it must, Sam/);
  expect(screen.getByTestId('hand-over-what')).toHaveTextContent(/lift the hood/);
  // Taken up again and taken back, it is the next one once more.
  fireEvent.press(screen.getByTestId('hand-over-hood'));
  fireEvent.press(screen.getByTestId('hand-over-undo'));
  expect(noted).toHaveBeenLastCalledWith('hand-over:hood', false, null);
  expect(screen.getByTestId('hand-over-hood')).toHaveTextContent(/^○/);
});

it('reads a stereo’s pairs by the meter and its phase by a cell, without the cautions of a starter', () => {
  renderInApp(<Host device={deviceOf('radio', 'constant', 'switched')} />);
  expect(screen.queryByText(/foot ready/)).toBeNull();
  fireEvent.changeText(screen.getByTestId('hand-over-figure'), '3,6');
  fireEvent.press(screen.getByTestId('hand-over-note'));
  expect(noted).toHaveBeenLastCalledWith('hand-over:speaker-front-left', true, 3.6);
  expect(screen.getByTestId('hand-over-what')).toHaveTextContent(/1\.5 V cell.*front left/);
  fireEvent.press(screen.getByTestId('hand-over-bad'));
  expect(screen.getByTestId('hand-over-failed')).toHaveTextContent(/It moved in[\s\S]*swap them/);
  fireEvent.press(screen.getByTestId('hand-over-good'));
  expect(screen.getByTestId('hand-over-what')).toHaveTextContent(/pair for front right/);
  // Behind an amplifier no cell is asked for, but a song.
  expect(screen.queryByTestId('hand-over-phase')).toBeNull();
  fireEvent.press(screen.getByTestId('hand-over-lacks'));
  expect(screen.getByTestId('hand-over-what')).toHaveTextContent(/pair for rear left/);
  expect(screen.queryByTestId('hand-over-cone-front-right')).toBeNull();
  expect(screen.getByTestId('hand-over-phase')).toBeTruthy();
});

it('puts a test off with a word on the job, and goes on with the next', () => {
  renderInApp(<Host device={deviceOf('remoteStart', 'starter')} />);
  fireEvent.press(screen.getByTestId('hand-over-later'));
  expect(later).toHaveBeenLastCalledWith('hand-over:hood');
  expect(screen.getByTestId('hand-over-what')).toHaveTextContent(/lift the hood/);
  expect(screen.getByTestId('hand-over-left')).toHaveTextContent(/8 to go/);
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

it('times what outlasts the key as well as what goes with it', () => {
  renderInApp(<Host device={deviceOf(undefined, 'retained')} />);
  expect(screen.getByTestId('drop-off-retained')).toBeTruthy();
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
