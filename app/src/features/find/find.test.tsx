import { act, fireEvent, screen, waitFor } from '@testing-library/react-native';
import { advise } from '@lucky-thread/core/identify';
import type { NextAction, Reading, Verdict } from '@lucky-thread/core/identify';
import type { Panel, Slot } from '@lucky-thread/core/vehicle';
import { PARKED, stateAt } from '@lucky-thread/core/vehicle';
import { useState } from 'react';
import { Words } from '../../ui/Words';
import { renderInApp } from '../../testing/render';
import { FusePanel } from '../../panel/FusePanel';
import type { ReadingRow } from '../../work/jobReadings';
import { NextDock } from './NextDock';
import { ReadingHistory } from '../../instruments/ReadingHistory';
import { ReadingPad } from '../../instruments/ReadingPad';
import { StateSwitches } from '../../instruments/StateSwitches';
import type { ReadingTaker } from '../../work/useTakeReading';
import { VerdictCard } from '../../panel/VerdictCard';
import { slotTitle } from '../../panel/sourceTitle';

jest.mock('../../store/outboxStorage', () => ({
  outboxStorage: {
    all: () => Promise.resolve([]),
    // Kept for ever: what is sent is tested with the outbox.
    keep: () => new Promise(() => undefined),
    drop: () => Promise.resolve(),
  },
}));

// What is sent later is none of this file's business.
beforeAll(() => {
  jest.useFakeTimers({ doNotFake: ['setImmediate', 'queueMicrotask', 'nextTick', 'Date'] });
});
afterAll(() => jest.useRealTimers());

function slot(position: string, legend: string | undefined, column: number): Slot {
  return {
    id: `dash/${position}`,
    position,
    legend,
    ratingA: 10,
    family: 'mini',
    column,
    row: 0,
    lie: 'tall',
    contacts: [
      { id: 'a', landmark: 'upper contact' },
      { id: 'b', landmark: 'lower contact' },
    ],
    clearance: 'clear',
  };
}

const SLOTS = [slot('F1', 'A/BAG', 0), slot('F2', 'BAT', 1), slot('F3', undefined, 2)];
const PANEL: Panel = {
  id: 'dash',
  name: 'Dash panel',
  location: 'Right dash end',
  access: [],
  columns: 3,
  rows: 1,
  slots: SLOTS,
};
const OFF: Reading = {
  id: 'r1',
  sourceId: 'dash/F2',
  contact: undefined,
  state: PARKED,
  value: { kind: 'volts', volts: 12.5 },
};

function adviceFor(readings: readonly Reading[]) {
  return advise({
    sources: SLOTS.map((one) => ({
      id: one.id,
      name: one.position,
      legend: one.legend,
      fitted: true,
      tappable: true,
      logged: undefined,
    })),
    readings,
    state: PARKED,
    needs: [{ id: 'm', role: 'constant' }],
  });
}

function row(id: string, more: Partial<ReadingRow> = {}): ReadingRow {
  return {
    id,
    sourceId: 'dash/F2',
    contact: null,
    state: { ...PARKED },
    instrument: 'meter',
    volts: 12.5,
    glow: null,
    highVolts: null,
    ohms: null,
    cone: null,
    speaker: null,
    otherId: null,
    clip: null,
    takenAt: '2026-05-04',
    takenBy: 'Installer',
    withdrawnAt: null,
    saved: 'saved',
    problem: undefined,
    ...more,
  };
}

