import { say } from '../../words/index.ts';
import { failed, success, type Result } from '../../quantities/index.ts';

export interface Warming {
  readonly channel: number;
  /** When it had risen by the given amount after a cold start, s; undefined where it never did. */
  readonly risesAtS: number | undefined;
}

export interface PositionFound {
  readonly channel: number;
  /** 1 is nearest to the engine. */
  readonly position: number;
}

/** Two channels that rise closer together than this cannot be told apart by it, s. */
const APART_S = 3;

/**
 * Which EGT channel sits where: heat comes from the engine, so they warm in their order outward. Fails where two rise within
 * 3 s of each other, or where one does not rise, as nothing follows then. Worked value: rises at 40, 8, 25 s → positions 3, 1, 2.
 */
export function positionsByWarming(warmings: readonly Warming[]): Result<PositionFound[]> {
  const still = warmings.find(({ risesAtS }) => risesAtS === undefined);
  if (still)
    return failed({
      code: 'not-enough-data',
      field: say('checks.egt-3', { channel: still.channel }),
      requirement: say('checks.did-not-rise-by-warming'),
    });
  const order = [...warmings].sort((a, b) => (a.risesAtS ?? 0) - (b.risesAtS ?? 0));
  const close = order.findIndex(
    ({ risesAtS }, i) => i > 0 && (risesAtS ?? 0) - (order[i - 1]?.risesAtS ?? 0) < APART_S,
  );
  if (close > 0)
    return failed({
      code: 'not-enough-data',
      field: say('checks.egt-and-egt', {
        channel: order[close - 1]?.channel ?? 0,
        channel2: order[close]?.channel ?? 0,
      }),
      requirement: say('checks.rise-within-s-of-each', { apartS: APART_S }),
    });
  return success(order.map(({ channel }, i) => ({ channel, position: i + 1 })));
}
