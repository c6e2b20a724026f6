import type { JobView } from '@lucky-thread/contract';
import { act } from '@testing-library/react-native';
import { useState } from 'react';
import { renderInApp } from '../testing/render';
import type { JobChange } from './useJobChange';
import { useChangesWaiting, useJobChange, useRefusedChange } from './useJobChange';

const went: string[] = [];
const mockRouter = { navigate: (to: string) => went.push(to) };
jest.mock('../store/outboxStorage', () => ({
  // Nothing is ever sent here: what counts is what stands on the device.
  outboxStorage: { keep: () => new Promise(() => undefined), all: async () => [] },
}));
beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());
jest.mock('expo-router', () => ({ useRouter: () => mockRouter }));

const JOB = {
  ...{ id: 'j', phase: 'find', waitsFor: 'a part', reopened: null, day: null },
  ...{ plan: [], planVersions: {}, proofs: [], closing: [], steps: [] },
} as unknown as JobView;

function open() {
  let change: JobChange | undefined;
  let turn: (job: JobView) => void = () => undefined;
  let waiting = false;
  let problem: string | undefined;
  function Host() {
    const [job, setJob] = useState(JOB);
    turn = setJob;
    change = useJobChange(job);
    waiting = useChangesWaiting(job.id);
    problem = useRefusedChange(job.id)?.problem;
    return null;
  }
  const { store } = renderInApp(<Host />);
  const now = (): JobChange => {
    if (change === undefined) throw new Error('nothing is drawn');
    return change;
  };
  return {
    ...{ store, now, turn: (job: JobView) => turn(job) },
    state: () => ({ waiting, problem }),
  };
}

it('stays the same while the job changes, and changes the job as it is then', () => {
  const { store, now, turn } = open();
  const first = now();
  act(() => turn({ ...JOB, reopened: 'it rattles' }));
  expect(now()).toBe(first);
  act(() => first.setStanding({ day: '2026-11-30' }));
  const bodies = store
    .getState()
    .outbox.map((item) => (item.kind === 'job' ? item.command.body : undefined));
  expect(bodies).toEqual([{ waitsFor: 'a part', reopened: 'it rattles', day: '2026-11-30' }]);
});

it('plans from the job as it is by then, not as it was drawn', () => {
  const { store, now, turn } = open();
  const drawn = now();
  const [one, other] = ['a', 'b'].map((feedId) => ({ feedId, sourceId: `dash/${feedId}` }));
  const device = { name: 'Set', feeds: [{ id: 'a' }, { id: 'b' }] };
  act(() => turn({ ...JOB, plan: [one], device } as unknown as JobView));
  act(() => drawn.setPlan(({ plan }) => [...plan, other] as typeof plan));
  const bodies = store
    .getState()
    .outbox.map((item) => (item.kind === 'job' ? item.command.body : undefined));
  expect(bodies).toEqual([expect.objectContaining({ plan: other })]);
});

it('adds a wish for the route to those made meanwhile, not to those that were drawn', () => {
  const { store, now, turn } = open();
  const drawn = now();
  act(() => turn({ ...JOB, route: { mount: 'screenTop' } }));
  act(() => drawn.setRoute({ aim: 'short' }));
  const [item] = store.getState().outbox;
  expect(item?.kind === 'job' ? item.command.body : undefined).toEqual({
    route: { mount: 'screenTop', aim: 'short' },
  });
});

it('says of the day nothing where it is not asked for', () => {
  const { store, now } = open();
  act(() => now().setStanding({ waitsFor: null }));
  const [item] = store.getState().outbox;
  expect(item?.kind === 'job' ? item.command.body : undefined).toEqual({
    waitsFor: null,
    reopened: null,
  });
});

it('knows what is on its way, and goes on to the phase', () => {
  const { now, state } = open();
  expect(state()).toEqual({ waiting: false, problem: undefined });
  act(() => now().goTo('prove'));
  expect(state().waiting).toBe(true);
  expect(went).toEqual(['/jobs/j/prove']);
});