describe('FusePanel', () => {
  const verdicts = new Map(adviceFor([OFF]).verdicts.map((one) => [one.sourceId, one]));
  const show = (onTouch: (id: string) => void, logged: readonly string[] = []) =>
    renderInApp(
      <FusePanel
        panel={PANEL}
        verdicts={verdicts}
        selectedId="dash/F2"
        wantedIds={new Set(['dash/F3'])}
        loggedIds={new Set(logged)}
        onTouch={onTouch}
      />,
    );

  it('shows every slot with position, rating and legend, and hands on the one touched', () => {
    const touched: string[] = [];
    show((id) => touched.push(id));
    for (const one of SLOTS) fireEvent.press(screen.getByTestId(`slot-${one.id}`));
    expect(touched).toEqual(SLOTS.map((one) => one.id));
    expect(screen.getAllByText('10A')).toHaveLength(3);
    expect(screen.getByText('BAT')).toBeTruthy();
  });

  it('marks what must never be tapped by word, not by colour alone', () => {
    show(() => undefined);
    expect(screen.getAllByText('NEVER')).toHaveLength(1);
  });

  it('marks what the log names', () => {
    show(() => undefined, ['dash/F3']);
    expect(screen.getByText('IN LOG')).toBeTruthy();
  });

  it('draws the stitch of what was read', () => {
    show(() => undefined);
    expect(screen.getByLabelText(/asleep not looked at, off live/)).toBeTruthy();
  });
});

describe('ReadingPad', () => {
  const taker = (over: Partial<ReadingTaker> = {}): ReadingTaker => ({
    glow: jest.fn(() => Promise.resolve(true)),
    volts: jest.fn(() => Promise.resolve(true)),
    simulated: jest.fn(() => Promise.resolve(true)),
    problem: undefined,
    busy: false,
    link: 'closed',
    ...over,
  });

  it.each(['lit', 'dim', 'dark'] as const)(
    'logs a lamp that is %s with one touch',
    async (glow) => {
      const given = taker();
      const taken = jest.fn();
      renderInApp(<ReadingPad taker={given} simulated={false} onTaken={taken} />);
      fireEvent.press(screen.getByTestId(`pad-${glow}`));
      expect(given.glow).toHaveBeenCalledWith(glow);
      await waitFor(() => expect(taken).toHaveBeenCalledTimes(1));
    },
  );

  it('takes volts from a keypad and closes it', async () => {
    const given = taker();
    renderInApp(<ReadingPad taker={given} simulated={false} />);
    fireEvent.press(screen.getByTestId('pad-volts'));
    for (const key of ['1', '2', '.', '4']) fireEvent.press(screen.getByTestId(`key-digit-${key}`));
    await act(async () => {
      fireEvent.press(screen.getByTestId('keypad-log'));
      await Promise.resolve();
    });
    expect(given.volts).toHaveBeenCalledWith('12.4');
    expect(screen.queryByTestId('keypad')).toBeNull();
  });

  it('keeps what was typed when it was refused, and says why', () => {
    const given = taker({
      volts: jest.fn(() => Promise.resolve(false)),
      problem: 'volts must lie within ±60 V',
    });
    renderInApp(<ReadingPad taker={given} simulated={false} />);
    fireEvent.press(screen.getByTestId('pad-volts'));
    fireEvent.press(screen.getByTestId('key-digit-9'));
    fireEvent.press(screen.getByTestId('keypad-log'));
    expect(screen.getByTestId('keypad-text').props.children).toBe('9');
    expect(screen.getByTestId('pad-problem')).toBeTruthy();
  });

  it('offers the simulated meter only where there is a simulated car', async () => {
    const given = taker();
    const { rerender } = renderInApp(<ReadingPad taker={given} simulated={false} />);
    expect(screen.queryByTestId('pad-sim')).toBeNull();
    rerender(<></>);
    const taken = jest.fn();
    renderInApp(<ReadingPad taker={given} simulated onTaken={taken} />);
    await act(async () => fireEvent.press(screen.getByTestId('pad-sim')));
    expect(given.simulated).toHaveBeenCalled();
    expect(taken).toHaveBeenCalled();
  });
});

describe('StateSwitches', () => {
  it('hands on what was done to the car', () => {
    const changes: unknown[] = [];
    renderInApp(<StateSwitches state={PARKED} onChange={(change) => changes.push(change)} />);
    fireEvent.press(screen.getByTestId('key-run'));
    fireEvent.press(screen.getByTestId('lamps'));
    fireEvent.press(screen.getByTestId('door'));
    fireEvent.press(screen.getByTestId('asleep'));
    expect(changes).toEqual([
      { kind: 'key', to: 'run' },
      { kind: 'lamps', to: true },
      { kind: 'door', to: 'closed' },
      { kind: 'sleep' },
    ]);
  });

  it('says that the door was opened since the key went off, although it is shut', () => {
    renderInApp(
      <StateSwitches state={{ ...PARKED, driverDoor: 'closed' }} onChange={() => undefined} />,
    );
    expect(screen.getByText('shut again')).toBeTruthy();
  });
});

