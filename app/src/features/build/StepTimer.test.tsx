import type * as React from 'react';
import { act, fireEvent, screen } from '@testing-library/react-native';
import { renderInApp } from '../../testing/render';
import { StepTimer } from './StepTimer';

let mockKept: Record<string, unknown> = {};
jest.mock('../../store/keptDraft', () => {
  const { useState } = jest.requireActual<typeof React>('react');
  return {
    useKeptDraft: (key: string, empty: unknown) => {
      const [draft, set] = useState(mockKept[key] ?? empty);
      return {
        draft,
        setDraft: (next: unknown) => {
          mockKept = { ...mockKept, [key]: next };
          set(next);
        },
      };
    },
  };
});

const AT = new Date('2026-05-04T10:00:00Z');
beforeEach(() => {
  mockKept = {};
  jest.useFakeTimers({ now: AT });
});
afterEach(() => jest.useRealTimers());

const left = (): string => String(screen.getByTestId('step-timer').props.children);

it('counts down from when it was begun, and says when the time is over', () => {
  renderInApp(<StepTimer id="job set-up:2" seconds={10} />);
  expect(left()).toBe('10.0 s');
  fireEvent.press(screen.getByTestId('step-timer-start'));
  act(() => void jest.advanceTimersByTime(4000));
  expect(left()).toBe('6.0 s');
  act(() => void jest.advanceTimersByTime(6200));
  expect(left()).toBe('Time');
  fireEvent.press(screen.getByTestId('step-timer-start'));
  expect(left()).toBe('10.0 s');
});

it('has run on while something else was on the screen', () => {
  mockKept = { 'timer job set-up:2': { since: AT.getTime() - 7000 } };
  renderInApp(<StepTimer id="job set-up:2" seconds={10} />);
  expect(left()).toBe('3.0 s');
});

describe('a page that is out of sight', () => {
  const told = jest.fn();
  const asked = jest.fn(() => Promise.resolve('granted'));
  /** A browser that may tell, or was not asked yet, with its page in or out of sight. */
  const browser = (permission: string, visibilityState: string): void => {
    const kind = Object.assign(
      function Notified(...given: unknown[]) {
        told(...given);
      },
      { permission, requestPermission: asked },
    );
    Object.assign(globalThis, { Notification: kind, document: { visibilityState } });
  };
  const run = (): void => {
    renderInApp(<StepTimer id="job set-up:2" seconds={10} />);
    fireEvent.press(screen.getByTestId('step-timer-start'));
    act(() => void jest.advanceTimersByTime(11_000));
  };
  beforeEach(() => {
    told.mockReset();
    asked.mockClear();
  });
  afterEach(() => {
    Reflect.deleteProperty(globalThis, 'Notification');
    Reflect.deleteProperty(globalThis, 'document');
  });

  it('is told by the phone once the time is over', () => {
    browser('granted', 'hidden');
    run();
    expect(told).toHaveBeenCalledWith('Lucky Thread', { body: '10 s are over', tag: 'timer' });
    expect(asked).not.toHaveBeenCalled();
  });

  it('is not told twice what stands on the screen, nor against its owner’s wish', () => {
    browser('granted', 'visible');
    run();
    browser('denied', 'hidden');
    run();
    expect(told).not.toHaveBeenCalled();
  });

  it('asks as the timer begins, not before', () => {
    browser('default', 'hidden');
    renderInApp(<StepTimer id="job set-up:2" seconds={10} />);
    expect(asked).not.toHaveBeenCalled();
    fireEvent.press(screen.getByTestId('step-timer-start'));
    expect(asked).toHaveBeenCalledTimes(1);
  });
});
