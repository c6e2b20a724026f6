import { fireEvent, screen } from '@testing-library/react-native';
import type { Panel, Slot } from '@lucky-thread/core/vehicle';
import { renderInApp } from '../../testing/render';
import { InstrumentCheck } from './InstrumentCheck';
import { LegendCheck } from './LegendCheck';
import { parseRow, printedGrid } from '../../panel/legendGrid';
import { TestDrawing } from '../../instruments/TestDrawing';
import { stateAt } from '@lucky-thread/core/vehicle';

function slot(id: string, column: number, row: number, ratingA: number | undefined): Slot {
  return {
    id,
    position: id,
    legend: undefined,
    ratingA,
    family: 'mini',
    column,
    row,
    lie: 'tall',
    contacts: [
      { id: 'a', landmark: 'upper' },
      { id: 'b', landmark: 'lower' },
    ],
    clearance: 'clear',
  };
}

function panel(id: string, ratings: readonly (readonly (number | undefined)[])[]): Panel {
  return {
    id,
    name: `${id} panel`,
    location: '',
    access: [],
    columns: ratings[0]?.length ?? 0,
    rows: ratings.length,
    slots: ratings.flatMap((row, y) => row.map((rating, x) => slot(`${id}${x}${y}`, x, y, rating))),
  };
}

const DASH = panel('dash', [
  [10, 15, 20],
  [5, 30, 7.5],
]);
const BOOT = panel('boot', [
  [40, undefined],
  [10, 15],
  [5, 20],
]);

describe('InstrumentCheck', () => {
  it('says nothing before anything was tried', () => {
    renderInApp(<InstrumentCheck />);
    expect(screen.queryByTestId('finding-battery')).toBeNull();
  });

  it('trusts a good battery and clip, and says what a bad one means', () => {
    renderInApp(<InstrumentCheck />);
    fireEvent.changeText(screen.getByTestId('check-battery'), '12,5');
    fireEvent.changeText(screen.getByTestId('check-clip'), '12.5');
    expect(screen.getByTestId('finding-clip')).toHaveTextContent(/^✓/);
    fireEvent.changeText(screen.getByTestId('check-clip'), '3');
    expect(screen.queryByTestId('finding-clip')).toBeNull();
    expect(screen.getByLabelText(/Caution: .*clip/i)).toBeTruthy();
  });

  it('refuses what is no voltage, by what was typed', () => {
    renderInApp(<InstrumentCheck />);
    fireEvent.changeText(screen.getByTestId('check-battery'), 'full');
    expect(screen.getByText('✕ “full” is no number of volts')).toBeTruthy();
  });
});

describe('LegendCheck', () => {
  it('finds the legend upside down from the ratings seen', () => {
    renderInApp(<LegendCheck panels={[DASH]} />);
    fireEvent.changeText(screen.getByTestId('legend-row-0'), '7.5 30 5');
    fireEvent.changeText(screen.getByTestId('legend-row-1'), '20 15 10');
    expect(screen.getByTestId('legend-outcome')).toHaveTextContent(/Upside down/);
  });

  it('asks for the arrow or one more fuse while it is ambiguous', () => {
    renderInApp(<LegendCheck panels={[panel('even', [[10, 10, 10]])]} />);
    fireEvent.changeText(screen.getByTestId('legend-row-0'), '10 10 10');
    expect(screen.getByTestId('legend-outcome')).toHaveTextContent(/look for the arrow/);
  });

  it('is held against the panel that is picked', () => {
    renderInApp(<LegendCheck panels={[DASH, BOOT]} />);
    fireEvent.press(screen.getByTestId('legend-panel-boot'));
    for (const [row, text] of ['40 -', '10 15', '5 20'].entries())
      fireEvent.changeText(screen.getByTestId(`legend-row-${row}`), text);
    expect(screen.getByTestId('legend-outcome')).toHaveTextContent(/As printed/);
  });

  it('refuses more ratings than the panel has positions', () => {
    renderInApp(<LegendCheck panels={[BOOT]} />);
    fireEvent.changeText(screen.getByTestId('legend-row-0'), '1 2 3 4');
    expect(screen.getByText(/Row 1 has 4 ratings, the panel 2/)).toBeTruthy();
  });

  it('takes a row as it is typed: numbers, empty positions, and what nobody looked at', () => {
    expect(parseRow('10 7,5 - ?')).toEqual([10, 7.5, null, undefined]);
    expect(parseRow('10,15')).toEqual([10, 15]);
    expect(printedGrid(BOOT)).toEqual([
      [40, null],
      [10, 15],
      [5, 20],
    ]);
  });
});

describe('TestDrawing', () => {
  it.each([
    ['off', /key off/],
    ['acc', /accessory/],
    ['run', /run/],
    ['crank', /cranking/],
    ['asleep', /asleep/],
  ] as const)('says in words what it draws: %s', (place, words) => {
    renderInApp(<TestDrawing state={stateAt(place)} />);
    expect(screen.getByLabelText(words)).toBeTruthy();
  });
});
