import { execFile } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { promisify } from 'node:util';
import { gzipSync } from 'node:zlib';
import express from 'express';
import { line } from './measure';

const run = promisify(execFile);

/**
 * JavaScript that a browser has fetched when the first screen stands, gzip -9, against a bare app's: the scripts of the
 * page and the chunks of its first route, which both apps load before they show anything.
 *
 * @param base the running server, for what our first screen asks it
 */
export async function firstLoadBenchmark(
  base: string,
  appFolder: string,
  bareFolder: string,
): Promise<void> {
  const ours = await fetchedBytes(appFolder, base);
  const bare = await fetchedBytes(bareFolder, base);
  line('JavaScript until the first screen, gzip -9', `${Math.round(ours / 1024)} KB`);
  line('  bare Expo Router + Paper + Redux app', `${Math.round(bare / 1024)} KB`);
  line('  ratio', (ours / bare).toFixed(2));
}

/** Bytes of the scripts that Chromium asks for until a page is at rest. */
async function fetchedBytes(folder: string, base: string): Promise<number> {
  const scripts = new Set<string>();
  const app = express();
  app.use('/api', async (request, response) => {
    const answer = await fetch(`${base}/api${request.url}`);
    response
      .status(answer.status)
      .type('json')
      .send(await answer.text());
  });
  app.use((request, _response, next) => {
    if (request.path.endsWith('.js')) scripts.add(decodeURI(request.path));
    next();
  });
  app.use(express.static(folder));
  app.use((_request, response) => response.sendFile(path.join(folder, 'index.html')));
  const server = app.listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const profile = mkdtempSync(path.join(os.tmpdir(), 'lucky-thread-first-'));
  try {
    const { port } = server.address() as AddressInfo;
    await run('/usr/bin/chromium', [
      ...['--headless', '--no-sandbox', '--disable-gpu', `--user-data-dir=${profile}`],
      ...['--virtual-time-budget=10000', '--dump-dom', `http://127.0.0.1:${port}/`],
    ]);
  } finally {
    server.closeAllConnections();
    server.close();
    rmSync(profile, { recursive: true, force: true });
  }
  if (scripts.size === 0) throw new Error(`no script of ${folder} was asked for`);
  return [...scripts]
    .map((script) => gzipSync(readFileSync(path.join(folder, script)), { level: 9 }).length)
    .reduce((sum, bytes) => sum + bytes, 0);
}
