import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** Everything that may differ between installations, read once from the environment. */
export interface Config {
  readonly databaseUrl: string;
  readonly host: string;
  readonly port: number;
  /** Whether the demo workshop's one-tap sign-ins are offered. */
  readonly demo: boolean;
  readonly maxUploadBytes: number;
  /** An archive of a whole workshop may be larger. */
  readonly maxArchiveBytes: number;
  /** General limit per address and minute; signing in has its own. */
  readonly requestsPerMinute: number;
  readonly signInTriesPer15Min: number;
  /** A session that nobody uses for so long ends; in any case it ends after thirty days. */
  readonly sessionIdleHours: number;
  /** Folder of the built web application; absent in API tests. */
  readonly webFolder?: string;
  /** Where letters are put for sending; absent where the installation sends none. */
  readonly outboxFolder?: string;
  readonly mailFrom: string;
  /** How the installation is reached from outside, for links in letters; as the request came in where it is not said. */
  readonly publicUrl?: string;
  readonly logLevel: string;
  /** Where uploads lie until they are stored; what is left there is swept. */
  readonly uploadFolder: string;
  /** How far what reads files stands back behind whoever waits for a page, 0–19. */
  readonly readerNiceness: number;
  /** Whether it works out what each open job waits for; one of several servers of a database may be enough. */
  readonly advises: boolean;
  /** Where the programs lie that read files from outside: beside the server's own bundle. */
  readonly programFolder: string;
}

const MEGABYTE = 1024 * 1024;

const positive = (text: string | undefined, fallback: number, name: string): number => {
  if (text === undefined || text === '') return fallback;
  const value = Number(text);
  if (!Number.isFinite(value) || value <= 0)
    throw new Error(`${name} must be a number above 0 (it is "${text}").`);
  return value;
};

const whole = (text: string | undefined, fallback: number, name: string): number => {
  const value = text === undefined || text === '' ? fallback : Number(text);
  if (!Number.isInteger(value) || value < 0 || value > 19)
    throw new Error(`${name} must be a whole number from 0 to 19 (it is "${text}").`);
  return value;
};

export function readConfig(env: NodeJS.ProcessEnv): Config {
  const databaseUrl = env['DATABASE_URL'] ?? urlFromPg(env);
  if (!databaseUrl) throw new Error('No database is named: set DATABASE_URL or PGHOST, PGUSER, PGDATABASE.');
  return {
    databaseUrl,
    host: env['WHITE_EMBER_HOST'] ?? '127.0.0.1',
    port: positive(env['WHITE_EMBER_PORT'], 4730, 'WHITE_EMBER_PORT'),
    demo: env['WHITE_EMBER_DEMO'] === '1',
    maxUploadBytes: positive(env['WHITE_EMBER_MAX_UPLOAD_MB'], 256, 'WHITE_EMBER_MAX_UPLOAD_MB') * MEGABYTE,
    maxArchiveBytes:
      positive(env['WHITE_EMBER_MAX_ARCHIVE_MB'], 8192, 'WHITE_EMBER_MAX_ARCHIVE_MB') * MEGABYTE,
    requestsPerMinute: positive(
      env['WHITE_EMBER_REQUESTS_PER_MINUTE'],
      3000,
      'WHITE_EMBER_REQUESTS_PER_MINUTE',
    ),
    signInTriesPer15Min: positive(env['WHITE_EMBER_SIGN_IN_TRIES'], 10, 'WHITE_EMBER_SIGN_IN_TRIES'),
    sessionIdleHours: positive(env['WHITE_EMBER_SESSION_IDLE_HOURS'], 96, 'WHITE_EMBER_SESSION_IDLE_HOURS'),
    ...(env['WHITE_EMBER_WEB'] ? { webFolder: env['WHITE_EMBER_WEB'] } : {}),
    ...(env['WHITE_EMBER_OUTBOX'] ? { outboxFolder: env['WHITE_EMBER_OUTBOX'] } : {}),
    mailFrom: env['WHITE_EMBER_MAIL_FROM'] ?? 'workshop@white-ember.invalid',
    ...(env['WHITE_EMBER_URL'] ? { publicUrl: env['WHITE_EMBER_URL'].replace(/\/+$/, '') } : {}),
    logLevel: env['WHITE_EMBER_LOG'] ?? 'warn',
    uploadFolder: env['WHITE_EMBER_UPLOADS'] ?? join(tmpdir(), 'white-ember-uploads'),
    advises: env['WHITE_EMBER_ADVISES'] !== '0',
    readerNiceness: whole(env['WHITE_EMBER_READER_NICENESS'], 10, 'WHITE_EMBER_READER_NICENESS'),
    programFolder: env['WHITE_EMBER_PROGRAMS'] ?? import.meta.dirname,
  };
}

export function urlFromPg(env: NodeJS.ProcessEnv): string | undefined {
  const { PGHOST, PGPORT, PGUSER, PGPASSWORD, PGDATABASE } = env;
  if (!PGHOST && !PGDATABASE) return undefined;
  const user = PGUSER
    ? `${encodeURIComponent(PGUSER)}${PGPASSWORD ? `:${encodeURIComponent(PGPASSWORD)}` : ''}@`
    : '';
  return `postgres://${user}${PGHOST ?? '127.0.0.1'}:${PGPORT ?? '5432'}/${PGDATABASE ?? PGUSER ?? 'postgres'}`;
}
