import { fireEvent, screen } from '@testing-library/react-native';
import { useState } from 'react';
import { renderInApp } from '../testing/render';
import { NumberField } from './NumberField';

const told: (number | undefined)[] = [];
beforeEach(() => {
  told.length = 0;
});

/** A length that must lie between 0.05 and 30 m, and says so of whatever does not. */
function Length() {
  const [value, setValue] = useState<number | undefined>(2);
  const fits = value !== undefined && value >= 0.05 && value <= 30;
  return (
    <NumberField
      label="Length"
      of="length"
      value={value}
      problem={fits || value === undefined ? undefined : 'between 0.05 and 30 m'}
      testID="length"
      onValue={(typed) => {
        told.push(typed);
        setValue(typed);
      }}
    />
  );
}

const type = (text: string): void => fireEvent.changeText(screen.getByTestId('length'), text);
const below = (): unknown => screen.queryByTestId('length-below')?.props.children;

describe('a field for a number', () => {
  it('takes a comma for a decimal point, and nothing for no value', () => {
    renderInApp(<Length />);
    type('3,5');
    type(' ');
    expect(told).toEqual([3.5, undefined]);
    expect(below()).toBeUndefined();
  });

  it('says of text that it is no number, and of a number what is wrong with it', () => {
    renderInApp(<Length />);
    type('-3,5 é<b>');
    expect(told).toEqual([NaN]);
    expect(screen.getByTestId('length').props.value).toBe('-3,5 é<b>');
    expect(screen.getByText('✕ That is no number')).toBeTruthy();
    type('-3,5');
    expect(screen.getByText('✕ between 0.05 and 30 m')).toBeTruthy();
    type('3.5');
    expect(screen.queryByText(/✕/)).toBeNull();
  });
});
