import 'reflect-metadata';
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { setTimeout as sleep } from 'node:timers/promises';
import { pino } from 'pino';
import { urlFromPg } from '../http/config.ts';
import { createDataSource } from '../database/dataSource.ts';
import { ensureDemo } from '../demo/ensureDemo.ts';
import { sealOldSignOffs } from '../jobs/seals.ts';
import { BackOff } from './backOff.ts';
import { buildServer, buildWeb } from './build.ts';
import { ensureDatabase, openCluster, type Cluster } from './cluster.ts';
import { defaultDataFolder, hold, holderOf, release, wasKilled } from './dataFolder.ts';
import { LaunchError } from './debian.ts';
import { freePort, isFree } from './ports.ts';
import { killGroup, startServer, stopServer, type ServerProcess } from './serverProcess.ts';
import { standIn } from './standIn.ts';

const HELP = `bin/start — sets White Ember up where needed and serves it

  --port N        port of the pages (default 4730, or the next free one)
  --host ADDRESS  address to listen on (default 127.0.0.1; 0.0.0.0 for other devices, see docs/other-devices.md)
  --data DIR      folder of the private database
  --demo          load the demo workshop into a database named by DATABASE_URL or PG*, too
  --reset-demo    throw the demo workshop away and load it anew; real workshops are left alone
  --help          this

Without DATABASE_URL or PG* it runs its own PostgreSQL on loopback. Ctrl-C stops all it started.
`;

/** The commands of bin go to the root of the installation before they begin. */
const root = process.cwd();

interface Options {
  readonly port: number | undefined;
  readonly host: string;
  readonly data: string;
  readonly demo: boolean;
  readonly resetDemo: boolean;
}

function readOptions(): Options | 'help' {
  try {
    const { values } = parseArgs({
      options: {
        port: { type: 'string' },
        host: { type: 'string', default: '127.0.0.1' },
        data: { type: 'string' },
        demo: { type: 'boolean', default: false },
        'reset-demo': { type: 'boolean', default: false },
        help: { type: 'boolean', default: false },
      },
    });
    if (values.help) return 'help';
    const port = values.port === undefined ? undefined : Number(values.port);
    if (port !== undefined && (!Number.isInteger(port) || port < 1 || port > 65_535)) {
      throw new LaunchError(`--port must be a whole number from 1 to 65535 (it is "${values.port ?? ''}").`);
    }
    return {
      port,
      host: values.host,
      data: resolve(values.data ?? defaultDataFolder(root)),
      demo: values.demo,
      resetDemo: values['reset-demo'],
    };
  } catch (error) {
    throw new LaunchError(
      `${(error as Error).message.split('\n')[0] ?? ''}\nbin/start --help tells the options.`,
    );
  }
}

const LEAVING_MS = 8000;

/** The wanted port, or the next free one; after a killed start its server gets a moment to leave the port. */
async function choosePort(options: Options): Promise<number> {
  const wanted = options.port ?? 4730;
  const patient = wasKilled(options.data) ? Date.now() + LEAVING_MS : 0;
  while (!(await isFree(wanted, options.host))) {
    if (Date.now() < patient) {
      await sleep(200);
      continue;
    }
    if (options.port === undefined) return freePort(wanted, options.host);
    throw new LaunchError(`Port ${options.port} is taken. Choose another with --port.`);
  }
  return wanted;
}

async function prepareDatabase(url: string, options: Options, isPrivate: boolean): Promise<boolean> {
  const db = createDataSource(url, pino({ level: 'silent' }), { statementTimeoutMs: 0 });
  try {
    await db.initialize();
  } catch (error) {
    throw new LaunchError(`The database cannot be reached: ${(error as Error).message}`);
  }
  try {
    await db.runMigrations({ transaction: 'each' });
    const wanted = isPrivate || options.demo || options.resetDemo;
    if (wanted) await ensureDemo(db, { reset: options.resetDemo });
    await sealOldSignOffs(db);
    return wanted;
  } finally {
    await db.destroy();
  }
}

