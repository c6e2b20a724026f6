import { act, fireEvent, screen, waitFor } from '@testing-library/react-native';
import { generateHarness, generateVehicle, practiceBunch } from '@lucky-thread/core/bench';
import { readLabel } from '@lucky-thread/core/identify';
import { SYMPTOMS } from '@lucky-thread/core/prove/symptoms';
import { roleOfTruth } from '@lucky-thread/core/trial';
import { renderInApp } from '../../testing/render';
import { BenchScreen } from './BenchScreen';
import { startFault } from './faultPractice';
import { LEVELS } from './levels';

// The worker's work, done on the spot: what it computes is tested in the core.
jest.mock('../../workers/planner', () => {
  const { advise } = jest.requireActual('@lucky-thread/core/identify');
  const { adviseHarness } = jest.requireActual('@lucky-thread/core/identify/harness');
  const { practiseByPlan } = jest.requireActual('../../workers/practiseByPlan');
  return {
    askPlanner: async (session: unknown) => advise(session),
    askHarnessPlanner: async (session: unknown) => adviseHarness(session),
    askPractice: (car: unknown, onStep: (actions: number) => void) => ({
      // A worker answers later, never within the call.
      result: Promise.resolve().then(() =>
        practiseByPlan(car, (actions: number) => {
          onStep(actions);
          return true;
        }),
      ),
      cancel: () => undefined,
    }),
  };
});

const NUMBER = 3;
const LABELLED = LEVELS.find((level) => level.id === 'labelled');
const CAR = generateVehicle(NUMBER, LABELLED?.kind === 'panel' ? LABELLED.quality : undefined);
const BUNCH = generateHarness(NUMBER);

function slotWith(supply: string): string {
  return CAR.truth.circuits.find((one) => one.supply === supply)?.slotId ?? '';
}

/** Starts a level on a car by its number. */
async function practise(level: string): Promise<void> {
  renderInApp(<BenchScreen />);
  fireEvent.press(screen.getByTestId(`level-${level}`));
  fireEvent.changeText(screen.getByTestId('car-number'), String(NUMBER));
  await act(async () => fireEvent.press(screen.getByTestId('start-practice')));
}

async function press(...ids: readonly string[]): Promise<void> {
  for (const id of ids) await act(async () => fireEvent.press(screen.getByTestId(id)));
}

describe('the bench', () => {
  it.each(['0', '1.5', 'one', '100000', '0x10', '1e3', ' '])(
    'does not start on car number %s',
    (text) => {
      renderInApp(<BenchScreen />);
      fireEvent.changeText(screen.getByTestId('car-number'), text);
      expect(screen.getByText(/whole number from 1 to 99999/)).toBeTruthy();
      fireEvent.press(screen.getByTestId('start-practice'));
      expect(screen.queryByTestId('practice')).toBeNull();
    },
  );

  it('offers every one of its levels', () => {
    renderInApp(<BenchScreen />);
    for (const level of LEVELS) expect(screen.getByTestId(`level-${level.id}`)).toBeTruthy();
  });
});

describe('practice on a panel', () => {
  it('reads with meter and lamp, takes a reading back, and counts the seconds', async () => {
    await practise('labelled');
    const slot = slotWith('battery');
    await press(`slot-${slot}`, 'touch-meter');
    expect(screen.getByTestId('last-reading')).toHaveTextContent(
      new RegExp(`^${slot}: 1[0-9.]+ V`),
    );
    await press('touch-lamp');
    expect(screen.getByTestId('last-reading')).toHaveTextContent(/lit/);
    expect(screen.getByTestId('practice-seconds')).toHaveTextContent(/^70 s of work.*2 readings/);
    await press('undo');
    expect(screen.getByTestId('practice-seconds')).toHaveTextContent(/1 readings/);
  });

  it('gives the plan’s next test only when it is asked', async () => {
    await practise('labelled');
    expect(screen.queryByTestId('next')).toBeNull();
    await press('help');
    expect(screen.getByTestId('next')).toHaveTextContent(/touch F\d+/i);
  });

  it('shows the verdict of the slot in hand beside the plan, with its readings', async () => {
    await practise('labelled');
    await press(`slot-${slotWith('battery')}`, 'touch-meter');
    expect(screen.queryByTestId('verdict')).toBeNull();
    await press('help');
    expect(screen.getByTestId('verdict-headline')).toHaveTextContent(/Live with the key off/);
    await press('why');
    expect(screen.getByTestId('why-lines')).toHaveTextContent(/✓ 1[0-9.]+ V, key off/);
  });

  it('gives two contacts to probe once the fuse is out, and tells a reversed tap', async () => {
    await practise('labelled');
    const slot = slotWith('battery');
    const right = CAR.truth.circuits.find((one) => one.slotId === slot)?.supplyContact ?? 'a';
    await press(`slot-${slot}`, 'pull', `touch-lamp-${right}`);
    expect(screen.getByTestId('last-reading')).toHaveTextContent(/lit/);
    await press(`fit-${right === 'a' ? 'b' : 'a'}`, 'finish');
    expect(screen.getByText(new RegExp(`tap in ${slot} is reversed`))).toBeTruthy();
  });

  it('ends with what was missed, the time, and what the plan would have taken', async () => {
    await practise('labelled');
    const airbag = CAR.slots.find((slot) => readLabel(slot.legend).safety === 'block')?.id ?? '';
    await press(`slot-${airbag}`, 'pull', 'pull');
    await press(`slot-${slotWith('battery')}`, 'use-memory', 'finish');
    const bad = screen.getAllByTestId('line-bad').map((one) => one.props.children as string);
    expect(bad.join()).toMatch(new RegExp(`You pulled ${airbag}`));
    expect(bad.join()).toMatch(/never read asleep/);
    await waitFor(() =>
      expect(screen.getByTestId('plan-time')).toHaveTextContent(/^The plan: \d+ s/),
    );
  });

  it('goes on with the next car, and back to the levels', async () => {
    await practise('labelled');
    await press('finish', 'another');
    expect(screen.getByTestId('practice')).toBeTruthy();
    await press('finish', 'levels');
    expect(screen.getByTestId('car-number').props.value).toBe(String(NUMBER + 1));
  });
});

