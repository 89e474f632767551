import { say } from '@white-ember/core/words';
import connectPgSimple from 'connect-pg-simple';
import { csrfSync } from 'csrf-sync';
import type { Request, RequestHandler } from 'express';
import session from 'express-session';
import pg from 'pg';
import type { Logger } from 'pino';
import { Refusal } from './problem.ts';

declare module 'express-session' {
  interface SessionData {
    memberId: string;
    signedInAt: string;
    lastSeenAt: string;
    /** What the browser says it is, in words. */
    device: string;
    /** Secret of a second factor that is not confirmed yet. */
    offeredSecret: string;
  }
}

const MONTH_MS = 30 * 24 * 3600 * 1000;

const csrf = csrfSync({
  getTokenFromRequest: (req) => req.headers['x-csrf-token'] as string | undefined,
});

export const csrfTokenOf = (req: Request): string => csrf.generateToken(req);

/**
 * Whoever is not signed in has no session, and so no token of one: signing in only asks for the header itself, which no page
 * of another site can send.
 */
export const VISITOR_TOKEN = 'visitor';

/** Writes must carry the token of their session; reading and the token itself need none. */
export const csrfGuard: RequestHandler = (req, res, next) => {
  const outOfDate = (): Refusal =>
    new Refusal(
      403,
      say('refusals.the-page-is-out-of-date'),
      say('refusals.its-security-token-does-not-match'),
    );
  if (!req.session.memberId) {
    const reads = ['GET', 'HEAD', 'OPTIONS'].includes(req.method);
    next(reads || req.headers['x-csrf-token'] !== undefined ? undefined : outOfDate());
    return;
  }
  csrf.csrfSynchronisedProtection(req, res, (error?: unknown) => next(error ? outOfDate() : undefined));
};

/** Marks by which browsers name themselves and their system: each names others, too, so that the order counts. */
const SYSTEMS = [
  ['Android', 'Android'],
  ['iPhone', 'iPhone'],
  ['iPad', 'iPad'],
  ['Windows', 'Windows'],
  ['Mac OS X', 'Mac'],
  ['Linux', 'Linux'],
] as const;
const BROWSERS = [
  ['Firefox', 'Firefox'],
  ['Edg', 'Edge'],
  ['OPR', 'Opera'],
  ['Chrom', 'Chrome'],
  ['Safari', 'Safari'],
] as const;

/** What a browser says of itself, short enough to be known again by its person. */
export function deviceOf(userAgent: string | undefined): string {
  const text = userAgent ?? '';
  const first = (names: readonly (readonly [mark: string, name: string])[], otherwise: string): string =>
    names.find(([mark]) => text.includes(mark))?.[1] ?? otherwise;
  const system = first(SYSTEMS, 'a device');
  const browser = first(BROWSERS, 'a program');
  return `${browser} on ${system}`;
}

/** Not written down more often than this: a request need not become a write. */
const SEEN_EVERY_MS = 5 * 60_000;

/** Ends a session that nobody used for long, and notes that one is used. */
const idleEnd =
  (idleHours: number): RequestHandler =>
  (req, _res, next) => {
    const { session } = req;
    if (!session.memberId) {
      next();
      return;
    }
    const now = Date.now();
    const seen = Date.parse(session.lastSeenAt ?? session.signedInAt ?? '');
    if (now - seen > idleHours * 3_600_000) {
      session.destroy((error) => {
        if (error) next(error);
        // The rest of this request has an empty session, as any visitor's.
        else req.sessionStore.generate(req);
        if (!error) next();
      });
      return;
    }
    if (Number.isNaN(seen) || now - seen > SEEN_EVERY_MS) session.lastSeenAt = new Date(now).toISOString();
    next();
  };

export interface SessionLayer {
  /** In this order. */
  readonly middleware: readonly RequestHandler[];
  readonly close: () => Promise<void>;
}

/** Sessions in PostgreSQL, so that any server process knows them and a restart signs nobody out. */
export function createSessionLayer(
  databaseUrl: string,
  secret: string,
  idleHours: number,
  log: Logger,
): SessionLayer {
  const pool = new pg.Pool({ connectionString: databaseUrl, max: 5, connectionTimeoutMillis: 5000 });
  pool.on('error', (error) => log.warn({ err: error }, 'session connection lost'));
  const Store = connectPgSimple(session);
  const store = new Store({
    pool,
    tableName: 'session',
    disableTouch: true,
    pruneSessionInterval: 3600,
    errorLog: (...details: unknown[]) => log.warn({ details }, 'session store'),
  });
  return {
    middleware: [
      session({
        name: 'white-ember',
        secret,
        store,
        resave: false,
        saveUninitialized: false,
        cookie: { httpOnly: true, sameSite: 'lax', secure: 'auto', maxAge: MONTH_MS },
      }),
      idleEnd(idleHours),
    ],
    close: async () => {
      store.close();
      await pool.end();
    },
  };
}

/** A new session id on signing in, so that one handed over before cannot be used after (fixation). */
export async function startSession(req: Request, memberId: string): Promise<void> {
  await new Promise<void>((resolve, reject) => {
    req.session.regenerate((error) => (error ? reject(error as Error) : resolve()));
  });
  req.session.memberId = memberId;
  req.session.signedInAt = new Date().toISOString();
  req.session.lastSeenAt = req.session.signedInAt;
  req.session.device = deviceOf(req.headers['user-agent']);
  csrf.generateToken(req, true);
  await new Promise<void>((resolve, reject) => {
    req.session.save((error) => (error ? reject(error as Error) : resolve()));
  });
}

export async function endSession(req: Request): Promise<void> {
  await new Promise<void>((resolve, reject) => {
    req.session.destroy((error) => (error ? reject(error as Error) : resolve()));
  });
}
