import { fireEvent, screen } from '@testing-library/react-native';
import { useState } from 'react';
import { renderInApp } from '../../../testing/render';
import { OutputLoad } from './OutputLoad';
import { PhaseCheck } from './PhaseCheck';
import { PlugNumbers } from './PlugNumbers';
import { SpeakersTool } from './SpeakersTool';

let mockParams: Record<string, string> = {};
const mockSet = jest.fn();
jest.mock('expo-router', () => ({
  useRouter: () => ({ navigate: () => undefined, setParams: mockSet }),
  useLocalSearchParams: () => mockParams,
}));

function LoadHost({ on }: { readonly on: string }) {
  const [state, setState] = useState<{ on: string; least: 2 | 4 }>({ on, least: 4 });
  return <OutputLoad {...state} onChange={(changed) => setState({ ...state, ...changed })} />;
}

function PhaseHost() {
  const [state, setState] = useState({ four: true, coneSeen: false, heard: '' });
  return <PhaseCheck {...state} onChange={(changed) => setState({ ...state, ...changed })} />;
}

const ways = (): string[] =>
  screen.getAllByTestId('way').map((way) => {
    const [text] = way.findAll((one) => typeof one.props['children'] === 'string');
    return String(text?.props['children']);
  });

describe('what hangs on one output', () => {
  it('shows which way the output stands first, and that the other one kills it', () => {
    renderInApp(<LoadHost on="4-4" />);
    expect(ways()).toEqual(['✓ 4 Ω + 4 Ω in series: 8 Ω', '✕ 4 Ω with 4 Ω in parallel: 2 Ω']);
    expect(screen.getByText('Power: 4 Ω 50 %, 4 Ω 50 %.')).toBeTruthy();
    expect(screen.getByText(/Under 4 Ω the output runs hot/)).toBeTruthy();
  });

  it('counts anew as speakers come and go, and as the output’s print says', () => {
    renderInApp(<LoadHost on="" />);
    expect(screen.queryAllByTestId('way')).toEqual([]);
    fireEvent.press(screen.getByTestId('add-8-ohm'));
    expect(ways()).toEqual(['✓ 8 Ω alone: 8 Ω']);
    fireEvent.press(screen.getByTestId('add-8-ohm'));
    expect(ways()).toEqual(['✓ 8 Ω with 8 Ω in parallel: 4 Ω', '✓ 8 Ω + 8 Ω in series: 16 Ω']);
    fireEvent.press(screen.getByTestId('drop-speaker'));
    fireEvent.press(screen.getByTestId('drop-speaker'));
    fireEvent.press(screen.getByTestId('add-2-ohm'));
    expect(screen.getByTestId('no-way')).toBeTruthy();
    fireEvent.press(screen.getByTestId('least-ohm-2'));
    expect(screen.queryByTestId('no-way')).toBeNull();
  });

  it('leaves out of an address what is no speaker', () => {
    renderInApp(<LoadHost on="4-banana--3.7-1e9-8" />);
    expect(screen.getByTestId('on-output')).toHaveTextContent('On it: 4 Ω, 8 Ω. Add one:');
  });
});

describe('which speaker is reversed', () => {
  it('asks one against one in order, and names the odd one', () => {
    renderInApp(<PhaseHost />);
    expect(screen.getByTestId('phase-verdict')).toHaveTextContent(
      /Next: front left and front right/,
    );
    for (const speaker of ['front right', 'rear left', 'rear right'])
      fireEvent.press(screen.getByTestId(`heard-${speaker}-s`));
    expect(screen.getByTestId('phase-verdict')).toHaveTextContent(
      /minus of front left, at the joint/,
    );
    fireEvent.press(screen.getByTestId('cone-seen'));
    expect(screen.getByTestId('phase-verdict')).toHaveTextContent(
      /front right and rear left and rear right/,
    );
    fireEvent.press(screen.getByTestId('corners-two'));
    expect(screen.queryByTestId('heard-rear left-a')).toBeNull();
  });

  it('says that all push together, or that half is against half', () => {
    renderInApp(<PhaseHost />);
    fireEvent.press(screen.getByTestId('corners-two'));
    fireEvent.press(screen.getByTestId('heard-front right-s'));
    expect(screen.getByTestId('phase-verdict')).toHaveTextContent(/half is against half/);
    fireEvent.press(screen.getByTestId('heard-front right-a'));
    expect(screen.getByTestId('phase-verdict')).toHaveTextContent('All of them push together.');
  });
});

it('says whose side a cavity’s speaker is on, as the wheel is', () => {
  const { unmount } = renderInApp(<PlugNumbers wheel="left" onWheel={() => undefined} />);
  expect(screen.getByText('front left + · driver’s front')).toBeTruthy();
  unmount();
  const wheels: string[] = [];
  renderInApp(<PlugNumbers wheel="right" onWheel={(wheel) => wheels.push(wheel)} />);
  expect(screen.getByText('front left + · passenger’s front')).toBeTruthy();
  fireEvent.press(screen.getByTestId('wheel-left'));
  expect(wheels).toEqual(['left']);
});

it('keeps what was entered in the address', () => {
  mockParams = { on: '8-8', wheel: 'right', heard: 'a--', corners: 'four' };
  renderInApp(<SpeakersTool />);
  expect(screen.getByTestId('on-output')).toHaveTextContent(/8 Ω, 8 Ω/);
  expect(screen.getByTestId('phase-verdict')).toHaveTextContent(/Next: front left and rear left/);
  fireEvent.press(screen.getByTestId('add-4-ohm'));
  fireEvent.press(screen.getByTestId('heard-rear left-s'));
  fireEvent.press(screen.getByTestId('wheel-left'));
  expect(mockSet.mock.calls).toEqual([
    [{ on: '8-8-4' }],
    [{ heard: 'as-' }],
    [{ wheel: undefined }],
  ]);
});
