import { act, renderHook } from '@testing-library/react-native';
import type { JobView, ModelView, ReadingRequest, ReadingView } from '@lucky-thread/contract';
import { DEFAULT_SETTINGS, seenOf } from '@lucky-thread/contract';
import type * as Identify from '@lucky-thread/core/identify';
import type { FindSession } from '@lucky-thread/core/identify';
import { PARKED } from '@lucky-thread/core/vehicle';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { api } from '../../store/api';
import { itemGone, itemKept } from '../../store/outboxSlice';
import { carChanged, slotTouched } from '../../store/probeSlice';
import type { AppStore } from '../../store/store';
import { makeStore } from '../../store/store';
import type { JobContext } from '@lucky-thread/work';
import { useFind } from '../../work/useFind';

const mockAsked: FindSession[] = [];
jest.mock('../../workers/planner', () => {
  const { advise } = jest.requireActual<typeof Identify>('@lucky-thread/core/identify');
  return {
    askPlanner: async (session: FindSession) => {
      mockAsked.push(session);
      return advise(session);
    },
  };
});

const JOB_ID = 'job-1';
const CONTEXT = (): JobContext => ({
  job: {
    id: JOB_ID,
    vehicle: { modelId: 'm', year: 2020, trim: '', market: '', steering: 'left' },
    device: {
      name: 'Dashcam',
      feeds: [{ id: 'a', name: 'Supply', role: 'switched', currentA: 1 }],
    },
    deferred: [],
    harness: [],
  } as unknown as JobView,
  model: {
    places: [
      {
        id: 'dash',
        kind: 'fusePanel',
        reach: { steps: [] },
        sources: ['F1', 'F2'].map((position) => ({
          kind: 'slot',
          id: `dash/${position}`,
          position,
          legend: 'ACC',
          ratingA: 10,
          family: 'mini',
          clearance: 'clear',
          lie: 'tall',
          row: 0,
          column: 0,
          contacts: [],
        })),
      },
    ],
  } as unknown as ModelView,
  taps: [],
  settings: DEFAULT_SETTINGS,
});
const REQUEST: ReadingRequest = {
  sourceId: 'dash/F1',
  state: { ...PARKED },
  instrument: 'meter',
  volts: 0.01,
  takenAt: '2026-05-04T10:00:00.000Z',
};

let opened: AppStore | undefined;
afterEach(() => {
  opened?.dispatch(api.util.resetApiState());
});

async function finding(): Promise<{ store: AppStore; again: () => Promise<void> }> {
  const store = makeStore();
  opened = store;
  await store.dispatch(api.util.upsertQueryData('readings', JOB_ID, []));
  const wrapper = (props: { readonly children: ReactNode }) => (
    <Provider store={store}>{props.children}</Provider>
  );
  const { rerender } = renderHook(
    (props: { readonly context: JobContext }) => useFind(props.context),
    {
      initialProps: { context: CONTEXT() },
      wrapper,
    },
  );
  await act(async () => undefined);
  mockAsked.length = 0;
  return { store, again: () => act(async () => rerender({ context: CONTEXT() })) };
}

describe('the worker is asked', () => {
  it('once for a reading, from the thumb to the server and back', async () => {
    const { store, again } = await finding();
    await act(async () => {
      store.dispatch(
        itemKept({
          kind: 'reading',
          key: 'r',
          jobId: JOB_ID,
          readingId: 'r',
          status: 'sending',
          request: REQUEST,
        }),
      );
    });
    expect(mockAsked).toHaveLength(1);
    const view: ReadingView = {
      ...seenOf('r', REQUEST),
      // As JSON brings it back.
      state: JSON.parse(JSON.stringify(REQUEST.state)) as ReadingView['state'],
      takenAt: REQUEST.takenAt,
      takenBy: 'Installer',
      withdrawnAt: null,
    };
    await act(async () => {
      store.dispatch(api.util.updateQueryData('readings', JOB_ID, (list) => void list.push(view)));
    });
    await act(async () => {
      store.dispatch(itemGone('r'));
    });
    // Job, model and log were fetched anew and say the same.
    await again();
    expect(mockAsked).toHaveLength(1);
  });

  it('not at all for a slot that is merely touched', async () => {
    const { store } = await finding();
    await act(async () => {
      store.dispatch(slotTouched({ jobId: JOB_ID, sourceId: 'dash/F2' }));
    });
    expect(mockAsked).toEqual([]);
  });

  it('once for a change of the car', async () => {
    const { store } = await finding();
    await act(async () => {
      store.dispatch(carChanged({ jobId: JOB_ID, change: { kind: 'key', to: 'run' } }));
    });
    expect(mockAsked).toHaveLength(1);
  });
});
