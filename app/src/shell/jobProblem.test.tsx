import { act, fireEvent, screen } from '@testing-library/react-native';
import type { OutboxItem } from '../store/outboxSlice';
import { outboxLoaded } from '../store/outboxSlice';
import { makeStore } from '../store/store';
import { renderInApp } from '../testing/render';
import { JobProblem } from './JobProblem';

jest.mock('expo-router', () => ({ useRouter: () => ({}) }));
const mockDropped: string[] = [];
jest.mock('../store/outboxStorage', () => ({
  outboxStorage: {
    all: async () => [],
    drop: async (key: string) => {
      mockDropped.push(key);
    },
  },
}));

const refused = (key: string, jobId: string, problem?: string): OutboxItem =>
  ({
    ...{ key, kind: 'job', jobId, status: 'refused', command: {} },
    ...(problem === undefined ? {} : { problem }),
  }) as unknown as OutboxItem;

it('tells the last refusal of this job, and the one before once it was read', async () => {
  const store = makeStore();
  store.dispatch(
    outboxLoaded([
      refused('1', 'job'),
      refused('2', 'job', 'planned otherwise meanwhile'),
      refused('3', 'another', 'of another job'),
      { ...refused('4', 'job', 'not sent yet'), status: 'unsaved' },
    ]),
  );
  renderInApp(<JobProblem jobId="job" />, store);
  const told = (): unknown => screen.queryByTestId('job-problem')?.props['aria-label'];
  expect(told()).toBe('Caution: planned otherwise meanwhile');
  const read = async (): Promise<void> =>
    act(async () => fireEvent.press(screen.getByTestId('job-problem-read')));
  await read();
  expect(told()).toBe('Caution: The change was refused.');
  await read();
  expect(told()).toBeUndefined();
  expect(mockDropped).toEqual(['2', '1']);
  expect(store.getState().outbox.map(({ key }) => key)).toEqual(['3', '4']);
});
