import { fireEvent, screen } from '@testing-library/react-native';
import type { HarnessWireInput } from '@lucky-thread/contract';
import type { HarnessAdvice, HarnessWire } from '@lucky-thread/core/identify/harness';
import { adviseHarness } from '@lucky-thread/core/identify/harness';
import { PARKED, stateAt } from '@lucky-thread/core/vehicle';
import { renderInApp } from '../../testing/render';
import { HarnessDock } from './HarnessDock';
import { HarnessLimits } from './HarnessLimits';
import { PopPad } from '../../instruments/PopPad';
import { Separating } from './Separating';
import { Unproved } from './Unproved';
import { AT_REST } from '../../work/useHarness';
import { WireEditor } from './WireEditor';
import { WireList } from '../../panel/WireList';

const WIRES: HarnessWire[] = [
  { id: 'harness/W1', name: 'W1 YE', colour: 'YE', tapedWith: undefined },
  { id: 'harness/W2', name: 'W2 RD', colour: 'RD', tapedWith: undefined },
  { id: 'harness/W3', name: 'W3 BK', colour: 'BK', tapedWith: undefined },
];
const ON = { ...stateAt('run'), lamps: true };

function advice(readings: Parameters<typeof adviseHarness>[0]['readings'] = []): HarnessAdvice {
  return adviseHarness({ wires: WIRES, readings, state: PARKED });
}

function volts(sourceId: string, value: number, state = ON) {
  return {
    id: `${sourceId} ${value} ${state.key}`,
    sourceId,
    contact: undefined,
    state,
    value: { kind: 'volts' as const, volts: value },
  };
}

describe('WireEditor', () => {
  const known: HarnessWireInput[] = [{ id: 'harness/W1', name: 'W1', colour: 'YE' }];

  it('adds a wire by base and stripe, taped to the one before', () => {
    const made: HarnessWireInput[][] = [];
    renderInApp(<WireEditor wires={known} known={[]} onWires={(wires) => made.push(wires)} />);
    fireEvent.press(screen.getByTestId('base-BU'));
    fireEvent.press(screen.getByTestId('stripe-PK'));
    fireEvent.press(screen.getByTestId('taped'));
    fireEvent.press(screen.getByTestId('add-wire'));
    fireEvent.press(screen.getByTestId('drop-wire'));
    expect(made).toEqual([
      [...known, { id: 'harness/W2', name: 'W2', colour: 'BU/PK', tapedWith: 'harness/W1' }],
      [],
    ]);
  });

  it('takes several wires in one go, as people write them', () => {
    const made: HarnessWireInput[][] = [];
    renderInApp(<WireEditor wires={known} known={[]} onWires={(wires) => made.push(wires)} />);
    const type = (text: string) => fireEvent.changeText(screen.getByTestId('typed-wires'), text);
    type('BK, RD-YE; light green');
    fireEvent.press(screen.getByTestId('add-typed'));
    expect(made[0]?.map(({ name, colour }) => [name, colour])).toEqual([
      ['W1', 'YE'],
      ['W2', 'BK'],
      ['W3', 'RD/YE'],
      ['W4', 'LGN'],
    ]);
    expect(screen.queryByTestId('add-typed')).toBeNull();
    type('BK, mauve');
    expect(screen.getByText(/"mauve" is no colour/)).toBeTruthy();
    fireEvent.press(screen.getByTestId('add-typed'));
    expect(made).toHaveLength(1);
  });

  it('asks how colours are written where letters clash', () => {
    const made: HarnessWireInput[][] = [];
    renderInApp(<WireEditor wires={[]} known={[]} onWires={(wires) => made.push(wires)} />);
    expect(screen.queryByTestId('colour-system-german')).toBeNull();
    fireEvent.changeText(screen.getByTestId('typed-wires'), 'W/B');
    expect(screen.getByText(/may be WH\/BK .* or WH\/BU/)).toBeTruthy();
    fireEvent.press(screen.getByTestId('colour-system-letters, B blue'));
    fireEvent.press(screen.getByTestId('add-typed'));
    expect(made[0]?.[0]?.colour).toBe('WH/BU');
  });

  it('lays out the bunch that the model’s notes know, while there is none', () => {
    const made: HarnessWireInput[][] = [];
    renderInApp(<WireEditor wires={[]} known={known} onWires={(wires) => made.push(wires)} />);
    fireEvent.press(screen.getByTestId('known-bunch'));
    expect(made).toEqual([known]);
  });
});

