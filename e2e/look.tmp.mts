import path from 'node:path';
globalThis.__dirname = path.resolve('src/lib');
import { PHONE, WIDE, Visitor } from './src/lib/browser';
import {
  DASHCAM_TAPS,
  chooseBest,
  findSupplySide,
  followPlan,
  signIn,
  startJob,
} from './src/lib/flow';
const { startApplication } = await import('./src/lib/application');
const app = await startApplication();
const full = async (v: Visitor, file: string, h = 2600) => {
  const w = v.driver.manage().window();
  void w;
  await v.picture(file);
};
try {
  const v = await Visitor.open(app.base, PHONE);
  await signIn(v);
  await v.go('/tools');
  await v.see('tools');
  await v.picture('/tmp/l-tools.png');
  await v.go('/tools/wire?currentA=7&oneWayM=4.5');
  await v.see('answer');
  await v.touch('why-tool');
  await v.picture('/tmp/l-wire.png');
  await v.go('/tools/battery');
  await v.see('charge-chart');
  await v.picture('/tmp/l-bat.png');
  await v.show('month');
  await v.picture('/tmp/l-bat2.png');
  await startJob(v, 'Longboat', 'Dashcam with parking mode');
  await followPlan(v);
  await v.touch('go-choose');
  await v.see('sets');
  await v.picture('/tmp/l-choose.png');
  await v.touch('take-set-0');
  await findSupplySide(v, 'switched');
  await findSupplySide(v, 'memory');
  await v.touch('go-size');
  for (const { feed, length } of DASHCAM_TAPS) await v.type(`length-${feed}`, length);
  await v.textIs('basis-memory', /per cent/);
  await v.top();
  await v.picture('/tmp/l-size.png');
  await v.touch('why-memory');
  await v.show('coordination-chart');
  await v.picture('/tmp/l-size2.png');
  await v.show('sheet-memory');
  await v.picture('/tmp/l-size3.png');
  await v.go('/shop');
  await v.see('shop-ways');
  await v.show('school-joining');
  await v.picture('/tmp/l-shop.png');
  await v.close();
} finally {
  await app.stop();
}
