import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, statSync } from 'node:fs';
import path from 'node:path';
import { ROOT } from './run.mjs';

/** One hash over files and folders of the repository; tests don't count. */
export function hashOf(places) {
  const hash = createHash('sha256');
  for (const place of places.map((one) => path.join(ROOT, one)))
    for (const file of filesBelow(place)) {
      hash.update(path.relative(ROOT, file)).update('\0').update(readFileSync(file)).update('\0');
    }
  return hash.digest('hex');
}

function filesBelow(place) {
  if (!existsSync(place)) return [];
  if (!statSync(place).isDirectory()) return [place];
  return readdirSync(place)
    .filter((name) => !/\.test\.tsx?$/.test(name))
    .sort()
    .flatMap((name) => filesBelow(path.join(place, name)));
}