describe('WireList', () => {
  it('names each wire with its role once it is known, and hands on the one touched', () => {
    const touched: string[] = [];
    const readings = [
      volts('harness/W1', 12.4),
      volts('harness/W2', 12.3),
      volts('harness/W3', 0),
      volts('harness/W1', 12.4, stateAt('off')),
      volts('harness/W2', 0, stateAt('off')),
      volts('harness/W2', 12.2, stateAt('acc')),
    ];
    renderInApp(
      <WireList
        wires={WIRES}
        advice={advice(readings)}
        wantedIds={new Set(['harness/W3'])}
        readCount={() => 2}
        selectedId={undefined}
        onSelect={(id) => touched.push(id)}
      />,
    );
    expect(screen.getByTestId('wire-harness/W1')).toHaveTextContent(/constant \(30\)/i);
    fireEvent.press(screen.getByTestId('wire-harness/W3'));
    expect(touched).toEqual(['harness/W3']);
  });
});

describe('HarnessLimits', () => {
  it('takes an instrument away and gives it back, and asks whose colours they are', () => {
    const benches: object[] = [];
    renderInApp(<HarnessLimits bench={AT_REST} onBench={(bench) => benches.push(bench)} />);
    fireEvent.press(screen.getByText('☐ No 9 V source'));
    fireEvent.press(screen.getByText('☐ No key'));
    fireEvent.press(screen.getByTestId('family-aftermarket'));
    expect(benches).toEqual([
      { ...AT_REST, cannot: ['pop'] },
      { ...AT_REST, cannot: ['acc', 'run'] },
      { ...AT_REST, family: 'aftermarket' },
    ]);
  });

  it('shows what is left out by a mark, not by colour alone', () => {
    renderInApp(
      <HarnessLimits bench={{ ...AT_REST, cannot: ['ohmmeter'] }} onBench={() => undefined} />,
    );
    expect(screen.getByText('☒ No ohmmeter')).toBeTruthy();
  });
});

describe('PopPad', () => {
  it('wants to know which speaker before which way the cone went; silence needs none', () => {
    const pops: unknown[] = [];
    renderInApp(
      <PopPad
        simulated={false}
        onPop={(cone, speaker) => pops.push([cone, speaker])}
        onSimulated={() => undefined}
      />,
    );
    fireEvent.press(screen.getByTestId('pop-out'));
    fireEvent.press(screen.getByTestId('pop-none'));
    fireEvent.press(screen.getByTestId('popped-rear left'));
    fireEvent.press(screen.getByTestId('pop-in'));
    expect(pops).toEqual([
      ['none', undefined],
      ['in', 'rear left'],
    ]);
    expect(screen.queryByTestId('pop-sim')).toBeNull();
  });
});

describe('HarnessDock', () => {
  it('gives the next test in one sentence and one button for the change of state', () => {
    const arrived: unknown[] = [];
    renderInApp(
      <HarnessDock
        advice={advice()}
        thinking={false}
        state={PARKED}
        clip="ground"
        onArrived={(state, clip) => arrived.push([state.key, state.lamps, clip])}
      />,
    );
    expect(screen.getByTestId('next')).toHaveTextContent(/\.$/);
    fireEvent.press(screen.getByTestId('arrived'));
    expect(arrived).toEqual([['run', true, 'ground']]);
  });

  it('helps when nothing is live, with a check for each cause', () => {
    const dead = WIRES.map(({ id }) => volts(id, 0));
    renderInApp(
      <HarnessDock
        advice={advice(dead)}
        thinking={false}
        state={ON}
        clip="ground"
        onArrived={() => undefined}
      />,
    );
    expect(screen.getByText(/tester has no ground/)).toBeTruthy();
    expect(screen.queryByTestId('arrived')).toBeNull();
  });
});

describe('what is still open', () => {
  const base = advice();
  it('names the wires at which the next likeliest reading of the bunch differs', () => {
    const assignments = [
      { roles: [], logWeight: 0, differsAt: [] },
      { roles: [], logWeight: -3, differsAt: ['harness/W2'] },
    ] as unknown as HarnessAdvice['assignments'];
    renderInApp(<Separating advice={{ ...base, assignments }} wires={WIRES} />);
    expect(screen.getByTestId('separating')).toHaveTextContent(/20 times less likely: W2 RD not/);
  });

  it('names the left-over wires that nobody has seen dead', () => {
    renderInApp(<Unproved ids={['harness/W3']} wires={WIRES} />);
    expect(screen.getByTestId('unproved')).toHaveTextContent(/Not proved dead yet.*W3 BK/);
  });
});
