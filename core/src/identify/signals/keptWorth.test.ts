import { bunchElsewhere, generateBunch } from '../../bench';
import { bunchBench } from '../../trial';
import type { FindSession, Need, ProbeSource } from '../index';
import { advise, newAdviser, soughtBy } from '../index';

/** Two supplies that differ only in what is asked of them, and a switch. */
const NEEDS: readonly Need[] = [
  { id: 'memory', role: 'constant' },
  { id: 'radio', role: 'switched', liveInAcc: true },
  { id: 'steady', role: 'switched', holdsCranking: true },
  { id: 'door', role: 'door' },
];
const SOUGHT = soughtBy(NEEDS);
/** So many wires are touched. */
const TOUCHES = 18;

/** What was worked out of a wire is kept as long as nothing more is read at it, by what was asked. */
it.each([
  ['our own', generateBunch(11), 11],
  ['other', bunchElsewhere(12), 12],
])('says the same whatever was asked before (%s bunch)', (_, bunch, seed) => {
  const bench = bunchBench(bunch, seed);
  const sources = bunch.wires.map(({ id }): ProbeSource => ({
    ...{ kind: 'wire', id, name: id, legend: undefined },
    ...{ fitted: true, tappable: true, logged: undefined, sought: SOUGHT },
  }));
  const kept = newAdviser();
  for (let touch = 0; touch < TOUCHES; touch += 1) {
    const asked = (needs: readonly Need[], until: FindSession['until']): FindSession => ({
      ...{ sources, readings: bench.readings, state: bench.state(), clip: bench.clip() },
      ...{ lamp: true, needs, until },
    });
    // Asked afresh each answer takes its time, so only now and then.
    for (const until of touch % 6 === 5 ? (['role', 'function'] as const) : [])
      for (const needs of [NEEDS.slice(1, 2), NEEDS.slice(2, 3), NEEDS])
        expect(kept(asked(needs, until)).next).toEqual(advise(asked(needs, until)).next);
    const { next } = kept(asked(NEEDS, 'role'));
    if (next.kind !== 'visit') break;
    bench.go(next.visit.state);
    bench.clipTo(next.visit.clip ?? 'ground');
    bench.probe(next.visit.sourceIds[0] ?? '', next.visit.instrument);
  }
  expect(bench.readings.length).toBeGreaterThan(TOUCHES / 2);
});
