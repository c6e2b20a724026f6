import { PHONE, Visitor, WIDE } from './lib/browser';
import { chooseBest, findSupplySide, followPlan, signIn, startJob } from './lib/flow';
const v = await Visitor.open('http://127.0.0.1:4393', PHONE);
try {
  await signIn(v);
  await startJob(v, 'Fairway', 'Dashcam with parking mode');
  await followPlan(v);
  await chooseBest(v, ['memory', 'switched']);
  await findSupplySide(v, 'switched');
  await findSupplySide(v, 'memory');
  await v.touch('go-size');
  await v.see('length-memory');
  await v.picture('/tmp/s/b0.png');
  await v.touch('go-build');
  await v.see('step-now');
  await v.picture('/tmp/s/b1.png');
  await v.show('parts');
  await v.picture('/tmp/s/b2.png');
  await v.show('steps');
  await v.touch('step-done');
  await v.touch('step-done');
  await v.picture('/tmp/s/b3.png');
  await v.resize(WIDE);
  await v.show('route');
  await v.picture('/tmp/s/b4.png');
} catch (e) { console.error(e); await v.picture('/tmp/s/err.png'); } finally { await v.close(); }
