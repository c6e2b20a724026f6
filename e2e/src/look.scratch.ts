import { PHONE, Visitor, WIDE } from './lib/browser';
import {
  DASHCAM_TAPS,
  chooseBest,
  findSupplySide,
  followPlan,
  showProofs,
  signIn,
  startJob,
  writeLog,
} from './lib/flow';
const v = await Visitor.open('http://127.0.0.1:4393', PHONE);
try {
  await signIn(v);
  await startJob(v, 'Longboat', 'Dashcam with parking mode');
  await followPlan(v);
  await chooseBest(v, ['memory', 'switched']);
  await findSupplySide(v, 'switched');
  await findSupplySide(v, 'memory');
  await v.touch('go-size');
  for (const { feed, length } of DASHCAM_TAPS) await v.type(`length-${feed}`, length);
  await v.touch('go-build');
  await v.touch('go-prove');
  await v.see('check-how');
  await v.picture('/tmp/s/p1.png');
  await v.touch('prove-pad-sim');
  await v.touch('prove-pad-dim');
  await v.see('check-failed');
  await v.picture('/tmp/s/p2.png');
  await v.resize(WIDE);
  await v.picture('/tmp/s/p3.png');
  console.log(await showProofs(v));
  await v.resize(PHONE);
  await v.top();
  await v.picture('/tmp/s/p4.png');
  await v.touch('go-log');
  await v.see('log-memory');
  await writeLog(v, DASHCAM_TAPS);
  console.log('logged');
} catch (e) {
  console.error(e);
  await v.picture('/tmp/s/err.png');
} finally {
  await v.close();
}
