import { act, fireEvent, screen, waitFor } from '@testing-library/react-native';
import type { JobView } from '@lucky-thread/contract';
import type { Cone, Reading } from '@lucky-thread/core/identify';
import { stateAt } from '@lucky-thread/core/vehicle';
import type { JobContext } from '@lucky-thread/work';
import { fakeServer } from '../../testing/fakeServer';
import { renderInApp } from '../../testing/render';
import { SpeakerLog, openSpeakers } from './SpeakerLog';

jest.mock('../../store/outboxStorage', () => ({
  outboxStorage: {
    all: () => Promise.resolve([]),
    keep: () => Promise.resolve(),
    drop: () => Promise.resolve(),
  },
}));

const JOB = {
  id: 'job',
  device: {
    name: 'Set',
    feeds: [
      { id: 'c', name: 'Constant', role: 'constant', currentA: 2 },
      {
        ...{ id: 'fl+', name: 'Front left +', role: 'speakerPlus' },
        ...{ speaker: 'front left', currentA: 2 },
      },
      {
        ...{ id: 'fl-', name: 'Front left −', role: 'speakerMinus' },
        ...{ speaker: 'front left', currentA: 2 },
      },
    ],
  },
  harness: [
    { id: 'harness/W1', name: 'W1', colour: 'BU' },
    { id: 'harness/W2', name: 'W2', colour: 'BU/BK' },
  ],
  closing: {},
  proofs: [],
  plan: [],
  loggedFeedIds: [],
} as unknown as JobView;
const context = (job = JOB) => ({ job, model: { places: [] }, taps: [] }) as unknown as JobContext;

function pop(cone: Cone): Reading {
  return {
    ...{ id: cone, sourceId: 'harness/W1', otherId: 'harness/W2', contact: undefined },
    ...{ state: stateAt('run'), value: { kind: 'pop', cone, speaker: 'front left' } },
  };
}

it('lists what a pop has shown and the log has not yet', () => {
  expect(openSpeakers(context(), [])).toEqual([]);
  expect(openSpeakers(context(), [pop('out')]).map(({ feedId }) => feedId)).toEqual(['fl+', 'fl-']);
  const logged = { ...JOB, loggedFeedIds: ['fl+'] } as unknown as JobView;
  expect(openSpeakers(context(logged), [pop('out')]).map(({ name }) => name)).toEqual([
    'Front left −',
  ]);
});

it('writes each lead once, with one touch', async () => {
  const server = fakeServer();
  const leads = openSpeakers(context(), [pop('out')]);
  renderInApp(<SpeakerLog context={context()} leads={leads} waiting={false} />);
  expect(screen.getByText('Front left +: W1 BU')).toBeTruthy();
  await act(async () => {
    fireEvent.press(screen.getByTestId('write-speakers'));
    await Promise.resolve();
  });
  await waitFor(() => expect(server.asked.filter((one) => one.startsWith('PUT'))).toHaveLength(2));
  expect(server.carried.map((one) => JSON.parse(String(one)) as object)).toEqual([
    { feedId: 'fl+', note: '' },
    { feedId: 'fl-', note: '' },
  ]);
});

it('writes no guess: where nobody saw the cone it says so and offers nothing', () => {
  const leads = openSpeakers(context(), [pop('unseen')]);
  renderInApp(<SpeakerLog context={context()} leads={leads} waiting={false} />);
  expect(screen.getByTestId('speakers-unseen')).toHaveTextContent(/Front left \+, Front left −/);
  expect(screen.queryByTestId('write-speakers')).toBeNull();
});

it('waits for evidence that is still on its way', () => {
  const leads = openSpeakers(context(), [pop('out')]);
  renderInApp(<SpeakerLog context={context()} leads={leads} waiting />);
  expect(screen.getByTestId('write-speakers')).toBeDisabled();
});
