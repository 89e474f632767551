import { inEnglish, say, type Said } from '@white-ember/core/words';
import type { ErrorRequestHandler } from 'express';
import multer from 'multer';
import type { Logger } from 'pino';
import type { z } from 'zod';
import type { Problem } from '@white-ember/core/contract';
import { impossibleMoment } from '@white-ember/core/ledger';

/** A refusal with its reason, answered as problem+json (RFC 9457). */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly title: Said,
    readonly detail?: Said,
    readonly fields?: Readonly<Record<string, Said>>,
    /** When it is worth trying again, s. */
    readonly retryAfterS?: number,
  ) {
    super(inEnglish(title));
  }
}

export const tooLarge = (): Refusal =>
  new Refusal(413, say('refusals.the-file-is-too-large'), say('refusals.it-is-over-the-limit-of'));

export const notFound = (what: Said): Refusal => new Refusal(404, say('refusals.was-not-found', { what }));

export const conflict = (detail: Said): Refusal =>
  new Refusal(409, say('refusals.this-clashes-with-what-is-stored'), detail);

/** Refuses a moment that cannot be: before this century, or later than tomorrow. */
export function refuseMoment(field: string, moment: string, now = new Date()): void {
  const wrong = impossibleMoment(moment, now.getTime());
  if (wrong !== undefined)
    throw new Refusal(
      400,
      say('refusals.the-input-is-not-right'),
      say('refusals.field-and-fault', { field, fault: wrong }),
      {
        [field]: wrong,
      },
    );
}

/** Zod's findings as field path → sentence. */
export function invalidInput(error: z.ZodError, where: string): Refusal {
  const fields: Record<string, string> = {};
  for (const issue of error.issues.slice(0, 20)) {
    const path = issue.path.map(String).join('.') || where;
    fields[path] ??= issue.message;
  }
  const first = Object.entries(fields)[0];
  return new Refusal(
    400,
    say('refusals.the-input-is-not-right'),
    first ? say('refusals.field-and-fault', { field: first[0], fault: first[1] }) : undefined,
    fields,
  );
}

const PG_UNPRINTABLE = new Set(['22021', '22P05']);
/** Of PostgreSQL: a statement, a lock or a transaction that took too long, and was ended. */
const TOO_LONG = new Set(['57014', '55P03', '25P03', '40P01', '40001']);
const DISK_FULL = new Set(['ENOSPC', 'EDQUOT', '53100']);
const UNREACHABLE =
  /ECONNREFUSED|ECONNRESET|EPIPE|terminat|Connection (ended|closed|lost)|not queryable|timeout exceeded when trying to connect|the database system is|Driver not Connected/i;

function toRefusal(error: unknown): Refusal | undefined {
  if (error instanceof Refusal) return error;
  if (error instanceof multer.MulterError) {
    return error.code === 'LIMIT_FILE_SIZE'
      ? tooLarge()
      : new Refusal(400, say('refusals.the-upload-is-not-right'), error.message);
  }
  const { type, status, code, message } = error as {
    type?: string;
    status?: number;
    code?: string;
    message?: string;
  };
  if (type === 'entity.parse.failed') return new Refusal(400, say('refusals.the-input-is-not-json'));
  if (type === 'entity.too.large') return new Refusal(413, say('refusals.the-input-is-too-large'));
  if (type === 'charset.unsupported' || type === 'encoding.unsupported')
    return new Refusal(415, say('refusals.this-encoding-is-not-read'));
  if (status === 400) return new Refusal(400, say('refusals.the-request-is-not-right'));
  if (type === 'entity.verify.failed')
    return new Refusal(400, say('refusals.the-input-is-nested-too-deeply'));
  if (error instanceof RangeError && /call stack/.test(error.message))
    return new Refusal(400, say('refusals.the-input-is-nested-too-deeply'));
  if (code && DISK_FULL.has(code))
    return new Refusal(
      507,
      say('refusals.the-disk-of-the-server-is'),
      say('refusals.nothing-was-stored-it-is-kept'),
    );
  if (code && TOO_LONG.has(code))
    return new Refusal(
      503,
      say('refusals.the-database-is-busy'),
      say('refusals.nothing-was-stored-try-again-in'),
    );
  if (code && PG_UNPRINTABLE.has(code)) {
    return new Refusal(400, say('refusals.the-input-holds-characters-that-cannot'));
  }
  // Class 22: a value that the database cannot hold.
  if (code?.length === 5 && code.startsWith('22'))
    return new Refusal(400, say('refusals.the-input-holds-a-value-that'));
  if (
    code?.startsWith('08') ||
    code?.startsWith('57P') ||
    UNREACHABLE.test(`${code ?? ''} ${message ?? ''}`)
  ) {
    return new Refusal(
      503,
      say('refusals.the-database-cannot-be-reached'),
      say('refusals.nothing-was-stored-it-is-kept-2'),
    );
  }
  return undefined;
}

const asProblem = ({ status, title, detail, fields }: Refusal): Problem => ({
  type: 'about:blank',
  title: inEnglish(title),
  status,
  ...(detail === undefined ? {} : { detail: inEnglish(detail) }),
  ...(fields === undefined ? {} : { fields: inEnglish(fields) }),
});

/** What a failure says to whoever asked; nothing where it is no known kind. */
export function toProblem(error: unknown): Problem | undefined {
  const refusal = toRefusal(error);
  return refusal && asProblem(refusal);
}

export const problemHandler =
  (log: Logger): ErrorRequestHandler =>
  (error, _req, res, next) => {
    if (res.headersSent) {
      next(error);
      return;
    }
    const known = toRefusal(error);
    if (!known) log.error({ err: error as unknown }, 'unexpected failure');
    const refusal =
      known ??
      new Refusal(
        500,
        say('refusals.something-failed-on-the-server'),
        say('refusals.nothing-was-stored-it-was-written'),
      );
    if (refusal.retryAfterS !== undefined) res.setHeader('Retry-After', String(refusal.retryAfterS));
    res
      .status(refusal.status)
      .type('application/problem+json')
      .send(JSON.stringify(asProblem(refusal)));
  };
