import { fireEvent, screen } from '@testing-library/react-native';
import { renderInApp } from '../testing/render';
import { Failed } from './States';

it('says what the server said, and leads back', () => {
  const went: string[] = [];
  renderInApp(
    <Failed
      what="The job"
      why="Job not found"
      onRetry={() => went.push('again')}
      onBack={() => went.push('back')}
    />,
  );
  expect(screen.getByTestId('failed-why').props.children).toBe('Job not found');
  expect(screen.queryByText(/until the server answers/)).toBeNull();
  fireEvent.press(screen.getByTestId('failed-back'));
  expect(went).toEqual(['back']);
});

it('says that readings are kept while the server says nothing', () => {
  renderInApp(<Failed what="The job" onRetry={() => undefined} />);
  expect(screen.getByText(/kept on this phone until the server answers/)).toBeTruthy();
  expect(screen.queryByTestId('failed-back')).toBeNull();
});
