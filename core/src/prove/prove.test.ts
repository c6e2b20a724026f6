import { placeOf } from '../vehicle';
import { PROOF_KINDS, closingProofs } from './index';

describe('closingProofs', () => {
  it.each(['constant', 'switched', 'illumination'] as const)(
    'asks all proofs of a %s tap',
    (role) => {
      expect(closingProofs(role, undefined).map((proof) => proof.kind)).toEqual([...PROOF_KINDS]);
    },
  );

  it('proves a switched tap dead again with the key off', () => {
    const dead = closingProofs('switched', 'accessory').find((proof) => proof.kind === 'dead');
    expect(dead?.states.map(placeOf)).toEqual(['off']);
  });

  it('proves an accessory live at accessory too', () => {
    const live = closingProofs('switched', 'accessory').find((proof) => proof.kind === 'live');
    expect(live?.states.map(placeOf)).toEqual(['run', 'acc']);
  });

  it('takes the original fuse out to prove the way round, with the key off first', () => {
    const proof = closingProofs('constant', 'constant').find((one) => one.kind === 'orientation');
    expect(proof?.how).toMatch(/original fuse out/);
    expect(proof?.caution).toMatch(/Key off/);
  });
});
