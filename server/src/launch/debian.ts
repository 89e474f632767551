import { execFileSync, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** A reason to stop that the person at the terminal can act on; shown without a stack trace. */
export class LaunchError extends Error {}

export const isRoot = (): boolean => process.getuid?.() === 0;

/** The command prefix that may install packages: nothing as root, sudo where it asks for no password. */
function installer(): string[] | undefined {
  if (isRoot()) return [];
  return spawnSync('sudo', ['-n', 'true'], { stdio: 'ignore' }).status === 0 ? ['sudo', '-n'] : undefined;
}

function install(packages: readonly string[], what: string): void {
  const prefix = installer();
  if (!prefix || spawnSync('apt-get', ['--version'], { stdio: 'ignore' }).status !== 0) {
    throw new LaunchError(
      `${what} is missing. Install it first, for example: sudo apt-get install ${packages.join(' ')}`,
    );
  }
  process.stderr.write(`Installing ${what} …\n`);
  const run = (args: string[]): number =>
    spawnSync(
      [...prefix, 'env'][0] as string,
      [
        ...prefix.slice(1),
        ...(prefix.length > 0 ? ['env'] : []),
        'DEBIAN_FRONTEND=noninteractive',
        'apt-get',
        '-q',
        ...args,
      ],
      {
        stdio: ['ignore', 'ignore', 'inherit'],
      },
    ).status ?? 1;
  run(['update']);
  if (run(['install', '-y', '--no-install-recommends', ...packages]) !== 0) {
    throw new LaunchError(`${what} could not be installed; apt-get said why above.`);
  }
}

const VERSIONS = '/usr/lib/postgresql';

function findPostgres(): string | undefined {
  if (!existsSync(VERSIONS)) return undefined;
  const versions = readdirSync(VERSIONS)
    .filter((version) => existsSync(join(VERSIONS, version, 'bin', 'initdb')))
    .sort((a, b) => Number(b) - Number(a));
  return versions[0] ? join(VERSIONS, versions[0], 'bin') : undefined;
}

/** Folder of PostgreSQL's server programs, installed from Debian's packages where missing. */
export function postgresPrograms(): string {
  const found = findPostgres();
  if (found) return found;
  if (isRoot() && !existsSync('/etc/postgresql-common/createcluster.conf')) {
    // Otherwise the package makes and starts a cluster of its own that nobody asked for.
    mkdirSync('/etc/postgresql-common', { recursive: true });
    writeFileSync('/etc/postgresql-common/createcluster.conf', 'create_main_cluster = false\n');
  }
  install(['postgresql'], 'PostgreSQL');
  const installed = findPostgres();
  if (!installed)
    throw new LaunchError(`PostgreSQL was installed, but its programs are not under ${VERSIONS}.`);
  return installed;
}

/** Chromium without its window: the browser tests take a third less on it. */
export const CHROMIUM = '/usr/bin/chromium-headless-shell';

export function ensureChromium(): void {
  if (!existsSync(CHROMIUM)) install(['chromium-headless-shell'], 'Chromium');
}

/** PostgreSQL refuses to run as root: then it runs as the user that its package made. */
export function postgresUser(): { uid: number; gid: number } | undefined {
  if (!isRoot()) return undefined;
  const id = (flag: string): number =>
    Number(execFileSync('id', [flag, 'postgres'], { encoding: 'utf8' }).trim());
  return { uid: id('-u'), gid: id('-g') };
}
