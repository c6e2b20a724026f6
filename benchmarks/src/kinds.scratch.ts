import { bunchElsewhere, generateBunch, BUNCH_SIGNALS } from '@lucky-thread/core/bench';
import { needsFor, scoreBunch, searchSignals, secondsByHand } from '@lucky-thread/core/trial';
const OF_A_DASH = ['retained','lowBeam','highBeam','ampTurnOn'];
const [from, count] = [Number(process.env.FROM ?? 1), Number(process.env.N ?? 20)];
const kinds = (process.env.KINDS?.split(',') ?? BUNCH_SIGNALS) as any[];
const med = (l: number[]) => [...l].sort((a, b) => a - b)[Math.floor(l.length / 2)] ?? 0;
for (const [gen, make] of [['own', generateBunch], ['else', bunchElsewhere]] as const) {
  const all: number[] = []; const there: number[] = []; let right = 0, wrong = 0, missed = 0, n = 0;
  for (const kind of kinds) {
    const r: number[] = []; const rt: number[] = []; const rn: number[] = []; const sc0 = { r: 0, w: 0, m: 0 };
    for (let seed = from; seed < from + count; seed += 1) {
      const b = make(seed, OF_A_DASH.includes(kind) || seed % 2 === 0);
      const f = searchSignals(b, needsFor([kind]), { seed });
      const s = scoreBunch(b, [kind], f);
      sc0.r += s.right; sc0.w += s.wrong; sc0.m += s.missed; n += 1;
      const x = f.seconds / secondsByHand(b, [kind]);
      r.push(x); (b.carries.get(kind)?.length ? rt : rn).push(x);
    }
    all.push(...r); there.push(...rt); right += sc0.r; wrong += sc0.w; missed += sc0.m;
    console.log(gen, kind.padEnd(14), `med ${med(r).toFixed(2)} there ${med(rt).toFixed(2)} (${rt.length}) not ${med(rn).toFixed(2)} right ${sc0.r} wrong ${sc0.w} missed ${sc0.m}`);
  }
  console.log(gen, 'ALL', med(all).toFixed(3), 'there', med(there).toFixed(3), there.length, `right ${right} wrong ${wrong} missed ${missed} of ${n}`);
}