describe('NextDock', () => {
  const show = (next: NextAction | undefined, state = PARKED, found = 0) => {
    const calls: string[] = [];
    renderInApp(
      <NextDock
        next={next}
        thinking={false}
        state={state}
        deferred={[]}
        clip="ground"
        onArrived={({ state: to, sourceIds: [first] }) =>
          calls.push(`arrived ${to.key} ${first ?? ''}`)
        }
        onDefer={(place, deferred) => calls.push(`defer ${place} ${String(deferred)}`)}
        spare={new Set(['hood', 'tach'])}
        nameOf={(id) => (id === 'hood' ? 'Hood switch' : id)}
        found={found}
        onFilled={() => calls.push('filled')}
        lookUp={(sourceId) => <Words>{`field for ${sourceId}`}</Words>}
      />,
    );
    return calls;
  };
  it('names the clip alone where the car stays as it is', () => {
    const calls = show({
      kind: 'visit',
      visit: {
        ...{
          place: 'off',
          state: PARKED,
          sourceIds: ['W1'],
          withLamp: [],
          seconds: 10,
          firstSeconds: 10,
        },
        ...{ instrument: 'meter', clip: 'constant' },
      },
      ...{ instruction: 'Clip on plus, then touch W1.', because: 'It tells.', caution: undefined },
    });
    fireEvent.press(screen.getByText('Clip is on plus'));
    expect(calls).toEqual(['arrived off W1']);
  });

  it('asks what the handbook says, with what it takes, and shows where to enter it', () => {
    show({
      kind: 'handbook',
      sourceId: 'F2',
      seconds: 40,
      instruction: 'Look up F2 in the handbook.',
      because: 'Its legend can’t be read.',
    });
    expect(screen.getByTestId('next')).toHaveTextContent('Look up F2 in the handbook.');
    expect(screen.getByText('Its legend can’t be read. About 40 s.')).toBeTruthy();
    expect(screen.getByText('field for F2')).toBeTruthy();
  });

  const visit = (place: 'run' | 'crank'): NextAction => ({
    kind: 'visit',
    instruction: 'Do it, then touch F2.',
    because: 'It tells most.',
    caution: place === 'crank' ? 'Nobody near belts.' : undefined,
    visit: {
      place,
      state: stateAt(place),
      sourceIds: ['dash/F2'],
      withLamp: [],
      seconds: 9,
      firstSeconds: 9,
    },
  });

  it('says the next test in one sentence with one button for the change of state', () => {
    const calls = show(visit('run'));
    expect(screen.getByTestId('next').props.children).toBe('Do it, then touch F2.');
    fireEvent.press(screen.getByTestId('arrived'));
    expect(calls).toEqual(['arrived run dash/F2']);
    expect(screen.queryByTestId('defer')).toBeNull();
  });
  it('shows the caution at cranking, and lets it wait', () => {
    const calls = show(visit('crank'));
    expect(screen.getByLabelText('Caution: Nobody near belts.')).toBeTruthy();
    fireEvent.press(screen.getByTestId('defer'));
    expect(calls).toEqual(['defer crank true']);
  });
  it('needs no button when the car is there already', () => {
    show(visit('run'), stateAt('run'));
    expect(screen.queryByTestId('arrived')).toBeNull();
  });
  it('takes up what was left for later', () => {
    const calls = show({
      kind: 'deferred',
      places: ['asleep'],
      instruction: 'Left for later: asleep.',
    });
    fireEvent.press(screen.getByText('Take it now: asleep'));
    expect(calls).toEqual(['defer asleep false']);
  });
  it('goes on when every feed has its source', () => {
    const calls = show({ kind: 'filled', instruction: 'Every feed has a source.' });
    fireEvent.press(screen.getByTestId('go-choose'));
    expect(calls).toEqual(['filled']);
  });
  it.each<[needIds: string[], found: number, says: string | undefined]>([
    [['hood', 'tach'], 3, 'Go on without it'],
    [['hood', 'brake'], 3, 'Go on with the others'],
    [['brake'], 0, undefined],
  ])('with %j on none of the wires and %d feeds found it offers “%s”', (needIds, found, says) => {
    const calls = show(
      { kind: 'exhausted', needIds, instruction: 'On none of these wires.' },
      PARKED,
      found,
    );
    if (says === undefined) expect(screen.queryByTestId('go-choose')).toBeNull();
    else fireEvent.press(screen.getByText(says));
    expect(calls).toEqual(says === undefined ? [] : ['filled']);
  });
  it('says that it is still working', () => {
    show(undefined);
    expect(screen.getByText(/Working out/)).toBeTruthy();
  });
});

