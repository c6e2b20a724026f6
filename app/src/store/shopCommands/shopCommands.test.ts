import type { HandbookEntryView, ModelView, ShopView } from '@lucky-thread/contract';
import { DEFAULT_SETTINGS } from '@lucky-thread/contract';
import type { PlaceView } from '@lucky-thread/contract';
import { inputOf } from '@lucky-thread/contract/places';
import { fireEvent, screen } from '@testing-library/react-native';
import { createElement } from 'react';
import { OutboxNotice } from '../../shell/OutboxNotice';
import { renderInApp } from '../../testing/render';
import type { FakeServer } from '../../testing/fakeServer';
import { fakeServer, settled } from '../../testing/fakeServer';
import { api } from '../api';
import type { ShopOutcome } from '../awaited';
import { commandShop, openOutbox, takeReading } from '../outbox';
import { outboxSentence } from '../outboxSentence';
import type { OutboxItem } from '../outboxSlice';
import { shopCommandsIn } from '../outboxSlice';
import { flushOutbox } from '../sending';
import { makeStore } from '../store';
import { shopSentBy, withShopCommands } from './index';
import type { BodyOf, ShopCommand, ShopCommandName } from './index';

const mockKept = new Map<string, OutboxItem>();
/** How long the device takes to keep an item, ms. */
let mockSlowMs = 0;
jest.mock('../outboxStorage', () => ({
  outboxStorage: {
    all: () => Promise.resolve([...mockKept.values()]),
    keep: async (item: OutboxItem) => {
      if (mockSlowMs > 0) await new Promise((resolve) => setTimeout(resolve, mockSlowMs));
      mockKept.set(item.key, item);
    },
    drop: (key: string) => Promise.resolve(void mockKept.delete(key)),
  },
}));

let server: FakeServer;
beforeEach(() => {
  mockKept.clear();
  mockSlowMs = 0;
  jest.useFakeTimers({ doNotFake: ['setImmediate', 'queueMicrotask'] });
  server = fakeServer();
});
afterEach(() => jest.useRealTimers());

const PLACE: PlaceView = {
  ...{ id: 'kick', kind: 'groundPoint', name: 'Left kick panel', version: 3, sources: [] },
  ...{ location: 'Behind the trim', zone: 'footwell', side: 'left', notes: [] },
  reach: { steps: [], fasteners: [], tools: [], seconds: 30 },
} as unknown as PlaceView;
const MODEL = {
  id: 'm',
  handbook: [] as HandbookEntryView[],
  places: [PLACE],
  notes: [{ id: 'n', placeId: 'kick', sourceId: null, kind: 'note', text: 'Old' }],
  photos: [{ id: 'p', caption: '', pins: [], version: 1 }],
  body: null,
} as unknown as ModelView;
const SHOP: ShopView = { name: 'Shop', settings: DEFAULT_SETTINGS, version: 4 };

function command<Name extends ShopCommandName>(kind: Name, body: BodyOf<Name>): ShopCommand {
  return { kind, key: kind, at: '2026-11-28T10:00:00.000Z', body } as ShopCommand;
}

function model(...commands: ShopCommand[]): ModelView {
  return withShopCommands('model', MODEL, commands, 'Ana');
}

