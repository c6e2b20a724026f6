import { generateBunch, bunchElsewhere } from '../bench';
import { lockKindFound, needsFor, scoreBunch, searchSignals } from './bunchTrial';
const SIGNALS = ['constant', 'ignition', 'starter', 'parkingLamps', 'brake', 'door', 'hood', 'lock', 'unlock', 'tach'] as const;
it('x', () => {
  const from = Number(process.env.FROM ?? 70001), n = Number(process.env.N ?? 60);
  const gen = process.env.GEN === 'e' ? bunchElsewhere : generateBunch;
  let whole = 0, kinds = 0; const t = Date.now();
  for (let seed = from; seed < from + n; seed++) {
    const bunch = gen(seed);
    const search: any = searchSignals(bunch, needsFor(SIGNALS as any), { seed });
    const score = scoreBunch(bunch, SIGNALS as any, search);
    const kind = lockKindFound(search);
    if (score.right === score.needs) whole++;
    if (kind === bunch.lockKind) kinds++;
    if (score.right !== score.needs || kind !== bunch.lockKind)
      console.log(seed, JSON.stringify(score), 'kind', bunch.lockKind, kind, JSON.stringify(search.found ?? Object.keys(search)), JSON.stringify((bunch as any).answers ?? (bunch as any).truth ?? Object.keys(bunch)).slice(0, 800));
  }
  console.log('WHOLE', whole, 'KINDS', kinds, 'of', n, (Date.now() - t) / n, 'ms each');
}, 600000);
