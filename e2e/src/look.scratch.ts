import { PHONE, Visitor, WIDE } from './lib/browser';
import { followPlan, signIn, startJob } from './lib/flow';
const base = 'http://127.0.0.1:4393';
const v = await Visitor.open(base, PHONE);
try {
  await signIn(v);
  const jobId = await startJob(v, 'Fairway', 'Dashcam with parking mode');
  await followPlan(v, 4);
  await v.top();
  await v.picture('/tmp/p-find.png');
  try { await v.see('handbook-open'); await v.show('handbook-open'); await v.picture('/tmp/p-find2.png'); } catch (e) { console.log('no handbook-open'); }
  await v.go(`/jobs/${jobId}/harness`);
  await v.show('typed-wires');
  await v.type('typed-wires', 'BK, RD/YE, W/B');
  await v.show('typed-wires');
  await v.picture('/tmp/p-wires.png');
  await v.go('/tools/battery');
  await v.see('answer');
  await v.top();
  await v.picture('/tmp/p-battery.png');
  await v.go('/shop');
  await v.see('glossary');
  await v.show('glossary');
  await v.picture('/tmp/p-glossary.png');
  await v.go('/tools/tap');
  await v.see('answer');
  await v.picture('/tmp/p-tap.png');
  await v.resize(WIDE);
  await v.go(`/jobs/${jobId}/find`);
  await v.see('find');
  await v.picture('/tmp/w-find.png');
  await v.go('/shop');
  await v.show('glossary');
  await v.picture('/tmp/w-shop.png');
} finally { await v.close(); }
