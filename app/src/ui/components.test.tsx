import { fireEvent, screen } from '@testing-library/react-native';
import { CIRCUIT_FUNCTIONS } from '@lucky-thread/core/vehicle';
import { PHASES } from '@lucky-thread/contract';
import { knotsOf } from '../work/phases';
import { renderInApp } from '../testing/render';
import { ActionButton } from './ActionButton';
import { Caution } from './Caution';
import { FunctionMark } from './FunctionMark';
import { JobThread } from './JobThread';
import { Stitch } from './Stitch';
import { DAY, NIGHT } from './tokens';

describe('Stitch', () => {
  it('says in words what it draws', () => {
    renderInApp(
      <Stitch
        named
        stitch={[
          { place: 'asleep', mark: 'loose' },
          { place: 'off', mark: 'low' },
          { place: 'acc', mark: 'high' },
          { place: 'run', mark: 'crossed' },
          { place: 'crank', mark: 'middle' },
        ]}
      />,
    );
    expect(
      screen.getByLabelText(
        'asleep not looked at, off dead, accessory live, run readings disagree, crank in between',
      ),
    ).toBeTruthy();
  });
});

describe('JobThread', () => {
  it('has a knot per phase that opens it, and says how each stands', () => {
    const opened: string[] = [];
    renderInApp(
      <JobThread
        knots={knotsOf({ phase: 'find', done: false })}
        open="find"
        onOpen={(phase) => opened.push(phase)}
      />,
    );
    for (const phase of PHASES) fireEvent.press(screen.getByTestId(`knot-${phase}`));
    expect(opened).toEqual([...PHASES]);
    expect(screen.getByLabelText('Device, done')).toBeTruthy();
    expect(screen.getByLabelText('Find, here')).toBeTruthy();
    expect(screen.getByLabelText('Log, not reached')).toBeTruthy();
  });

  it.each(['done', 'here', 'waiting', 'blocked', 'ahead'] as const)(
    'draws a knot that is %s',
    (state) => {
      const knots = { ...knotsOf({ phase: 'log', done: false }), log: state };
      renderInApp(<JobThread knots={knots} onOpen={() => undefined} />);
      expect(screen.getByTestId('knot-log')).toBeTruthy();
    },
  );

  it('is a picture with words on lists', () => {
    renderInApp(<JobThread knots={knotsOf({ phase: 'size', done: false })} />);
    expect(screen.getByLabelText(/^Phases: Vehicle done, .*Size here/)).toBeTruthy();
  });
});

it.each(CIRCUIT_FUNCTIONS)('marks %s by letters, with a question mark while unsure', (name) => {
  renderInApp(<FunctionMark of={name} sure={false} />);
  expect(screen.getByText(/ \?$/)).toBeTruthy();
});

it('reads a caution out as one', () => {
  renderInApp(<Caution>Never pull it.</Caution>);
  expect(screen.getByLabelText('Caution: Never pull it.')).toBeTruthy();
});

it('does nothing when a disabled button is pressed', () => {
  const pressed = jest.fn();
  renderInApp(<ActionButton label="Go" disabled onPress={pressed} />);
  fireEvent.press(screen.getByText('Go'));
  expect(pressed).not.toHaveBeenCalled();
});

describe('themes', () => {
  /** Relative luminance and contrast, WCAG 2.1. */
  const luminance = (hex: string): number => {
    const [r, g, b] = [1, 3, 5].map((at) => {
      const share = parseInt(hex.slice(at, at + 2), 16) / 255;
      return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
    }) as [number, number, number];
    return 0.2126 * r + 0.7152 * g + 0.0722 * b;
  };
  const contrast = (left: string, right: string): number => {
    const [light, dark] = [luminance(left), luminance(right)].sort((a, b) => b - a) as [
      number,
      number,
    ];
    return (light + 0.05) / (dark + 0.05);
  };
  it.each([
    ['day', DAY],
    ['night', NIGHT],
  ])('%s keeps 4.5 to 1 between text and ground (WCAG 2.1)', (_name, palette) => {
    for (const ground of [palette.canvas, palette.raised, palette.sunken])
      for (const ink of [palette.ink, palette.inkSoft])
        expect(contrast(ink, ground)).toBeGreaterThanOrEqual(4.5);
    expect(contrast(palette.onAccent, palette.accent)).toBeGreaterThanOrEqual(4.5);
    expect(contrast(palette.onDanger, palette.danger)).toBeGreaterThanOrEqual(4.5);
  });
});
