import { say } from '@white-ember/core/words';
import { join } from 'node:path';
import compression from 'compression';
import expressStaticGzip from 'express-static-gzip';
import express, { type Express } from 'express';
import { rateLimit } from 'express-rate-limit';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import type { DataSource } from 'typeorm';
import pg from 'pg';
import { Advisor, adviceOfAnotherProgram } from '../judging/advisor.ts';
import { memberOf } from '../people/members.ts';
import { FileReaders } from '../reading/fileReaders.ts';
import type { Config } from '../http/config.ts';
import { problemHandler, Refusal } from '../http/problem.ts';
import { registerRoutes } from '../http/route.ts';
import { ALL_ROUTES } from './routes.ts';
import { keptSecret } from '../http/secrets.ts';
import { createSessionLayer, csrfGuard } from '../http/session.ts';
import { SignInLimits } from '../http/signInLimits.ts';
import { KeptUploads } from '../uploads/keptUploads.ts';
import { stallLimit } from '../uploads/stallLimit.ts';
import { keepSwept } from '../uploads/sweep.ts';
import { endUpload, uploadFields, uploadTaker } from '../uploads/uploadTaker.ts';

export interface Application {
  readonly app: Express;
  readonly close: () => Promise<void>;
}

export async function createApp(db: DataSource, config: Config, log: Logger): Promise<Application> {
  const app = express();
  app.disable('x-powered-by');
  // Behind a TLS proxy on the same machine the client's address and scheme come from its headers.
  app.set('trust proxy', 'loopback');
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          defaultSrc: ["'self'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          styleSrc: ["'self'", "'unsafe-inline'"],
          workerSrc: ["'self'", 'blob:'],
          upgradeInsecureRequests: null,
        },
      },
      strictTransportSecurity: false,
    }),
  );
  app.use((req, res, next) => {
    // Only where a proxy brings TLS: a browser that was told so once never asks without again.
    if (req.secure) res.setHeader('Strict-Transport-Security', 'max-age=15552000');
    next();
  });
  app.use(compression());
  if (log.isLevelEnabled('info')) app.use(pinoHttp({ logger: log }));
  else {
    // Routes log through the request whether or not each request is logged.
    app.use((req, _res, next) => {
      req.log = log;
      next();
    });
  }

  const limiterPool = new pg.Pool({
    connectionString: config.databaseUrl,
    max: 2,
    connectionTimeoutMillis: 5000,
  });
  limiterPool.on('error', (error) => log.warn({ err: error }, 'limiter connection lost'));
  const sessions = createSessionLayer(
    config.databaseUrl,
    await keptSecret(db, 'session-secret'),
    config.sessionIdleHours,
    log,
  );
  const signInLimits = await SignInLimits.create(limiterPool, config.signInTriesPer15Min);

  app.use('/api', (_req, res, next) => {
    res.setHeader('Cache-Control', 'no-store');
    next();
  });
  app.use(
    '/api',
    rateLimit({
      windowMs: 60_000,
      limit: config.requestsPerMinute,
      standardHeaders: 'draft-8',
      legacyHeaders: false,
      handler: () => {
        throw new Refusal(
          429,
          say('refusals.too-many-requests'),
          say('refusals.wait-a-minute-what-was-typed'),
        );
      },
    }),
  );
  app.use('/api', stallLimit);
  app.use('/api', express.json({ limit: '2mb', verify: refuseDeepJson }));
  for (const layer of sessions.middleware) app.use('/api', layer);
  app.use('/api', csrfGuard);

  const advisor = config.advises ? new Advisor(db, config.programFolder, log) : undefined;
  if (advisor) await adviceOfAnotherProgram(db);
  app.use('/api', (req, res, next) => {
    if (advisor && req.method !== 'GET')
      res.once('finish', () => {
        if (res.statusCode < 400) advisor.wake();
      });
    next();
  });
  const uploads = new KeptUploads(config.uploadFolder, {
    file: config.maxUploadBytes,
    archive: config.maxArchiveBytes,
  });
  registerRoutes(ALL_ROUTES, {
    app,
    db,
    config,
    readers: new FileReaders(config.programFolder, config.readerNiceness),
    uploads: {
      serve: (req, res) => uploads.serve(req, res),
      fields: uploadFields,
      end: (req, answered) => endUpload(req, uploads, answered),
    },
    uploader: uploadTaker(uploads, config.maxUploadBytes),
    archiveUploader: uploadTaker(uploads, config.maxArchiveBytes),
    signInLimits,
    memberOf: (req) => memberOf(req, db),
  });
  const endSweeping = keepSwept(config.uploadFolder, log);
  app.use('/api', () => {
    throw new Refusal(404, say('refusals.there-is-no-such-address'));
  });
  if (config.webFolder) serveWeb(app, config.webFolder);
  app.use(problemHandler(log));
  return {
    app,
    close: async () => {
      endSweeping();
      await advisor?.close();
      await sessions.close();
      await limiterPool.end();
    },
  };
}

/** Deeper than anything that is sent here: what walks through it recursively would run out of stack. */
const DEEPEST_JSON = 40;

function refuseDeepJson(_req: unknown, _res: unknown, body: Buffer): void {
  let [depth, quoted, escaped] = [0, false, false];
  for (const byte of body) {
    if (escaped) escaped = false;
    else if (quoted) {
      if (byte === 0x5c) escaped = true;
      else if (byte === 0x22) quoted = false;
    } else if (byte === 0x22) quoted = true;
    else if (byte === 0x5b || byte === 0x7b) {
      if (++depth > DEEPEST_JSON) throw new Error('nested too deeply');
    } else if (byte === 0x5d || byte === 0x7d) depth--;
  }
}

/** Files with a hash in their name may be kept for ever; the page itself is asked for each time. */
function serveWeb(app: Express, folder: string): void {
  app.use(
    '/assets',
    // As the build has packed them.
    expressStaticGzip(join(folder, 'assets'), {
      enableBrotli: true,
      orderPreference: ['br', 'gz'],
      index: false,
      serveStatic: { immutable: true, maxAge: '1y' },
    }),
  );
  app.use(express.static(folder, { index: false, maxAge: 0 }));
  app.get('/{*path}', (req, res) => {
    res.setHeader('Cache-Control', 'no-cache');
    // Whoever finds the address of a shared report somewhere: it is not for search machines.
    if (req.path.startsWith('/shared/')) res.setHeader('X-Robots-Tag', 'noindex');
    res.sendFile('index.html', { root: folder });
  });
}
