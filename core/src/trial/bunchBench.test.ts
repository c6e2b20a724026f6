import type { BenchWireKind, GeneratedBunch } from '../bench';
import { WORK_SECONDS } from '../identify';
import { PARKED, stateAt } from '../vehicle';
import { bunchBench } from './bunchBench';

const KINDS: readonly (readonly [string, BenchWireKind])[] = [
  ['live', { is: 'feed', supply: 'battery', loadOhm: 1e6 }],
  ['dead', { is: 'ground', ohm: 0.1 }],
  ['data', { is: 'data', biasV: 2.6 }],
  ['sensor', { is: 'sensor' }],
];
const BUNCH: GeneratedBunch = {
  wires: KINDS.map(([id, behind]) => ({ id, behind })),
  battery: { restV: 12.6, internalOhm: 0.009, crankingA: 180, chargingV: 14.2 },
  ...{ carries: new Map(), lockKind: 'negative' },
};

describe('a bunch on the bench', () => {
  it('notes what a filament lamp and an ohmmeter are put on that they hurt, and no meter', () => {
    const bench = bunchBench(BUNCH, 1);
    bench.go(stateAt('run'));
    for (const [id] of KINDS)
      for (const by of ['meter', 'lamp', 'ohmmeter'] as const) bench.probe(id, by);
    expect(bench.effort().harm).toEqual([
      { wireId: 'live', kind: 'ohms on live' },
      { wireId: 'data', kind: 'lamp on data' },
      { wireId: 'data', kind: 'ohms on live' },
      { wireId: 'sensor', kind: 'lamp on data' },
      { wireId: 'sensor', kind: 'ohms on live' },
    ]);
  });

  it('shows the difference to plus while the clip sits there, and the ohmmeter goes to ground all the same', () => {
    const bench = bunchBench(BUNCH, 1);
    bench.clipTo('constant');
    expect(bench.probe('dead')).toMatchObject({ clip: 'constant', value: { kind: 'volts' } });
    const shown = bench.probe('dead').value;
    expect(shown.kind === 'volts' ? Math.abs(shown.volts) : 0).toBeGreaterThan(12);
    const ohms = bench.probe('dead', 'ohmmeter');
    expect(ohms.clip).toBeUndefined();
    expect(ohms.value).toMatchObject({ kind: 'ohms' });
  });

  it('counts work, and no wait for sleep', () => {
    const bench = bunchBench(BUNCH, 1);
    bench.go(stateAt('asleep'));
    const asleep = bench.effort().seconds;
    expect(asleep).toBeLessThan(WORK_SECONDS.sleep);
    bench.probe('live');
    bench.clipTo('constant');
    expect(bench.effort()).toMatchObject({
      seconds: asleep + WORK_SECONDS.probe + WORK_SECONDS.clip,
      probes: 1,
    });
    expect(bunchBench(BUNCH, 1).state()).toEqual(PARKED);
  });
});
