import fc from 'fast-check';
import type { BenchVehicle, FittedLead } from '../bench';
import { leadTouch, meterReading, benchCar, seededRandom } from '../bench';
import type { Reading } from '../identify';
import type { ProvedLead } from '../prove';
import { judgeCheck, proofChecks } from '../prove';
import type { LeadSpot } from '../vehicle';
import { placeOf, stateAt } from '../vehicle';

/** A socket’s circuit at accessory, and a lead of 5 A in its slot. */
const CAR: BenchVehicle = {
  battery: { restV: 12.7, internalOhm: 0.008, crankingA: 180, chargingV: 14.1 },
  circuits: [
    {
      slotId: 'F1',
      supply: 'accessoryContact',
      supplyContact: 'a',
      ratingA: 15,
      backFeed: undefined,
      loadOhm: 8,
      ghostV: 0,
      blown: false,
    },
  ],
};
const AMPS = 5;
const GOOD: FittedLead = {
  id: 'switched',
  at: { slotId: 'F1', lineBladeAt: 'a', originalFuseA: 15 },
  addedFuseA: 7.5,
  leadOhm: 0.04,
  loadOhm: 12 / AMPS,
  groundOhm: 0.008,
};

function read(lead: FittedLead, spot: LeadSpot, state = stateAt('run'), seed = 1): number {
  const touch = leadTouch(CAR, [lead], { id: lead.id, spot });
  if (touch === undefined) throw new Error('not fitted');
  const { car, ...at } = touch;
  return meterReading(car, { ...at, state }, seededRandom(seed));
}

function provedLead(): ProvedLead {
  const car = benchCar(CAR);
  const at = (place: 'acc' | 'run'): number =>
    meterReading(car, { pointId: 'F1', state: stateAt(place) }, seededRandom(2));
  return {
    feed: { id: 'switched', role: 'switched', currentA: AMPS },
    sourceId: 'F1',
    at: 'slot',
    of: 'accessory',
    sourceV: { acc: at('acc'), run: at('run') },
    dropV: AMPS * (GOOD.leadOhm + GOOD.groundOhm),
    dropLimitV: 0.36,
    ground: true,
  };
}

/** Every check of the lead read on the bench, with how each stands. */
function proved(lead: FittedLead, seed = 1): Record<string, ReturnType<typeof judgeCheck>> {
  return Object.fromEntries(
    proofChecks(provedLead()).map((check) => {
      const volts = read(lead, check.spot, check.state, seed);
      const reading: Reading = {
        ...{ id: check.id, sourceId: check.pointId, contact: undefined, state: check.state },
        value: { kind: 'volts', volts },
      };
      return [check.id, judgeCheck(check, [reading], AMPS)];
    }),
  );
}

const failedIn = (lead: FittedLead): string[] =>
  Object.entries(proved(lead))
    .filter(([, one]) => one.is === 'failed')
    .map(([id]) => id);

describe('an added lead on the bench', () => {
  it('passes every check when it is made well, whatever the meter’s noise', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 10_000 }), (seed) => {
        for (const one of Object.values(proved(GOOD, seed))) expect(one.is).toBe('passed');
      }),
      { numRuns: 60 },
    );
  });

  it('asks for its states, at its far end, and for ground once', () => {
    expect(proofChecks(provedLead()).map(({ id }) => id)).toEqual([
      'end run',
      'end acc',
      'end off',
      'original run',
      'endOriginalOut run',
      'end lamps',
      'ground run',
    ]);
    expect(proofChecks({ ...provedLead(), ground: false })).toHaveLength(6);
    expect(proofChecks({ ...provedLead(), at: 'wire' }).map(({ spot }) => spot)).not.toContain(
      'endOriginalOut',
    );
  });

  it('is dead at the far end by Ohm’s law what its copper takes, no more (against the nodal solution)', () => {
    // 12.7 V behind battery, bus, feed, fuse, lead, load and ground: one loop beside the original circuit.
    const far = read(GOOD, 'end');
    const near = read({ ...GOOD, leadOhm: 0 }, 'end');
    const amps = far / GOOD.loadOhm;
    expect(near - far).toBeCloseTo(amps * GOOD.leadOhm, 1);
  });

  const FAULTS: readonly (readonly [string, FittedLead, readonly string[], RegExp])[] = [
    [
      'the wrong way round',
      { ...GOOD, at: { slotId: 'F1', lineBladeAt: 'b', originalFuseA: 15 } },
      ['endOriginalOut run'],
      /wrong way round/,
    ],
    ['its fuse missing', { ...GOOD, addedFuseA: undefined }, ['end run', 'end acc'], /Added fuse/],
    ['a bad crimp', { ...GOOD, leadOhm: 0.5 }, ['end run', 'end acc'], /Ω too much/],
    ['a poor ground', { ...GOOD, groundOhm: 0.3 }, ['ground run'], /Bare metal/],
    [
      'the original fuse left out',
      { ...GOOD, at: { slotId: 'F1', lineBladeAt: 'a', originalFuseA: undefined } },
      ['original run'],
      /nearest the blades/,
    ],
  ];

  it.each(FAULTS)('with %s is caught, and said where to look', (_name, lead, ids, look) => {
    const failed = failedIn(lead);
    for (const id of ids) expect(failed).toContain(id);
    const standing = proved(lead)[ids[0] ?? ''];
    expect(standing?.is === 'failed' && standing.look.join(' ')).toMatch(look);
  });

  it('on a constant fails where it should be dead', () => {
    const [, , off] = proofChecks(provedLead());
    if (off === undefined) throw new Error('no check');
    const reading: Reading = {
      ...{ id: 'r', sourceId: off.pointId, contact: undefined, state: off.state },
      value: { kind: 'volts', volts: 12.4 },
    };
    expect(judgeCheck(off, [reading], AMPS)).toMatchObject({ is: 'failed' });
    expect(placeOf(off.state)).toBe('off');
  });
});
