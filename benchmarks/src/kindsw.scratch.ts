import { bunchElsewhere, generateBunch, BUNCH_SIGNALS } from '@lucky-thread/core/bench';
import { needsFor, scoreBunch, searchSignals, secondsByHand } from '@lucky-thread/core/trial';
const OF_A_DASH = ['retained','lowBeam','highBeam','ampTurnOn'];
const [from, count] = [Number(process.env.FROM ?? 1), Number(process.env.N ?? 20)];
const gen = process.env.GEN ?? 'own'; const make = gen === 'own' ? generateBunch : bunchElsewhere;
const med = (l: number[]) => [...l].sort((a, b) => a - b)[Math.floor(l.length / 2)] ?? 0;
const all: number[] = [], both: number[] = [], there: number[] = []; let right = 0, n = 0, thereN = 0, thereRight = 0;
for (const kind of BUNCH_SIGNALS) { const bad: string[] = []; const r: number[] = [];
  for (let seed = from; seed < from + count; seed += 1) {
    const dash = OF_A_DASH.includes(kind);
    const b = make(seed, dash); const f = searchSignals(b, needsFor([kind]), { seed }); const s = scoreBunch(b, [kind], f);
    n += 1; right += s.right; const is = (b.carries.get(kind)?.length ?? 0) > 0; const x = f.seconds / secondsByHand(b, [kind]);
    all.push(x); r.push(x); both.push(f.seconds / secondsByHand(b, [kind], 'both')); if (is) { there.push(x); thereN += 1; thereRight += s.right; }
    if (!s.right) bad.push(`${seed}:${s.wrong ? 'WRONG ' + JSON.stringify(b.wires.find((w) => w.id === f.advice.filled[kind])?.behind).slice(0, 100) : 'missed ' + JSON.stringify(b.wires.find((w) => w.id === b.carries.get(kind)?.[0])?.behind).slice(0, 100)}`);
  }
  console.log(gen, kind, med(r).toFixed(2), bad.join(' '));
}
console.log(gen, 'ALL', n, 'right', right, 'there', thereRight, 'of', thereN, 'med', med(all).toFixed(3), 'there', med(there).toFixed(3), 'both', med(both).toFixed(3));
