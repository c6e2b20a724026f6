import { bunchElsewhere } from '../bench';
import { needsFor, scoreBunch, searchSignals } from './bunchTrial';
const SIGNALS = ['constant', 'ignition', 'accessory'] as const;
it('x', () => {
  let right = 0, wrong = 0, missed = 0, needs = 0;
  for (let seed = Number(process.env.FROM ?? 62001); seed < Number(process.env.FROM ?? 62001) + Number(process.env.N ?? 40); seed++) {
    const bunch = bunchElsewhere(seed);
    const search = searchSignals(bunch, needsFor(SIGNALS as any), { seed });
    const score = scoreBunch(bunch, SIGNALS as any, search);
    right += score.right; wrong += score.wrong; missed += score.missed; needs += score.needs;
    if (score.wrong > 0) {
      const fills = (search.advice as any).fills ?? (search.advice as any).needs;
      const ids = search.advice.verdicts.filter((v: any) => v.posterior && (v.posterior.functions?.accessory ?? 0) > 0.5).map((v) => v.sourceId);
      console.log(seed, JSON.stringify(score), JSON.stringify(fills).slice(0, 300), 'truth', JSON.stringify((bunch as any).is ?? (bunch as any).signals ?? Object.keys(bunch)).slice(0, 400));
      for (const id of ids) console.log(id, JSON.stringify(bunch.wires.find((w: any) => w.id === id)), JSON.stringify(search.advice.verdicts.find((v) => v.sourceId === id)).slice(0, 900));
    }
  }
  console.log('RIGHT', right, 'WRONG', wrong, 'MISSED', missed, 'of', needs);
}, 600000);
