import { bunchElsewhere, generateBunch } from '@lucky-thread/core/bench';
import { needsFor, searchSignals, scoreBunch, secondsByHand } from '@lucky-thread/core/trial';
const [from, count] = [Number(process.env.FROM ?? 1), Number(process.env.N ?? 60)];
for (const k of (process.env.KINDS ?? 'ignition,starter,brake,reverse,constant,accessory').split(',') as any[]) for (const [make, gen] of [[generateBunch, 'own'], [bunchElsewhere, 'else']] as const) {
  const t = { right: 0, wrong: 0, missed: 0, shared: 0 }; const r: number[] = []; const bad: string[] = [];
  for (let seed = from; seed < from + count; seed += 1) {
    const b = make(seed, false);
    const f = searchSignals(b, needsFor([k]), { seed });
    const s = scoreBunch(b, [k], f); t.right += s.right; t.wrong += s.wrong; t.missed += s.missed;
    if (s.wrong || s.missed) bad.push(`${seed}:${s.wrong ? JSON.stringify(b.wires.find((x) => x.id === f.advice.filled[k])?.behind).slice(0, 90) : 'missed'}`);
    r.push(f.seconds / secondsByHand(b, [k]));
  }
  console.log(k, gen, JSON.stringify(t), 'med', r.sort((a, b) => a - b)[r.length >> 1]!.toFixed(2), bad.join(' '));
}
