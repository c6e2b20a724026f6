import { createHash } from 'node:crypto';
import os from 'node:os';
import path from 'node:path';
import { ROOT } from './run.mjs';

/**
 * Where this checkout keeps its database: outside the clone, where PostgreSQL's user may go, one folder per checkout.
 * LUCKY_THREAD_DATA overrides it.
 */
export function dataFolder() {
  const own = process.env.LUCKY_THREAD_DATA;
  if (own) return path.resolve(own);
  const base =
    process.getuid() === 0
      ? '/var/lib/lucky-thread'
      : path.join(
          process.env.XDG_DATA_HOME ?? path.join(os.homedir(), '.local/share'),
          'lucky-thread',
        );
  const checkout = createHash('sha256').update(ROOT).digest('hex').slice(0, 10);
  return path.join(base, checkout);
}
