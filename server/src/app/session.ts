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
  }
}

const MONTH_MS = 30 * 24 * 3600 * 1000;

const csrf = csrfSync({
  getTokenFromRequest: (req) => req.headers['x-csrf-token'] as string | undefined,
});

export const csrfTokenOf = (req: Request): string => csrf.generateToken(req);

/** Writes must carry the token of their session; reading and the token itself need none. */
export const csrfGuard: RequestHandler = (req, res, next) => {
  csrf.csrfSynchronisedProtection(req, res, (error?: unknown) => {
    if (error)
      next(
        new Refusal(
          403,
          'The page is out of date',
          'Its security token does not match. Reload, or try again.',
        ),
      );
    else next();
  });
};

export interface SessionLayer {
  readonly middleware: RequestHandler;
  readonly close: () => Promise<void>;
}

/** Sessions in PostgreSQL, so that any server process knows them and a restart signs nobody out. */
export function createSessionLayer(databaseUrl: string, secret: string, log: Logger): SessionLayer {
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
    middleware: session({
      name: 'white-ember',
      secret,
      store,
      resave: false,
      saveUninitialized: false,
      cookie: { httpOnly: true, sameSite: 'lax', secure: 'auto', maxAge: MONTH_MS },
    }),
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
