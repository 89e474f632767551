import { say } from '@white-ember/core/words';
import pLimit from 'p-limit';
import type pg from 'pg';
import { RateLimiterPostgres, type RateLimiterRes } from 'rate-limiter-flexible';
import { Refusal } from './problem.ts';

const WINDOW_S = 15 * 60;
/** Guesses from one network at all names together, and at one name from all networks, × those at one name from one. */
const PER_NETWORK = 6;
const PER_NAME = 10;
/** Who wait for their password to be looked at; each takes some 30 ms of a core. */
const MOST_WAITING = 20;

/** Who tries, and from where. */
export interface Try {
  readonly network: string;
  readonly name: string;
  /** Whether this person has signed in from there before: guesses of others do not lock them out. */
  readonly known: boolean;
}

const createLimiter = (
  storeClient: pg.Pool,
  keyPrefix: string,
  points: number,
): Promise<RateLimiterPostgres> =>
  new Promise((resolve, reject) => {
    const made = new RateLimiterPostgres(
      {
        storeClient,
        tableName: 'sign_in_try',
        keyPrefix,
        points,
        duration: WINDOW_S,
        clearExpiredByTimeout: false,
      },
      (error) => (error ? reject(error) : resolve(made)),
    );
  });

const tooMany = (msBeforeNext: number): Refusal => {
  const minutes = Math.max(1, Math.ceil(msBeforeNext / 60_000));
  return new Refusal(
    429,
    say('refusals.too-many-tries-to-sign-in'),
    say('refusals.wait-min-then-try-again', { minutes }),
    undefined,
    minutes * 60,
  );
};

/**
 * Few guesses at a password, counted in PostgreSQL so that every process counts alike: by name and network together, by
 * network, and by name. Only wrong ones count. One password is looked at at a time, as that is meant to take long.
 */
export class SignInLimits {
  private readonly turn = pLimit(1);

  private constructor(
    private readonly pair: RateLimiterPostgres,
    private readonly network: RateLimiterPostgres,
    private readonly name: RateLimiterPostgres,
  ) {}

  static async create(pool: pg.Pool, tries: number): Promise<SignInLimits> {
    return new SignInLimits(
      await createLimiter(pool, 'pair', tries),
      await createLimiter(pool, 'network', PER_NETWORK * tries),
      await createLimiter(pool, 'name', PER_NAME * tries),
    );
  }

  private limitersFor({ network, name, known }: Try): [RateLimiterPostgres, string][] {
    return [
      [this.pair, `${network} ${name}`],
      [this.network, network],
      ...(known ? [] : [[this.name, name] as [RateLimiterPostgres, string]]),
    ];
  }

  private async refuseWhereOver(one: Try): Promise<void> {
    for (const [limiter, key] of this.limitersFor(one)) {
      const state: RateLimiterRes | null = await limiter.get(key);
      if (state && state.consumedPoints >= limiter.points && state.msBeforeNext > 0)
        throw tooMany(state.msBeforeNext);
    }
  }

  /**
   * Looks at a password in its turn.
   * @param matches whether it is the right one
   */
  async tryPassword(one: Try, matches: () => Promise<boolean>): Promise<boolean> {
    // Whoever is over a limit costs no more than this.
    await this.refuseWhereOver(one);
    if (this.turn.pendingCount >= MOST_WAITING)
      throw new Refusal(
        429,
        say('refusals.many-people-sign-in-at-this'),
        say('refusals.try-again-in-a-few-seconds'),
        undefined,
        5,
      );
    return this.turn(async () => {
      await this.refuseWhereOver(one);
      const right = await matches();
      if (right) await this.pair.delete(`${one.network} ${one.name}`);
      else
        for (const [limiter, key] of this.limitersFor(one)) await limiter.consume(key).catch(() => undefined);
      return right;
    });
  }
}
