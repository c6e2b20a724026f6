import { fireEvent, screen } from '@testing-library/react-native';
import { useState } from 'react';
import { renderInApp } from '../testing/render';
import { dayAt, daysFrom } from '../ui/days';
import { JobDay } from './JobDay';

const said = jest.fn();

function Host() {
  const [day, setDay] = useState<string | null>(null);
  return (
    <JobDay
      job={{ day }}
      onDay={(next) => {
        said(next);
        setDay(next);
      }}
    />
  );
}

it('takes one of the next days by a touch, a later one as typed, and no other text', () => {
  renderInApp(<Host />);
  const [, tomorrow = ''] = daysFrom(new Date(), 2);
  fireEvent.press(screen.getByTestId('day-ask'));
  fireEvent.press(screen.getByTestId(`day-${tomorrow}`));
  expect(said).toHaveBeenLastCalledWith(tomorrow);
  expect(screen.getByTestId('job-day')).toHaveTextContent('For tomorrow');
  fireEvent.press(screen.getByTestId('day-ask'));
  for (const text of ['2027-02-29', '29.2.2028', '2027-13-01', 'soon']) {
    fireEvent.changeText(screen.getByTestId('day-typed'), text);
    expect(screen.getByTestId('day-typed-below')).toHaveTextContent(/✕/);
    fireEvent.press(screen.getByTestId('day-note'));
  }
  expect(said).toHaveBeenLastCalledWith(tomorrow);
  fireEvent.changeText(screen.getByTestId('day-typed'), ' 2028-02-29 ');
  fireEvent.press(screen.getByTestId('day-note'));
  expect(said).toHaveBeenLastCalledWith('2028-02-29');
  fireEvent.press(screen.getByTestId('day-ask'));
  fireEvent.press(screen.getByTestId('day-none'));
  expect(said).toHaveBeenLastCalledWith(null);
  expect(screen.queryByTestId('job-day')).toBeNull();
  expect(dayAt(new Date())).toMatch(/^\d{4}-\d{2}-\d{2}$/);
});
