import { readFileSync } from 'node:fs';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import { line } from './measure';

/** JavaScript that `index.html` asks for before anything shows, gzip -9, against a bare app's. */
export function firstLoadBenchmark(appFolder: string, bareFolder: string): void {
  const ours = initialBytes(appFolder);
  const bare = initialBytes(bareFolder);
  line('first-load JavaScript, gzip -9', `${Math.round(ours / 1024)} KB`);
  line('  bare Expo Router + Paper + Redux app', `${Math.round(bare / 1024)} KB`);
  line('  ratio', (ours / bare).toFixed(2));
}

function initialBytes(folder: string): number {
  const html = readFileSync(path.join(folder, 'index.html'), 'utf8');
  const scripts = [...html.matchAll(/<script[^>]+src="([^"]+\.js)"/g)].map(
    (match) => match[1] ?? '',
  );
  if (scripts.length === 0) throw new Error(`no script in ${folder}/index.html`);
  return scripts
    .map((src) => gzipSync(readFileSync(path.join(folder, decodeURI(src))), { level: 9 }).length)
    .reduce((sum, bytes) => sum + bytes, 0);
}