describe('practice on a bunch of cut wires', () => {
  it('reads wires, takes names for them, and judges at the end', async () => {
    await practise('harness');
    const wire = BUNCH.wires[0]?.id ?? '';
    const truth = BUNCH.roles[wire];
    const role = truth === undefined ? 'leftOver' : roleOfTruth(truth);
    await press(`wire-${wire}`, 'touch-meter');
    expect(screen.getByTestId('last-reading')).toHaveTextContent(new RegExp(`^${wire}: `));
    await press(`name-${role}`, 'finish');
    expect(screen.getByText(new RegExp(`^✕ 1 of ${BUNCH.wires.length} wires named`))).toBeTruthy();
    expect(screen.getByText(/Never read with everything on/)).toBeTruthy();
  });

  it('lets nobody pop a wire against nothing', async () => {
    await practise('harness');
    await press(`wire-${BUNCH.wires[0]?.id ?? ''}`);
    await press('touch-pop');
    expect(screen.queryByTestId('last-reading')).toBeNull();
  });

  it('gives the plan’s look at the whole bunch when asked', async () => {
    await practise('harness');
    await press('help');
    expect(screen.getByTestId('next')).toHaveTextContent(/every wire in turn/);
  });
});

describe('practice on signals', () => {
  const LOCKS = practiceBunch('locks', NUMBER);

  it('takes a wire and a joint for a lead, and judges both at the end', async () => {
    await practise('locks');
    const [wire = ''] = LOCKS.carries.get('door') ?? [];
    expect(screen.queryByTestId('take-door')).toBeNull();
    await press(`slot-${wire}`, 'take-door');
    expect(screen.getByTestId('lead-door')).toHaveTextContent(new RegExp(`Door switch: ${wire}`));
    expect(screen.getByTestId(`slot-${wire}`)).toHaveTextContent(/Door switch/);
    await press('joint-door-relay', 'finish');
    expect(screen.getByText(/^✕ 1 of 3 leads/)).toBeTruthy();
    expect(
      screen.getByText(/^✕ Door switch onto .* does not do it\. Right: as it is/),
    ).toBeTruthy();
  });

  it('forgets the joint where the wire is said not to be here', async () => {
    await practise('locks');
    await press(`slot-${LOCKS.wires[0]?.id ?? ''}`, 'take-lock', 'joint-lock-itself');
    await press('absent-lock');
    expect(screen.queryByTestId('joint-lock-itself')).toBeNull();
    expect(screen.getByTestId('lead-lock')).toHaveTextContent(/Lock: not here/);
  });

  it('reads by what is in hand, from where the clip sits, and counts what it takes', async () => {
    await practise('column');
    await press('slot-W1', 'touch-meter', 'clip', 'touch-meter', 'touch-ohmmeter');
    expect(screen.getByTestId('readings')).toHaveTextContent(/V.*V/);
    expect(screen.getByTestId('practice-seconds')).toHaveTextContent(/3 readings/);
  });

  it('gives the plan’s next look when asked, and its time at the end', async () => {
    await practise('column');
    await press('help');
    expect(screen.getByTestId('next')).toHaveTextContent(/touch|probe/i);
    const named =
      /touch (W\d+)/i.exec(String(screen.getByTestId('next').props.children))?.[1] ?? '';
    expect(screen.getByTestId(`wanted-${named}`)).toBeTruthy();
    await press('finish');
    await waitFor(() =>
      expect(screen.getByTestId('plan-time')).toHaveTextContent(/^The plan: [1-9]\d* s, \d+ read/),
    );
  });

  it('asks what must stop a remote start, on its level alone', async () => {
    await practise('locks');
    expect(screen.queryByTestId('hand-over')).toBeNull();
    await press('finish', 'levels', 'level-starter', 'start-practice');
    expect(screen.getByTestId('hand-over-brake')).toHaveTextContent(/press the brake/);
    await press('must-brake-It must stop at once.');
    expect(screen.getByTestId('must-brake-It must stop at once.')).toBeChecked();
  });
});

describe('practice on a fault', () => {
  const { fault } = startFault(NUMBER);
  const [first = 'tug'] = SYMPTOMS[fault.symptom].checks;

  it('shows what a look shows, judges what was named, and times the plan', async () => {
    await practise('fault');
    expect(screen.getByTestId('complaint')).toHaveTextContent(
      new RegExp(SYMPTOMS[fault.symptom].name),
    );
    await press(`do-${first}`);
    expect(screen.getByTestId(`seen-${first}`)).toBeTruthy();
    expect(screen.queryByTestId(`do-${first}`)).toBeNull();
    expect(screen.getByTestId('practice-seconds')).toHaveTextContent(/^[1-9]\d* s of work.*1 look/);
    await press(`cause-${fault.cause}`, 'finish');
    expect(screen.getByText(/^✓ It is: /)).toBeTruthy();
    await waitFor(() =>
      expect(screen.getByTestId('plan-time')).toHaveTextContent(/^The plan: [1-9]\d* s/),
    );
  });

  it('gives the next look and the suspects only when asked', async () => {
    await practise('fault');
    expect(screen.queryByTestId('next')).toBeNull();
    await press('help');
    expect(screen.getByTestId('next')).toHaveTextContent(/\d+ %: /);
  });
});
