import type { JobContext } from '@lucky-thread/work';
import { fireEvent, screen } from '@testing-library/react-native';
import { renderInApp } from '../../testing/render';
import { HandOver } from './HandOver';

function jobOf(family: string, role: string): JobContext['job'] {
  return {
    id: `${family} ${role}`,
    device: { name: 'Set', family, feeds: [{ id: 'f', name: 'F', role, currentA: 1 }] },
  } as unknown as JobContext['job'];
}

it('asks what must stop a remote start to be tried, and keeps what was', () => {
  renderInApp(<HandOver job={jobOf('remoteStart', 'starter')} />);
  expect(screen.getByText(/^☐ Hood open/)).toBeTruthy();
  fireEvent.press(screen.getByTestId('hand-over-hood'));
  expect(screen.getByText(/^☒ Hood open/)).toBeTruthy();
  expect(screen.getByText(/^☐ Running by remote, press/)).toBeTruthy();
  fireEvent.press(screen.getByTestId('hand-over-hood'));
  expect(screen.getByText(/^☐ Hood open/)).toBeTruthy();
});

it.each([
  ['remoteStart', 'lock'],
  ['radio', 'starter'],
])('asks nothing of a %s with a %s lead', (family, role) => {
  renderInApp(<HandOver job={jobOf(family, role)} />);
  expect(screen.queryByTestId('hand-over')).toBeNull();
});
