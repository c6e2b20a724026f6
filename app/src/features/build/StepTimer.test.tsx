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