describe('what is shown before the server has it', () => {
  const entry = { entry: 'Seat fan' };
  const inHand = { ...inputOf(PLACE), name: 'Left kick' };
  const cases: readonly [ShopCommand, (shown: ModelView) => unknown, unknown][] = [
    [
      command('handbook', { modelId: 'm', sourceId: 'dash/F1', request: entry }),
      ({ handbook }) => handbook.map(({ sourceId, entry: words, by }) => [sourceId, words, by]),
      [['dash/F1', 'Seat fan', 'Ana']],
    ],
    [command('placeRemoval', { modelId: 'm', placeId: 'kick' }), ({ places }) => places, []],
    [
      command('place', { modelId: 'm', placeId: 'kick', request: inHand }),
      ({ places }) => places.map(({ name, version }) => [name, version]),
      [['Left kick', 4]],
    ],
    [
      command('place', { modelId: 'm', placeId: 'new', request: { ...inHand, base: 0 } }),
      ({ places }) => places.map(({ id, version }) => [id, version]),
      [
        ['kick', 3],
        ['new', 1],
      ],
    ],
    [
      command('photoWords', {
        ...{ modelId: 'm', photoId: 'p' },
        request: {
          base: 1,
          caption: 'Open panel',
          pins: [{ sourceId: 'dash/F1', x: 0.5, y: 0.5 }],
        },
      }),
      ({ photos }) => photos.map(({ caption, pins }) => [caption, pins.length]),
      [['Open panel', 1]],
    ],
    [
      command('note', {
        ...{ modelId: 'm', noteId: 'new' },
        request: { placeId: 'kick', kind: 'bulletin', text: 'Rust' },
      }),
      ({ notes }) => notes.map(({ text, by, sourceId }) => [text, by, sourceId]).at(-1),
      ['Rust', 'Ana', null],
    ],
    [command('noteRemoval', { modelId: 'm', noteId: 'n' }), ({ notes }) => notes, []],
    [command('photoRemoval', { modelId: 'm', photoId: 'p' }), ({ photos }) => photos, []],
    [
      command('modelBody', {
        modelId: 'm',
        request: { style: 'van' } as BodyOf<'modelBody'>['request'],
      }),
      ({ body }) => body,
      { style: 'van' },
    ],
  ];

  it.each(cases)('has it done, once or twice the same: %j', (made, look, wanted) => {
    expect(look(model(made))).toEqual(wanted);
    expect(model(made, made)).toEqual(model(made));
  });

  it('leaves other models as they are', () => {
    for (const [made] of cases.filter(([{ body }]) => 'modelId' in body)) {
      const other = { ...MODEL, id: 'other', photos: [], notes: [] };
      expect(withShopCommands('model', other, [made], 'Ana')).toEqual(other);
    }
  });

  it('makes the next change of the shop’s ways on top of this one', () => {
    const settings = { ...DEFAULT_SETTINGS, sizing: { ...DEFAULT_SETTINGS.sizing, systemV: 24 } };
    const made = command('shop', { version: 4, settings });
    expect(withShopCommands('shop', SHOP, [made, made], 'Ana')).toEqual({
      ...SHOP,
      settings,
      version: 5,
    });
  });

  it('takes devices and glossary entries out, and keeps a device once', () => {
    const one = { id: 'd', name: 'Set', note: '', feeds: [] };
    const kept = command('device', {
      id: 'd',
      request: {
        kind: 'lucky-thread-device',
        version: 1,
        note: 'n',
        device: { name: 'Set 2', feeds: [] },
      },
    } as unknown as BodyOf<'device'>);
    expect(withShopCommands('devices', [one], [kept, kept], 'Ana')).toEqual([
      { ...one, name: 'Set 2', note: 'n' },
    ]);
    const gone = command('deviceRemoval', { id: 'd' });
    expect(withShopCommands('devices', [one], [gone], 'Ana')).toEqual([]);
    const entries = [{ id: 'g' }, { id: 'h' }] as never;
    expect(
      withShopCommands('glossary', entries, [command('glossaryRemoval', { id: 'g' })], 'Ana'),
    ).toEqual([{ id: 'h' }]);
  });
});

it('sends a photo as the picture that it is', async () => {
  const jpegBase64 = btoa('\u00ff\u00d8\u0000 picture');
  const { path, body } = shopSentBy(
    command('photo', { modelId: 'm', placeId: 'kick', photoId: 'p', jpegBase64 }),
  );
  expect(path).toBe('/models/m/places/kick/photos/p');
  const jpeg = body as Blob;
  expect(jpeg.type).toBe('image/jpeg');
  expect(jpeg.size).toBe('\u00ff\u00d8\u0000 picture'.length);
});

