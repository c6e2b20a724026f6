import type { CatalogueDevice } from '@lucky-thread/contract';
import { fittedDevice } from '@lucky-thread/contract';
import {
  deviceRequest,
  newDeviceDraft,
  newOption,
  presenceOf,
  withOption,
  withPresence,
  withoutOption,
} from './deviceDraft';

const SET: CatalogueDevice = {
  name: 'Set',
  options: [{ id: 'amp', name: 'Factory amplifier' }],
  feeds: [
    { id: 'memory', name: 'Constant', role: 'constant', currentA: 7 },
    { id: 'wake', name: 'Wake', role: 'switched', currentA: 0.1, onlyWith: 'amp' },
    { id: 'own', name: 'Own', role: 'switched', currentA: 0.1, onlyWithout: 'amp' },
  ],
};
const WITHOUT = { when: 'without', option: 'amp' } as const;
const idsOf = (device: CatalogueDevice, chosen: readonly string[]) =>
  fittedDevice(device, chosen).feeds.map(({ id }) => id);

it('says when each lead is there, and takes it back again', () => {
  expect(SET.feeds.map(presenceOf)).toEqual([
    { when: 'always' },
    { when: 'with', option: 'amp' },
    { when: 'without', option: 'amp' },
  ]);
  for (const lead of SET.feeds) expect(withPresence(lead, presenceOf(lead))).toEqual(lead);
  const [memory] = SET.feeds;
  if (memory === undefined) throw new Error('no lead');
  expect(withPresence(memory, WITHOUT)).toEqual({ ...memory, onlyWithout: 'amp' });
  expect(withPresence({ ...memory, onlyWith: 'amp' }, WITHOUT)).not.toHaveProperty('onlyWith');
});

it('takes more options, and lets leads of one that is taken out always be there', () => {
  const option = newOption();
  const two = withOption(SET, option);
  expect(two.options).toEqual([...(SET.options ?? []), option]);
  const named = withOption(two, { ...option, name: 'Wheel buttons' });
  expect(named.options?.[1]).toEqual({ ...option, name: 'Wheel buttons' });
  expect(idsOf(SET, [])).toEqual(['memory', 'own']);
  const bare = withoutOption(SET, 'amp');
  expect(bare).not.toHaveProperty('options');
  expect(bare.feeds.map(presenceOf)).toEqual(SET.feeds.map(() => ({ when: 'always' })));
  expect(withoutOption(named, option.id).options).toEqual(SET.options);
});

it('sends what is whole, and names what is not by its place', () => {
  expect(deviceRequest({ note: ' ', device: SET })).toEqual({
    ok: true,
    request: {
      ...{ kind: 'lucky-thread-device', version: 1 },
      ...{ note: 'Typed in by the shop.', device: SET },
    },
  });
  expect(deviceRequest({ note: ' For vans. ', device: SET })).toMatchObject({
    request: { note: 'For vans.' },
  });
  const empty = deviceRequest(newDeviceDraft());
  expect(empty.ok ? [] : empty.problems.map(({ path }) => path)).toEqual(['device.name']);
  const nameless = deviceRequest({ note: '', device: withOption(SET, newOption()) });
  expect(nameless.ok ? [] : nameless.problems.map(({ path }) => path)).toEqual([
    'device.options.1.name',
  ]);
});
