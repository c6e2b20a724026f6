import { stateAt } from '../../vehicle';
import type { StitchPlace } from '../../vehicle';
import { judgeSource } from '../judgeSource';
import type { Reading } from '../reading/reading';
import type { LoggedClaim, ProbeSource } from '../reading/source';

const logged = (of: LoggedClaim['function'], probability: number): LoggedClaim => ({
  ...{ tapPointId: 't', function: of, probability, seen: ['off', 'crank', 'asleep'] },
});
const slot = (claim: LoggedClaim | undefined): ProbeSource => ({
  ...{ id: 'F1', name: 'F1', legend: 'ACC', fitted: true, tappable: true, logged: claim },
});
const volts = (place: StitchPlace, value: number): Reading => ({
  ...{ id: place, sourceId: 'F1', contact: undefined, state: stateAt(place) },
  value: { kind: 'volts', volts: value },
});
const LIVE = [volts('run', 12.3)];

describe('what the log says of a source', () => {
  it('is confirmed by one live reading here, where the log can be trusted', () => {
    expect(judgeSource(slot(logged('accessory', 0.97)), LIVE).confirmsLog).toBe(true);
    expect(judgeSource(slot(logged('accessory', 0.9699)), LIVE).confirmsLog).toBe(false);
    expect(judgeSource(slot(undefined), LIVE).confirmsLog).toBe(false);
  });

  it('is not confirmed by a dead reading, nor by none, nor where it names something else', () => {
    expect(judgeSource(slot(logged('accessory', 0.99)), []).confirmsLog).toBe(false);
    expect(judgeSource(slot(logged('accessory', 0.99)), [volts('off', 0.01)]).confirmsLog).toBe(
      false,
    );
    // One dead touch may have missed the metal; two have not.
    const dead = volts('off', 0.01);
    const dies = [...LIVE, dead, { ...dead, id: 'again' }];
    expect(judgeSource(slot(logged('constant', 0.99)), dies).confirmsLog).toBe(false);
    expect(judgeSource(slot(logged('accessory', 0.99)), dies).confirmsLog).toBe(true);
  });

  it('spares the places that it saw only once it is confirmed', () => {
    const left = (claim: LoggedClaim | undefined, readings: readonly Reading[]) =>
      judgeSource(slot(claim), readings).missing.map(({ place }) => place);
    const plain = left(undefined, LIVE);
    expect(plain).toContain('crank');
    expect(left(logged('accessory', 0.5), LIVE)).toEqual(plain);
    const spared = left(logged('accessory', 0.99), LIVE);
    expect(spared).not.toContain('crank');
    expect(spared).toEqual(plain.filter((place) => !['off', 'crank', 'asleep'].includes(place)));
  });

  it('is given back with the verdict, whatever was read', () => {
    const claim = logged('accessory', 0.99);
    expect(judgeSource(slot(claim), []).claim).toBe(claim);
    expect(judgeSource(slot(undefined), LIVE).claim).toBeUndefined();
  });
});