describe('VerdictCard', () => {
  const verdict = adviceFor([OFF]).verdicts.find((one) => one.sourceId === 'dash/F2');
  const show = (logged?: string) => {
    if (verdict === undefined) throw new Error('no verdict');
    renderInApp(
      <VerdictCard
        title={slotTitle(SLOTS[1] as Slot)}
        verdict={verdict}
        readings={[OFF]}
        logged={logged}
      />,
    );
  };

  it('says what is unresolved and what would settle it', () => {
    show();
    expect(screen.getByTestId('verdict-headline').props.children).toMatch(/asleep untested/);
    expect(screen.getByText(/Still to be seen: run, asleep/)).toBeTruthy();
  });
  it('tells why on demand, with the readings', () => {
    show();
    expect(screen.queryByTestId('why-lines')).toBeNull();
    fireEvent.press(screen.getByTestId('why'));
    expect(screen.getByText(/✓ 12.50 V, key off/)).toBeTruthy();
    expect(
      screen.getByText(/asleep: would tell it from constant|asleep: would tell it from timed/),
    ).toBeTruthy();
  });
  it('does not tell why of the next source before that is asked', () => {
    const [first, second] = adviceFor([OFF]).verdicts;
    if (first === undefined || second === undefined) throw new Error('no verdicts');
    let turnTo: (one: Verdict) => void = () => undefined;
    const Host = () => {
      const [of, setOf] = useState<Verdict>(first);
      turnTo = setOf;
      return <VerdictCard title="" verdict={of} readings={[]} />;
    };
    renderInApp(<Host />);
    fireEvent.press(screen.getByTestId('why'));
    expect(screen.getByTestId('why-lines')).toBeTruthy();
    act(() => turnTo(second));
    expect(screen.queryByTestId('why-lines')).toBeNull();
    fireEvent.press(screen.getByTestId('why'));
    expect(screen.getByTestId('why-lines')).toBeTruthy();
  });
  it('shows what the log says', () => {
    show('In the log: accessory.');
    expect(screen.getByText('In the log: accessory.')).toBeTruthy();
  });
});

describe('ReadingHistory', () => {
  const show = (rows: readonly ReadingRow[]) =>
    renderInApp(<ReadingHistory jobId="j" rows={rows} nameOf={(id) => id.slice(5)} />);

  it('invites to the first reading', () => {
    show([]);
    expect(screen.getByText(/No reading yet/)).toBeTruthy();
  });
  it('tells saved, unsaved, refused and withdrawn apart in words', () => {
    show([
      row('a'),
      row('b', { saved: 'unsaved' }),
      row('c', { saved: 'refused', problem: 'no such slot' }),
      row('d', { withdrawnAt: '2026-05-05' }),
    ]);
    expect(screen.getByText('not saved yet, will be retried')).toBeTruthy();
    expect(screen.getByText('refused · no such slot')).toBeTruthy();
    expect(screen.getByText('withdrawn')).toBeTruthy();
    expect(screen.getAllByText('Withdraw')).toHaveLength(2);
    expect(screen.getByText('Drop')).toBeTruthy();
  });
  it('withdraws a stored reading through the outbox', () => {
    const { store } = show([row('a')]);
    fireEvent.press(screen.getByText('Withdraw'));
    expect(store.getState().outbox).toMatchObject([{ kind: 'withdrawal', readingId: 'a' }]);
  });
});
