import { runFuzz } from './fuzz/runFuzz';

/** No request may take longer, ms. */
const LIMIT_MS = 1000;
/** Memory may stand so much higher afterwards. */
const LIMIT_MEMORY = 1.2;

async function main(): Promise<void> {
  const [base = '', databaseUrl = '', pid = '', requests = '30000', seed = '1'] =
    process.argv.slice(2);
  const report = await runFuzz(
    { base, databaseUrl, serverPid: Number(pid) },
    { requests: Number(requests), seed: Number(seed), memory: true },
  );
  const [before, after] = report.memoryMb;
  const statuses = [...report.statuses].sort(([left], [right]) => left - right);
  console.log(`${report.requests} requests from seed ${seed}`);
  console.log(statuses.map(([status, count]) => `${status}: ${count}`).join(', '));
  console.log(
    `slowest ${report.slowestMs} ms (${report.slowest}); memory ${before} MB, then ${after} MB`,
  );
  for (const line of [...report.failures, ...report.halfWrites]) console.log(`✕ ${line}`);
  const broken =
    report.failures.length > 0 ||
    report.halfWrites.length > 0 ||
    report.slowestMs > LIMIT_MS ||
    after > before * LIMIT_MEMORY;
  if (broken) process.exitCode = 1;
}

main().catch((error: unknown) => {
  console.error(error);
  // Connections that are still open would keep the process.
  process.exit(1);
});
