import { Visitor, PHONE, WIDE } from './src/lib/browser';
import { signIn, startJob, followPlan } from './src/lib/flow';
const v = await Visitor.open('http://127.0.0.1:4180', PHONE);
try {
  await signIn(v);
  const id = await startJob(
    v,
    process.argv[2] ?? 'Longboat',
    process.argv[3] ?? 'Dashcam with parking mode',
  ).catch(async (e) => {
    console.log(String(e));
    await v.picture('/tmp/s_err.png');
    throw e;
  });
  console.log(id);
  await followPlan(v, 6);
  await v.picture('/tmp/s1.png');
} finally {
  await v.close();
}
