import { PHONE, Visitor, WIDE } from './lib/browser';
import { chooseBest, findSupplySide, followPlan, showProofs, signIn, startJob } from './lib/flow';
const v = await Visitor.open('http://127.0.0.1:4393', PHONE);
try {
  await signIn(v);
  await startJob(v, 'Longboat', 'Dashcam with parking mode');
  await followPlan(v);
  await chooseBest(v, ['memory', 'switched']);
  for (const f of ['memory', 'switched']) await findSupplySide(v, f);
  await v.touch('go-size');
  await v.see('length-memory');
  await v.touch('go-build');
  await v.see('step-now');
  await v.see('diagram-scroll');
  await v.show('diagram');
  await v.picture('/tmp/s/g1.png');
  await v.resize(WIDE);
  await v.show('diagram');
  await v.picture('/tmp/s/g2.png');
  await v.show('route');
  await v.picture('/tmp/s/g3.png');
  await v.touch('go-prove');
  console.log(await showProofs(v));
  await v.show('prove');
} catch (e) { console.error(e); await v.picture('/tmp/s/err.png'); } finally { await v.close(); }
