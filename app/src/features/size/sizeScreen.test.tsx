import { act, fireEvent, screen } from '@testing-library/react-native';
import type { FeedPlanInput } from '@lucky-thread/contract';
import { DEFAULT_SETTINGS } from '@lucky-thread/contract';
import type { JobContext } from '@lucky-thread/work';
import type * as DrawnModule from '../../testing/drawnWords';
import { drawn } from '../../testing/drawnWords';
import { renderInApp } from '../../testing/render';
import { SizeScreen } from './SizeScreen';

jest.mock('../../ui/Words', () =>
  jest
    .requireActual<typeof DrawnModule>('../../testing/drawnWords')
    .watchingWords((words, kind) => (kind === 'title' ? words : undefined)),
);
const mockWent: [string, readonly FeedPlanInput[]][] = [];
jest.mock('../../work/useJobChange', () => ({
  useRefusedChange: () => undefined,
  useJobChange: () => ({
    goTo: (to: string, plan: readonly FeedPlanInput[]) => mockWent.push([to, plan]),
  }),
}));
const mockAnswer = {
  answer: undefined,
  thinking: true,
  problem: undefined,
  retry: () => undefined,
};
jest.mock('../../workers/useAnswer', () => ({ useAnswer: () => mockAnswer }));
jest.mock('expo-router', () => ({ useRouter: () => ({ navigate: () => undefined }) }));
jest.mock('../../workers/builder', () => ({ askRoutes: () => undefined }));
const mockReadings = { rows: [], loaded: true };
jest.mock('../../work/jobReadings', () => ({
  useJobReadings: () => mockReadings,
  coreReadings: () => [],
}));

const NAMES = ['Supply', 'Clock', 'Lamps'];
const ROLES = ['switched', 'constant', 'illumination'];
const feeds = NAMES.map((name, at) => ({
  ...{ id: name.toLowerCase(), name, role: ROLES[at], currentA: 1 },
}));
const harness = NAMES.map((_, at) => ({
  ...{ id: `harness/W${at}`, name: `W${at}`, colour: 'RD' },
}));
const plan = feeds.map(({ id }, at) => ({ feedId: id, sourceId: `harness/W${at}` }));
const CONTEXT = {
  job: {
    ...{ id: 'job', device: { name: 'Set', feeds }, plan, harness, steps: [], proofs: [] },
    ...{ closing: [], seen: [], vehicle: { steering: 'left' }, loggedFeedIds: [] },
  },
  model: { id: 'm', make: 'Tern', model: 'Skua', places: [], handbook: [], notes: [] },
  ...{ taps: [], settings: DEFAULT_SETTINGS },
} as unknown as JobContext;

it('draws the sheet that is typed into, keeps what the others say, and goes on with all of them', async () => {
  renderInApp(<SizeScreen context={CONTEXT} />);
  expect([...new Set(drawn)]).toEqual(NAMES);
  for (const [at, id] of ['supply', 'clock', 'lamps'].entries()) {
    drawn.length = 0;
    await act(async () => fireEvent.changeText(screen.getByTestId(`length-${id}`), `1.${at}`));
    expect([...new Set(drawn)]).toEqual([NAMES[at]]);
  }
  fireEvent.press(screen.getByTestId('go-build'));
  expect(mockWent.map(([to, plans]) => [to, plans.map(({ oneWayM }) => oneWayM)])).toEqual([
    ['build', [1, 1.1, 1.2]],
  ]);
});
