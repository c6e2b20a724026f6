import type { JobView } from '@lucky-thread/contract';
import { withCommands } from './commands';
import { layOpen } from './outbox';
import { commandsIn } from './outboxSlice';
import { makeStore } from './store';

jest.mock('./outboxStorage', () => ({
  outboxStorage: {
    all: () => Promise.resolve([]),
    // Nothing is ever sent here: what counts is what stands on the device.
    keep: () => new Promise(() => undefined),
    drop: () => Promise.resolve(),
  },
}));
beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

const JOB = { id: 'job', harness: [], wiresVersion: null } as unknown as JobView;
const WIRES = [
  { id: 'kick/1', name: '1' },
  { id: 'column/1', name: '1' },
] as const;

it('opens two places by two touches, although the second one knows nothing of the first', () => {
  const store = makeStore();
  for (const wire of WIRES) store.dispatch(layOpen(JOB, [wire]));
  const commands = commandsIn(store.getState().outbox, 'job');
  expect(withCommands(JOB, commands).harness).toEqual(WIRES);
  // Each builds on the one before: the server takes both.
  expect(commands.map(({ base }) => base)).toEqual([null, commands[0]?.key]);
});

it('leaves what lies open as it is', () => {
  const store = makeStore();
  store.dispatch(layOpen({ ...JOB, harness: [WIRES[0]] }, [WIRES[0]]));
  expect(store.getState().outbox).toEqual([]);
});
