import { say } from '@white-ember/core/words';
import type { Express, Request, RequestHandler, Response } from 'express';
import type { DataSource } from 'typeorm';
import type { z } from 'zod';
import type { Role } from '@white-ember/core/contract';
import type { Member } from '../database/entities/member.entity.ts';
import type { FileReaders } from '../reading/fileReaders.ts';
import type { Config } from './config.ts';
import type { SignInLimits } from './signInLimits.ts';
import { invalidInput, Refusal } from './problem.ts';

/** Who may call a route. `public` is said aloud; there is no default. */
export type Access = 'public' | Role;

const RANK: Record<Role, number> = { viewer: 0, technician: 1, lead: 2 };

/** Files that come with a request, or in pieces before it. */
export interface IncomingFiles {
  /** Takes a piece, or says how far a file has come. */
  readonly serve: (req: Request, res: Response) => Promise<void>;
  /** What was sent beside the file. */
  readonly fields: (req: Request) => unknown;
  /** Clears up what the request leaves behind. */
  readonly end: (req: Request, answered: boolean) => Promise<void>;
}

export interface Call<P, Q, B> {
  readonly params: P;
  readonly query: Q;
  readonly body: B;
  readonly req: Request;
  readonly res: Response;
  readonly db: DataSource;
  readonly config: Config;
  /** Reads files from outside, in processes of their own. */
  readonly readers: FileReaders;
  /** Files that come in pieces. */
  readonly uploads: IncomingFiles;
  readonly signInLimits: SignInLimits;
}

export interface MemberCall<P, Q, B> extends Call<P, Q, B> {
  readonly member: Member;
  /** Every query is scoped by it. */
  readonly workshopId: string;
}

interface RouteBase<P extends z.ZodType, Q extends z.ZodType, B extends z.ZodType, A extends z.ZodType> {
  readonly method: 'get' | 'head' | 'post' | 'put' | 'patch' | 'delete';
  /** Express path, `:name` for parameters. */
  readonly path: string;
  readonly summary: string;
  readonly params?: P;
  readonly query?: Q;
  readonly body?: B;
  /** Schema of the answer; absent for raw streams and empty answers. */
  readonly answer?: A;
  readonly status?: number;
  /** Takes one file, with the request or named by it; the handler finds it in `req`. An archive may be larger than other files. */
  readonly upload?: boolean | 'archive';
  /** Also for who still has to choose a password of their own. */
  readonly whilePasswordIsDue?: boolean;
}

type Input<T extends z.ZodType | undefined> = T extends z.ZodType ? z.output<T> : undefined;

export interface Route extends RouteBase<z.ZodType, z.ZodType, z.ZodType, z.ZodType> {
  readonly access: Access;
  readonly handle: (call: MemberCall<never, never, never>) => Promise<unknown>;
}

/** Declares a route for signed-in people of at least a role. */
export function memberRoute<
  P extends z.ZodType,
  Q extends z.ZodType,
  B extends z.ZodType,
  A extends z.ZodType,
>(
  route: RouteBase<P, Q, B, A> & {
    readonly access: Role;
    readonly handle: (call: MemberCall<Input<P>, Input<Q>, Input<B>>) => Promise<z.input<A>>;
  },
): Route {
  return route;
}

/** Declares a route that needs no session; each of these is a decision. */
export function publicRoute<
  P extends z.ZodType,
  Q extends z.ZodType,
  B extends z.ZodType,
  A extends z.ZodType,
>(
  route: RouteBase<P, Q, B, A> & {
    readonly handle: (call: Call<Input<P>, Input<Q>, Input<B>>) => Promise<z.input<A>>;
  },
): Route {
  return { ...route, access: 'public' } as unknown as Route;
}

export interface Wiring {
  readonly app: Express;
  readonly db: DataSource;
  readonly config: Config;
  readonly readers: FileReaders;
  readonly uploads: IncomingFiles;
  readonly uploader: readonly RequestHandler[];
  readonly archiveUploader: readonly RequestHandler[];
  readonly signInLimits: SignInLimits;
  readonly memberOf: (req: Request) => Promise<Member | undefined>;
}

function parsed<T extends z.ZodType | undefined>(schema: T, value: unknown, where: string): unknown {
  if (!schema) return undefined;
  const result = schema.safeParse(value);
  if (!result.success) throw invalidInput(result.error, where);
  return result.data;
}

/** Registers routes. The role is checked before any input is looked at, so that nothing leaks by error messages. */
export function registerRoutes(routes: readonly Route[], wiring: Wiring): void {
  for (const route of routes) {
    const chain: RequestHandler[] = [];
    chain.push(async (req, res, next) => {
      if (route.access !== 'public') {
        const member = await wiring.memberOf(req);
        if (!member) throw new Refusal(401, say('refusals.sign-in-first'));
        if (member.mustChangePassword && !route.whilePasswordIsDue)
          throw new Refusal(
            403,
            say('refusals.choose-a-password-of-your-own'),
            say('refusals.the-one-that-you-have-was'),
          );
        if (RANK[member.role] < RANK[route.access]) {
          throw new Refusal(
            403,
            say('refusals.your-role-does-not-allow-this'),
            say('refusals.it-needs-the-role-yours-is', { access: route.access, role: member.role }),
          );
        }
        res.locals['member'] = member;
      }
      next();
    });
    if (route.upload) chain.push(...(route.upload === 'archive' ? wiring.archiveUploader : wiring.uploader));
    chain.push(async (req, res) => {
      let answered = true;
      try {
        const member = res.locals['member'] as Member | undefined;
        const result = await route.handle({
          params: parsed(route.params, req.params, 'address'),
          query: parsed(route.query, req.query, 'query'),
          body: parsed(route.body, route.upload ? wiring.uploads.fields(req) : req.body, 'body'),
          req,
          res,
          db: wiring.db,
          config: wiring.config,
          readers: wiring.readers,
          uploads: wiring.uploads,
          signInLimits: wiring.signInLimits,
          member,
          workshopId: member?.workshopId,
        } as unknown as MemberCall<never, never, never>);
        if (res.headersSent) return;
        if (result === undefined) res.status(route.status ?? 204).end();
        else res.status(route.status ?? 200).json(result);
      } catch (error) {
        answered = error instanceof Refusal && error.status < 500;
        throw error;
      } finally {
        if (route.upload) await wiring.uploads.end(req, answered);
      }
    });
    wiring.app[route.method](route.path, ...chain);
  }
}