describe('a command on the shop’s things', () => {
  const body = { modelId: 'm', sourceId: 'dash/F1', request: { entry: 'Fan' } };

  async function outcomeOf(
    answer: Promise<ShopOutcome<ShopCommandName>>,
  ): Promise<ShopOutcome<ShopCommandName>> {
    await settled();
    return answer;
  }

  it('is stored: its maker hears the answer, and nothing is left of it', async () => {
    const store = makeStore();
    server.body = MODEL;
    const outcome = await outcomeOf(store.dispatch(commandShop('handbook', body)));
    expect(outcome).toEqual({ kind: 'stored', data: MODEL });
    expect(server.asked).toEqual(['PUT /api/models/m/handbook/dash%2FF1']);
    expect([store.getState().outbox, mockKept.size]).toEqual([[], 0]);
    expect(api.endpoints.model.select('m')(store.getState()).data).toEqual(MODEL);
  });

  it('is kept where nothing gets through, shown as done, and goes out by itself', async () => {
    const store = makeStore();
    server.answers = ['down'];
    server.body = MODEL;
    const outcome = await outcomeOf(store.dispatch(commandShop('handbook', body)));
    expect(outcome.kind).toBe('kept');
    expect(outboxSentence(store.getState().outbox, undefined)).toMatch(/1 entry is not saved yet/);
    expect(shopCommandsIn(store.getState().outbox, undefined)).toHaveLength(1);
    const [item] = store.getState().outbox;
    const anas = item === undefined ? [] : [{ ...item, by: 'ana' }];
    expect(shopCommandsIn(anas, 'ana')).toHaveLength(1);
    // Nothing is shown as done by whoever is signed in that another person made.
    expect(shopCommandsIn(anas, 'ida')).toEqual([]);
    await jest.advanceTimersByTimeAsync(5000);
    await settled();
    expect(server.asked).toHaveLength(2);
    expect(store.getState().outbox).toEqual([]);
  });

  it('is kept where the server fails at it', async () => {
    const store = makeStore();
    server.answers = [500];
    const outcome = await outcomeOf(store.dispatch(commandShop('handbook', body)));
    expect(outcome.kind).toBe('kept');
    expect(mockKept.size).toBe(1);
  });

  it('is refused: its maker hears why, and it is not tried again', async () => {
    const store = makeStore();
    server.answers = [422];
    const outcome = await outcomeOf(store.dispatch(commandShop('handbook', body)));
    expect(outcome).toMatchObject({ kind: 'refused', problem: 'no such slot' });
    expect([store.getState().outbox, mockKept.size]).toEqual([[], 0]);
  });

  it('stays with its reason where it is refused after the page was loaded anew', async () => {
    const before = makeStore();
    server.answers = ['down'];
    await outcomeOf(before.dispatch(commandShop('handbook', body)));
    const store = makeStore();
    server.answers = [422];
    await store.dispatch(openOutbox());
    await settled();
    expect(store.getState().outbox).toMatchObject([{ status: 'refused', problem: 'no such slot' }]);
    renderInApp(createElement(OutboxNotice), store);
    expect(screen.getByTestId('refused')).toHaveTextContent(
      /^What the handbook says of dash\/F1 was refused: no such slot/,
    );
    expect(shopCommandsIn(store.getState().outbox, undefined)).toEqual([]);
    fireEvent.press(screen.getByTestId('forget-refused'));
    expect(screen.queryByTestId('refused')).toBeNull();
    expect(mockKept.size).toBe(0);
  });

  it('is refused with what was made on top of it, where somebody else was faster', async () => {
    const store = makeStore();
    server.answers = ['stale'];
    const first = store.dispatch(commandShop('shop', { version: 4, settings: DEFAULT_SETTINGS }));
    const second = store.dispatch(commandShop('shop', { version: 5, settings: DEFAULT_SETTINGS }));
    await settled();
    expect([(await first).kind, (await second).kind]).toEqual(['refused', 'refused']);
    // Then the shop is asked for, as it is now; nothing is written over it.
    expect(server.asked.filter((one) => one.startsWith('PUT'))).toEqual(['PUT /api/shop']);
    expect(store.getState().outbox).toEqual([]);
  });

  it('made right upon the answer to another is not taken for kept before its turn', async () => {
    const store = makeStore();
    server.body = MODEL;
    const done = store.dispatch(commandShop('handbook', body)).then(() => {
      // The device takes its time to keep it, and the round before ends meanwhile.
      mockSlowMs = 500;
      return store.dispatch(commandShop('handbook', { ...body, sourceId: 'dash/F2' }));
    });
    await settled();
    await jest.advanceTimersByTimeAsync(600);
    await settled();
    expect((await done).kind).toBe('stored');
  });

  it('takes away what is gone already', async () => {
    const store = makeStore();
    server.answers = [404];
    const outcome = await outcomeOf(store.dispatch(commandShop('deviceRemoval', { id: 'd' })));
    expect(outcome.kind).toBe('stored');
    const kept = makeStore();
    server.answers = [404];
    const other = await outcomeOf(kept.dispatch(commandShop('handbook', body)));
    expect(other.kind).toBe('refused');
  });

  it('logs a tap point only after the readings that it rests on', async () => {
    const store = makeStore();
    server.answers = ['down'];
    store.dispatch(
      takeReading('job', { sourceId: 'dash/F1' } as unknown as Parameters<typeof takeReading>[1]),
    );
    await settled();
    const request = { feedId: 'f', fuseA: 5, awg: 18, note: '' };
    server.answers = [500];
    const outcome = await outcomeOf(
      store.dispatch(commandShop('tap', { jobId: 'job', id: 't', request })),
    );
    expect(outcome.kind).toBe('kept');
    // The reading failed once more: the tap point waits with it.
    expect(server.asked.filter((one) => one.includes('/taps/'))).toEqual([]);
    await store.dispatch(flushOutbox());
    await settled();
    expect(server.asked.slice(-2).map((one) => one.split('/')[4])).toEqual(['readings', 'taps']);
  });
});
