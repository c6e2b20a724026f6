import { buildBenchmark } from './build';
import { bunchesBenchmark } from './bunches';
import { chooseBenchmark } from './choose';
import { cardsBenchmark } from './cards/cards';
import { firstLoadBenchmark } from './firstLoad';
import { identifyBenchmark } from './identify';
import { kindsBenchmark } from './kinds';
import { monthBenchmark } from './month';
import { networkBenchmark } from './network';
import { radioBenchmark } from './radio';
import { searchBenchmark } from './search';
import { signalsBenchmark } from './signals';
import { tapSheetBenchmark } from './tapSheet';
import { harnessBenchmark, waysBenchmark } from './ways';

/** All benchmarks in one run, or those that are named; the start command of it says where everything is. */
async function main(): Promise<void> {
  const [base, databaseUrl, appFolder, bareFolder, ...wanted] = process.argv.slice(2);
  if (
    base === undefined ||
    databaseUrl === undefined ||
    appFolder === undefined ||
    bareFolder === undefined
  )
    throw new Error('run this with npm run bench');
  const benchmarks: Readonly<Record<string, () => unknown>> = {
    network: networkBenchmark,
    identify: identifyBenchmark,
    choose: chooseBenchmark,
    month: monthBenchmark,
    tapSheet: () => tapSheetBenchmark(base, databaseUrl),
    signals: signalsBenchmark,
    bunches: bunchesBenchmark,
    kinds: kindsBenchmark,
    radio: radioBenchmark,
    build: buildBenchmark,
    search: () => searchBenchmark(base, databaseUrl),
    firstLoad: () => firstLoadBenchmark(base, appFolder, bareFolder),
    harness: harnessBenchmark,
    cards: () => cardsBenchmark(),
    ways: waysBenchmark,
  };
  const unknown = wanted.filter((name) => benchmarks[name] === undefined);
  if (unknown.length > 0)
    throw new Error(
      `no benchmark ${unknown.join(', ')}; there are ${Object.keys(benchmarks).join(', ')}`,
    );
  for (const [name, run] of Object.entries(benchmarks))
    if (wanted.length === 0 || wanted.includes(name)) await run();
}

main().catch((error: unknown) => {
  console.error(error);
  process.exit(1);
});
