import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { Stop, say } from './console.mjs';
import { withLock } from './lock.mjs';
import { run } from './run.mjs';

const CLUSTER_CONFIG = '/etc/postgresql-common/createcluster.conf';

/** Installs Debian packages that are missing; `isThere` tells whether one has to do anything. */
export async function ensureDebianPackages(what, packages, isThere) {
  if (isThere()) return;
  await withLock('/tmp/lucky-thread-apt.lock', 'installing Debian packages', async () => {
    if (isThere()) return;
    if (!existsSync('/usr/bin/apt-get'))
      throw new Stop(`${what} is missing and this is no Debian: install it and start again.`);
    const sudo = await rootPrefix(what, packages);
    say(`Installing ${what} from Debian (${packages.join(', ')})`);
    if (packages.includes('postgresql')) await keepFromMakingACluster(sudo);
    const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
    await elevated(sudo, ['apt-get', 'update', '-qq'], env);
    const install = ['apt-get', 'install', '-y', '-qq', '--no-install-recommends', ...packages];
    const { code, output } = await elevated(sudo, install, env);
    if (code !== 0 || !isThere())
      throw new Stop(`${what} could not be installed: ${output.trim().split('\n').at(-1) ?? ''}`);
  });
}

async function rootPrefix(what, packages) {
  if (process.getuid() === 0) return [];
  const { code } = await run('sudo', ['-n', 'true'], { quiet: true }).catch(() => ({ code: 1 }));
  if (code === 0) return ['sudo', '-n'];
  throw new Stop(
    `${what} is missing and needs rights to install: run "sudo apt-get install ${packages.join(' ')}" and start again.`,
  );
}

function elevated(sudo, command, env) {
  const [program, ...args] = [...sudo, ...command];
  return run(program, args, { quiet: true, env });
}

/** Our cluster is private; Debian's own would only take a port. */
async function keepFromMakingACluster(sudo) {
  if (
    existsSync(CLUSTER_CONFIG) &&
    /^create_main_cluster/m.test(readFileSync(CLUSTER_CONFIG, 'utf8'))
  )
    return;
  const line = 'create_main_cluster = false';
  if (sudo.length === 0) {
    mkdirSync(path.dirname(CLUSTER_CONFIG), { recursive: true });
    writeFileSync(CLUSTER_CONFIG, `${line}\n`, { flag: 'a' });
    return;
  }
  await elevated(sudo, ['mkdir', '-p', path.dirname(CLUSTER_CONFIG)], process.env);
  await elevated(sudo, ['sh', '-c', `echo '${line}' >> ${CLUSTER_CONFIG}`], process.env);
}
