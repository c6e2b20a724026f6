import { fireEvent, screen } from '@testing-library/react-native';
import { Text } from 'react-native';
import { renderInApp } from '../testing/render';
import { Guard } from './Guard';

let broken = true;
function Fragile() {
  if (broken) throw new Error('no such thing');
  return <Text>well</Text>;
}

it('keeps a fault to itself, and shows what is inside once it is mended', () => {
  const logged = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  renderInApp(
    <>
      <Guard what="Job 7">
        <Fragile />
      </Guard>
      <Text>the others</Text>
    </>,
  );
  expect(screen.getByText('the others')).toBeTruthy();
  expect(screen.getByText('Job 7 could not be shown.')).toBeTruthy();
  broken = false;
  fireEvent.press(screen.getByText('Try again'));
  expect(screen.getByText('well')).toBeTruthy();
  logged.mockRestore();
});
