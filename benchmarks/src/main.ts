import { chooseBenchmark } from './choose';
import { firstLoadBenchmark } from './firstLoad';
import { identifyBenchmark } from './identify';
import { monthBenchmark } from './month';
import { networkBenchmark } from './network';
import { tapSheetBenchmark } from './tapSheet';
import { harnessBenchmark, waysBenchmark } from './ways';

/** All benchmarks in one run; the start command of it says where everything is. */
async function main(): Promise<void> {
  const [base, databaseUrl, appFolder, bareFolder] = process.argv.slice(2);
  if (
    base === undefined ||
    databaseUrl === undefined ||
    appFolder === undefined ||
    bareFolder === undefined
  )
    throw new Error('run this with npm run bench');
  await networkBenchmark();
  await identifyBenchmark();
  await chooseBenchmark();
  await monthBenchmark();
  await tapSheetBenchmark(base, databaseUrl);
  firstLoadBenchmark(appFolder, bareFolder);
  harnessBenchmark();
  waysBenchmark();
}

main().catch((error: unknown) => {
  console.error(error);
  process.exit(1);
});
