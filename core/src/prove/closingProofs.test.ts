import type { NeedRole } from '../identify';
import { isTrigger } from '../identify';
import { placeOf } from '../vehicle';
import type { PromisedFeed } from './index';
import { closingProofs, proofKindsAt } from './index';

/** Where each kind of feed is proved live, and where dead. Common practice. */
const PROVED: Partial<Record<NeedRole, readonly [string, string]>> = {
  constant: ['off run asleep', ''],
  switched: ['run', 'off'],
  retained: ['run justOff', 'off'],
  illumination: ['lamps', 'run off'],
  reverse: ['reverse', 'run off'],
  brake: ['brake', 'off run'],
  starter: ['crank', 'run off'],
};
const places = (feed: PromisedFeed, kind: 'live' | 'dead'): string =>
  (closingProofs(feed, undefined).find((one) => one.kind === kind)?.states ?? [])
    .map(placeOf)
    .join(' ');

it.each(Object.entries(PROVED) as [NeedRole, readonly [string, string]][])(
  'proves a feed of kind %s live and dead where it must be: %p',
  (role, [live, dead]) => {
    expect([places({ role }, 'live'), places({ role }, 'dead')]).toEqual([live, dead]);
    expect(isTrigger(role)).toBe(false);
    // Options that do not concern the dead states leave them as they are.
    expect(places({ role, holdsCranking: true, liveInAcc: true }, 'dead')).toBe(dead);
  },
);

it('adds what the feed promises beside, once each', () => {
  expect(places({ role: 'switched', liveInAcc: true, holdsCranking: true }, 'live')).toBe(
    'run acc crank',
  );
  expect(places({ role: 'constant', liveInAcc: true }, 'live')).toBe('off run asleep');
  expect(places({ role: 'constant', holdsCranking: true }, 'live')).toBe('off run asleep crank');
  const ofAccessory = (role: NeedRole): string =>
    (closingProofs({ role }, 'accessory')[0]?.states ?? []).map(placeOf).join(' ');
  expect([ofAccessory('switched'), ofAccessory('constant')]).toEqual(['run acc', 'off run asleep']);
  // Staying live awake is a promise of what goes by the key only.
  for (const role of ['illumination', 'brake', 'reverse', 'constant'] as const)
    expect(places({ role, mayStayLiveAwake: true }, 'dead')).toBe(PROVED[role]?.[1]);
  expect(places({ role: 'switched', mayStayLiveAwake: false }, 'dead')).toBe('off');
});

it('asks for the proofs of a slot in their order, and of a wire for all but the way round', () => {
  const kinds = ['live', 'dead', 'original', 'orientation'];
  expect(proofKindsAt('slot')).toEqual(kinds);
  expect(proofKindsAt('wire')).toEqual(kinds.slice(0, 3));
  expect(closingProofs({ role: 'switched' }, undefined, 'wire').map(({ kind }) => kind)).toEqual(
    kinds.slice(0, 3),
  );
});

it('says what is shown, how, and what can hurt, of a slot and of a wire', () => {
  const [live, dead, original, orientation] = closingProofs({ role: 'switched' }, undefined);
  expect(live).toMatchObject({
    title: 'Live in its states',
    how: expect.stringMatching(/^Load on, at the far end of the added lead: [^;]+\.$/),
    caution: 'The lead is live from now on: nothing bare, nothing loose.',
  });
  expect(dead).toMatchObject({
    title: 'Dead in the others',
    how: expect.stringMatching(/^At the far end of the added lead: [^;]+\.$/),
    caution: undefined,
  });
  expect(original).toEqual({
    ...{ kind: 'original', title: 'Original circuit works', states: [], caution: undefined },
    how: 'Everything the slot fed before still works, in the states it worked in.',
  });
  expect(orientation).toMatchObject({
    title: 'Right way round',
    how: 'Take the original fuse out of the tap: the added lead must stay live.',
    caution: 'Key off before a fuse comes out or goes in.',
  });
  expect(orientation?.states).toEqual(live?.states.slice(0, 1));
  expect(closingProofs({ role: 'switched' }, undefined, 'wire')[2]?.how).toMatch(/the wire fed/);
  // Several states are told apart.
  expect(closingProofs({ role: 'constant' }, undefined)[0]?.how.split('; ')).toHaveLength(3);
});

it('has a constant go dead without its fuse, since it has no dead state', () => {
  expect(closingProofs({ role: 'constant' }, undefined)[1]).toEqual({
    ...{ kind: 'dead', title: 'Dead without its fuse', states: [], caution: undefined },
    how: 'A constant has no dead state: take the added fuse out, the lead must go dead.',
  });
});

it('proves a signal by what the device does, and by the car’s own switch', () => {
  const proofs = closingProofs({ role: 'lock' }, undefined);
  expect(proofs.map(({ kind, title }) => [kind, title])).toEqual([
    ['live', 'The device sees it'],
    ['dead', 'And not without it'],
    ['original', 'The car’s own switch still works'],
  ]);
  const [worked, atRest, own] = proofs;
  expect(worked?.how).toMatch(/^Joined up, the device answers: .+\.$/);
  expect(worked?.caution).toMatch(/hands and bystanders clear/);
  expect(atRest?.how).toMatch(/^The device does nothing: .+\.$/);
  expect(own).toEqual({
    ...{ kind: 'original', title: 'The car’s own switch still works' },
    how: 'Work the car’s own switch: everything it did before, it still does.',
    ...{ states: [], caution: undefined },
  });
  expect(worked?.states.length).toBeGreaterThan(0);
  expect(atRest?.states.length).toBeGreaterThan(0);
  expect([atRest?.caution, own?.caution]).toEqual([undefined, undefined]);
  // Options of a supply mean nothing for a signal.
  expect(closingProofs({ role: 'lock', holdsCranking: true, liveInAcc: true }, undefined)).toEqual(
    proofs,
  );
});

it('shows the lamps that a signal follows with the key on', () => {
  const shown = (role: NeedRole) => closingProofs({ role }, undefined)[0]?.states ?? [];
  for (const state of [...shown('lowBeam'), ...shown('dimmer')]) expect(state.key).toBe('run');
  expect(shown('lowBeam')[0]?.lamps).toBe(true);
});
