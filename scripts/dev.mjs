import { spawn } from 'node:child_process';
import path from 'node:path';
import { main, say } from './lib/console.mjs';
import { dataFolder } from './lib/dataFolder.mjs';
import { ensureNpmPackages } from './lib/packages.mjs';
import { freePort } from './lib/ports.mjs';
import { ensurePostgres, startCluster } from './lib/postgres.mjs';
import { ROOT } from './lib/run.mjs';
import { startServer } from './lib/server.mjs';

/** Development: the API restarts when its sources change, the app refreshes in place. */
main(async () => {
  await ensureNpmPackages();
  await ensurePostgres();
  const cluster = await startCluster(path.join(dataFolder(), 'dev'));
  const apiPort = await freePort(4181);
  const server = await startServer({
    watch: true,
    env: { DATABASE_URL: cluster.url, PORT: String(apiPort), DEMO: '1' },
  });
  say(`API on http://127.0.0.1:${apiPort}; the app's address follows`);
  const expo = spawn(
    process.execPath,
    [
      path.join(ROOT, 'node_modules/expo/bin/cli'),
      'start',
      '--web',
      '--port',
      process.env.PORT ?? '4180',
    ],
    {
      cwd: path.join(ROOT, 'app'),
      stdio: 'inherit',
      env: { ...process.env, EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1', API_PORT: String(apiPort) },
    },
  );
  process.on('SIGINT', () => undefined);
  await new Promise((resolve) => expo.once('exit', resolve));
  await server.stop();
  await cluster.stop();
});
