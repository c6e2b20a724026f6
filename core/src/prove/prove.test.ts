import { placeOf } from '../vehicle';
import type { PromisedFeed } from './index';
import { PROOF_KINDS, closingProofs } from './index';

describe('closingProofs', () => {
  it.each(['constant', 'switched', 'illumination'] as const)(
    'asks all proofs of a %s tap',
    (role) => {
      expect(closingProofs({ role }, undefined).map((proof) => proof.kind)).toEqual([
        ...PROOF_KINDS,
      ]);
    },
  );

  it('proves a switched tap dead again with the key off', () => {
    const dead = closingProofs({ role: 'switched' }, 'accessory').find(
      (proof) => proof.kind === 'dead',
    );
    expect(dead?.states.map(placeOf)).toEqual(['off']);
  });

  it('proves an accessory live at accessory too', () => {
    const live = closingProofs({ role: 'switched' }, 'accessory').find(
      (proof) => proof.kind === 'live',
    );
    expect(live?.states.map(placeOf)).toEqual(['run', 'acc']);
  });

  it('takes the original fuse out to prove the way round, with the key off first', () => {
    const proof = closingProofs({ role: 'constant' }, 'constant').find(
      (one) => one.kind === 'orientation',
    );
    expect(proof?.how).toMatch(/original fuse out/);
    expect(proof?.caution).toMatch(/Key off/);
  });

  /** Places at which a proof of a feed is taken. */
  const placesOf = (kind: 'live' | 'dead', feed: PromisedFeed): string[] =>
    (closingProofs(feed, undefined).find((proof) => proof.kind === kind)?.states ?? []).map(
      placeOf,
    );

  it('follows what the feed promises', () => {
    expect(placesOf('live', { role: 'switched', holdsCranking: true })).toContain('crank');
    expect(placesOf('live', { role: 'switched' })).not.toContain('crank');
    expect(placesOf('live', { role: 'switched', liveInAcc: true })).toContain('acc');
    expect(placesOf('live', { role: 'constant' })).toContain('asleep');
    expect(placesOf('dead', { role: 'switched', mayStayLiveAwake: true })).toEqual(['asleep']);
    expect(placesOf('live', { role: 'retained' })).toEqual(['run', 'justOff']);
    expect(placesOf('dead', { role: 'retained' })).toEqual(['off']);
    expect(placesOf('dead', { role: 'retained', mayStayLiveAwake: true })).toEqual(['asleep']);
    expect(placesOf('live', { role: 'antennaTurnOn' })).toEqual(['tuner']);
    const [lit] = closingProofs({ role: 'lowBeam' }, undefined)[0]?.states ?? [];
    expect(lit).toMatchObject({ key: 'run', lamps: true });
    expect(placesOf('dead', { role: 'antennaTurnOn' })).toEqual(['otherSource', 'run']);
    expect(placesOf('dead', { role: 'ampTurnOn' })).toEqual(['run']);
    expect(placesOf('live', { role: 'illumination' })).toEqual(['lamps']);
    expect(placesOf('dead', { role: 'illumination' })).toContain('run');
  });

  it('cautions where the engine is cranked', () => {
    const of = (holdsCranking: boolean) =>
      closingProofs({ role: 'switched', holdsCranking }, undefined)[0]?.caution;
    expect(of(true)).toMatch(/Cranking: neutral/);
    expect(of(false)).not.toMatch(/Cranking/);
  });
});
