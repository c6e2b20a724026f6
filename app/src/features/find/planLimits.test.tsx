import { fireEvent, screen } from '@testing-library/react-native';
import { PARKED } from '@lucky-thread/core/vehicle';
import type { StitchPlace } from '@lucky-thread/core/vehicle';
import { FRESH, probingOpened } from '../../store/probeSlice';
import { makeStore } from '../../store/store';
import { renderInApp } from '../../testing/render';
import type { JobContext } from '@lucky-thread/work';
import { FindTools } from './FindTools';

const went: string[] = [];
jest.mock('expo-router', () => ({
  useRouter: () => ({ navigate: (to: string) => went.push(to) }),
}));

const JOB = 'job-1';

/** The tools beside probing, with the plan's limits open; only what they look at is there. */
function open(cannot: readonly StitchPlace[] = [], feeds: readonly { role: string }[] = []) {
  const store = makeStore();
  store.dispatch(probingOpened({ jobId: JOB, state: PARKED, deferred: cannot }));
  const limits: unknown[] = [];
  const context = {
    job: { id: JOB, device: { feeds } },
    model: { panels: [] },
  } as unknown as JobContext;
  renderInApp(
    <FindTools
      context={context}
      limits={{ ...FRESH, cannot }}
      onLimit={(places, left) => limits.push([places, left])}
    />,
    store,
  );
  fireEvent.press(screen.getByTestId('tool-plan'));
  return { limits, probing: () => store.getState().probe[JOB] };
}

describe('what the plan must do without', () => {
  it.each([
    ['No cranking', ['crank']],
    ['No running engine', ['engine']],
    ['No waiting for sleep', ['asleep', 'waited']],
  ])('%s leaves its states for later', (label, places) => {
    const { limits } = open();
    fireEvent.press(screen.getByText(`☐ ${label}`));
    expect(limits).toEqual([[places, true]]);
  });

  it('is marked, and given back with another touch', () => {
    const { limits } = open(['crank']);
    fireEvent.press(screen.getByText('☒ No cranking'));
    expect(limits).toEqual([[['crank'], false]]);
  });

  it('without a test lamp the plan asks for none', () => {
    const { probing } = open();
    expect(probing()?.lamp).toBe(true);
    fireEvent.press(screen.getByTestId('limit-lamp'));
    expect(probing()?.lamp).toBe(false);
  });

  it('without 9 V the plan pops no speaker; whoever seeks none is not asked', () => {
    const { probing } = open([], [{ role: 'speakerPlus' }]);
    fireEvent.press(screen.getByText('☐ No 9 V source'));
    expect(probing()?.noPop).toBe(true);
    screen.unmount();
    open([], [{ role: 'constant' }]);
    expect(screen.queryByTestId('limit-pop')).toBeNull();
  });

  it('says how far testing goes, and changes it', () => {
    const { probing } = open();
    expect(screen.getByText(/until accessory, ignition and constant can be told/)).toBeTruthy();
    fireEvent.press(screen.getByText('Feeds served'));
    expect(probing()?.until).toBe('role');
  });

  it('folds away again, and leads to the cut wires', () => {
    open();
    fireEvent.press(screen.getByTestId('tool-plan'));
    expect(screen.queryByTestId('plan-limits')).toBeNull();
    fireEvent.press(screen.getByTestId('tool-harness'));
    expect(went).toEqual([`/jobs/${JOB}/harness`]);
  });
});
