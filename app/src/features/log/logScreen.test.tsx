import { act, fireEvent, screen } from '@testing-library/react-native';
import { DEFAULT_SETTINGS } from '@lucky-thread/contract';
import type { JobContext } from '@lucky-thread/work';
import type * as WorkModule from '@lucky-thread/work';
import { useEffect, useState } from 'react';
import type * as DrawnModule from '../../testing/drawnWords';
import { drawn } from '../../testing/drawnWords';
import { renderInApp } from '../../testing/render';
import { LogScreen } from './LogScreen';

jest.mock('../../ui/Words', () =>
  jest
    .requireActual<typeof DrawnModule>('../../testing/drawnWords')
    .watchingWords((words, kind) =>
      kind === 'heading' && /^W\d/.test(words) ? words.slice(0, 2) : undefined,
    ),
);
jest.mock('expo-router', () => ({ useRouter: () => ({ navigate: () => undefined }) }));
const mockWritten: unknown[] = [];
jest.mock('../../store/useShopCommand', () => ({
  useShopCommand: () => [(sent: unknown) => Promise.resolve(mockWritten.push(sent)), {}],
}));
jest.mock('../../work/useJobChange', () => ({ useChangesWaiting: () => false }));
const mockFinding = { rows: [], advice: { verdicts: [] }, problem: undefined };
jest.mock('../../work/useFind', () => ({ useFind: () => mockFinding }));
// What is proven is asked for elsewhere; here every lead is, and nothing is left to try.
jest.mock('@lucky-thread/work', () => ({
  ...jest.requireActual<typeof WorkModule>('@lucky-thread/work'),
  missingProofs: () => [],
  handOverLeft: () => [],
  logFindingsOf: () => ({ ok: true }),
}));

const NAMES = ['Supply', 'Clock', 'Lamps'];
const ROLES = ['switched', 'constant', 'illumination'];
const feeds = NAMES.map((name, at) => ({
  ...{ id: name.toLowerCase(), name, role: ROLES[at], currentA: 1 },
}));
const harness = NAMES.map((_, at) => ({
  ...{ id: `harness/W${at}`, name: `W${at}`, colour: 'RD' },
}));
const plan = feeds.map(({ id }, at) => ({ feedId: id, sourceId: `harness/W${at}`, oneWayM: 2 }));

/** The job as it comes from the server: other objects each time. */
function contextOf(loggedFeedIds: readonly string[]): JobContext {
  const job = {
    ...{ id: 'job', device: { name: 'Set', feeds }, plan, harness, steps: [], proofs: [] },
    ...{ closing: [], seen: [], vehicle: { steering: 'left' }, loggedFeedIds },
  };
  return JSON.parse(
    JSON.stringify({
      job,
      model: { id: 'm', make: 'Tern', model: 'Skua', places: [], handbook: [], notes: [] },
      ...{ taps: [], settings: DEFAULT_SETTINGS },
    }),
  ) as JobContext;
}

/** What the test does from outside. */
const hands: { logged?: (ids: readonly string[]) => void } = {};
function Host() {
  const [context, setContext] = useState(() => contextOf([]));
  useEffect(() => {
    hands.logged = (ids) => setContext(contextOf(ids));
  }, []);
  return <LogScreen context={context} />;
}

it('writes a tap with its note, and leaves the cards of the others as they are', async () => {
  renderInApp(<Host />);
  expect(drawn).toEqual(['W0', 'W1', 'W2']);
  fireEvent.changeText(screen.getByTestId('note-clock'), 'Behind the flap');
  drawn.length = 0;
  await act(async () => fireEvent.press(screen.getByTestId('write-clock')));
  expect(mockWritten).toEqual([
    expect.objectContaining({
      jobId: 'job',
      request: { feedId: 'clock', fuseA: 2, awg: 18, note: 'Behind the flap' },
    }),
  ]);
  await act(async () => hands.logged?.(['clock']));
  expect(screen.queryByTestId('log-clock')).toBeNull();
  expect(drawn).toEqual([]);
  // The first of those that are left is the one to go on with.
  await act(async () => hands.logged?.(['clock', 'supply']));
  expect(drawn).toEqual(['W2']);
});
