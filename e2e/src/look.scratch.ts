import { writeFileSync } from 'node:fs';
import { PHONE, Visitor } from './lib/browser';
import { chooseBest, findSupplySide, followPlan, signIn, startJob } from './lib/flow';
const v = await Visitor.open('http://127.0.0.1:4393', PHONE);
try {
  await signIn(v);
  const id = await startJob(v, 'Longboat', 'Dashcam with parking mode');
  await followPlan(v);
  await chooseBest(v, ['memory', 'switched']);
  for (const f of ['memory', 'switched']) await findSupplySide(v, f);
  await v.touch('go-size');
  await v.see('length-memory');
  await v.touch('go-build');
  await v.see('step-now');
  const cookies = await v.driver.manage().getCookies();
  const cookie = cookies.map((c) => `${c.name}=${c.value}`).join('; ');
  for (const kind of ['job', 'owner', 'labels', 'restore', 'taps']) {
    const t = performance.now();
    const r = await fetch(`http://127.0.0.1:4393/api/jobs/${id}/papers/${kind}.pdf`, { headers: { cookie } });
    const b = Buffer.from(await r.arrayBuffer());
    console.log(kind, r.status, b.length, Math.round(performance.now() - t));
    writeFileSync(`/tmp/s/${kind}.pdf`, b);
  }
  await v.go('/tools/fault');
  await v.see('next-check');
  await v.picture('/tmp/s/f1.png');
} catch (e) { console.error(e); await v.picture('/tmp/s/err.png'); } finally { await v.close(); }
