import { randomBytes } from 'node:crypto';
import { seededRandom } from '@lucky-thread/core/bench';
import { createServer } from './app';
import { migrateDatabase, openDatabase } from './db/database';
import { seed } from './demo/seed';
import { liveWeek } from './demo/week/liveWeek';
import { paperThread } from './papers/paperThread';
import { readConfig } from './platform/config';

/** Longest time that ending may take, ms. */
const STOP_MS = 4000;

/** What the thread of papers does: built as this file is, or its sources while one works on them. */
const PAPERS = new URL(
  import.meta.url.endsWith('.ts') ? './papers/sourceWorker.mjs' : './papers/paperWorker.mjs',
  import.meta.url,
);

/** Starts the server from its environment, see `readConfig`. */
async function main(): Promise<void> {
  const { databaseUrl, port, ...config } = readConfig(process.env);
  await migrateDatabase(databaseUrl);
  const database = openDatabase(databaseUrl);
  const seeded = await seed(database.db, config.demo);
  if (config.demoWeek) await liveWeek(database.db, new Date());
  const papers = paperThread(PAPERS);
  const server = createServer({
    database,
    makePaper: papers.makePaper,
    sessionSecret: config.sessionSecret ?? randomBytes(32).toString('base64url'),
    demoAccounts: seeded.demoAccounts,
    webFolder: config.webFolder,
    random: config.noiseSeed === undefined ? Math.random : seededRandom(config.noiseSeed),
  });
  server.once('error', (error) => {
    console.error(`The server could not listen on port ${port}: ${error.message}`);
    process.exit(1);
  });
  server.listen(port, '127.0.0.1', () => {
    if (seeded.firstPassword !== undefined)
      console.log(`First account: login "lead", password "${seeded.firstPassword}" (shown once).`);
    process.send?.('ready');
    console.log(`listening on http://127.0.0.1:${port}`);
  });
  const stop = (): void => {
    // A database that hangs must not keep the server from ending.
    setTimeout(() => process.exit(0), STOP_MS).unref();
    server.closeAllConnections();
    server.close(
      () => void Promise.all([database.close(), papers.close()]).then(() => process.exit(0)),
    );
  };
  process.once('SIGTERM', stop);
  // The start command is gone, whatever ended it.
  process.once('disconnect', stop);
  // Ctrl-C reaches the whole process group; the start command decides the order of stopping.
  process.on('SIGINT', () => undefined);
}

main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
});