async function main(): Promise<void> {
  const options = readOptions();
  if (options === 'help') {
    process.stdout.write(HELP);
    return;
  }
  const external = process.env['DATABASE_URL'] ?? urlFromPg(process.env);
  const lockFolder = options.data;
  const holder = external ? undefined : holderOf(lockFolder);
  if (holder) {
    throw new LaunchError(
      `White Ember already serves this data at ${holder.address} (process ${holder.pid}). Use that, or start with another --data folder.`,
    );
  }
  const port = await choosePort(options);
  const address = `http://${options.host === '0.0.0.0' || options.host === '::' ? '127.0.0.1' : options.host}:${port}`;
  if (!external) hold(lockFolder, address);

  let cluster: Cluster | undefined;
  let server: ServerProcess | undefined;
  let stopping = false;
  const stop = async (status: number): Promise<void> => {
    if (stopping) return;
    stopping = true;
    if (server) await stopServer(server.child);
    await cluster?.stop();
    if (!external) release(lockFolder);
    process.exit(status);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) {
    process.on(signal, () => {
      if (!stopping) process.stderr.write('\nStopping …\n');
      void stop(0);
    });
  }

  try {
    cluster = external ? undefined : await openCluster(options.data);
    let url = external ?? (await ensureDatabase(cluster as Cluster, 'white_ember'));
    const demo = await prepareDatabase(url, options, !external);
    const webFolder = await buildWeb(root);
    const bundle = await buildServer(root);
    const environment = {
      WHITE_EMBER_PORT: String(port),
      WHITE_EMBER_HOST: options.host,
      WHITE_EMBER_WEB: webFolder,
      WHITE_EMBER_DEMO: demo ? '1' : '0',
      WHITE_EMBER_URL: process.env['WHITE_EMBER_URL'] ?? address,
      WHITE_EMBER_OUTBOX: process.env['WHITE_EMBER_OUTBOX'] ?? join(options.data, 'outbox'),
      WHITE_EMBER_UPLOADS: process.env['WHITE_EMBER_UPLOADS'] ?? join(options.data, 'uploads'),
    };
    const backOff = new BackOff();
    let waiting = false;
    const serve = async (): Promise<void> => {
      server = await startServer(bundle, { ...environment, DATABASE_URL: url });
      server.child.once('exit', (code, signal) => {
        // Whatever it had started goes with it.
        killGroup(server?.child.pid);
        void revive(`The server stopped (${signal ?? `exit status ${code ?? 'none'}`}).`);
      });
    };
    /** Starts the server again, and again later where it does not start; meanwhile its address says what is wrong. */
    const revive = async (why: string): Promise<void> => {
      let reason = why;
      while (!stopping && !waiting) {
        waiting = true;
        const wait = backOff.next(performance.now());
        process.stderr.write(`${reason} Next try in ${(wait / 1000).toFixed(1)} s.\n`);
        const stood = wait > 1000 ? await standIn(options.host, port, reason, wait) : undefined;
        await sleep(wait);
        await stood?.close();
        waiting = false;
        if (stopping) return;
        try {
          await serve();
          return;
        } catch (error) {
          reason = `The server does not start: ${(error as Error).message}`;
        }
      }
    };
    await serve();
    process.stdout.write(welcome(address, demo));
    const databaseBackOff = new BackOff();
    while (!external) {
      await sleep(500);
      if (stopping || !cluster || cluster.alive()) continue;
      const wait = databaseBackOff.next(performance.now());
      process.stderr.write(`The database stopped; starting it again in ${(wait / 1000).toFixed(1)} s.\n`);
      await sleep(wait);
      if (stopping) break;
      try {
        cluster = await openCluster(options.data);
      } catch (error) {
        process.stderr.write(`${(error as Error).message}\n`);
        continue;
      }
      const now = cluster.url('white_ember');
      if (now === url) continue;
      // Its old port is taken: the server is started anew with the new one.
      process.stderr.write(`The database is at port ${cluster.port} now; the server is told.\n`);
      url = now;
      if (server) await stopServer(server.child);
    }
  } catch (error) {
    process.stderr.write(
      `${error instanceof LaunchError ? error.message : String((error as Error).stack)}\n`,
    );
    await stop(1);
  }
}

function welcome(address: string, demo: boolean): string {
  const lines = ['', `  White Ember is at ${address}`, ''];
  if (demo) {
    lines.push(
      '  Demo workshop “Quillfeather Aftertreatment”: one tap on the sign-in page, or by name with the password “marlow-fen-demo”:',
      '    lead  imke     technician  tobin     viewer  sorrel',
      '',
    );
  }
  lines.push('  Ctrl-C stops it.', '');
  return lines.join('\n');
}

try {
  await main();
} catch (error) {
  process.stderr.write(`${error instanceof LaunchError ? error.message : String((error as Error).stack)}\n`);
  process.exit(1);
}
