import { FOR_NOTHING, HARM, LEFT_IN, ONLY_FILLS, REPAIR_COSTS, SAID_WRONGLY, TOLD_MINUTES } from './costs.ts';

/** A minute of work, in the workshop’s money. */
export type PerMinute = number;

const costOf = (cause: string, perMinute: PerMinute): number => {
  const cost = REPAIR_COSTS[cause];
  return cost ? cost.minutes * perMinute + cost.parts : 0;
};

/**
 * What acting now would lose on average: each cause is repaired or left, whichever is cheaper by its chance, and the filter is
 * treated in the way that costs least with what it leaves. L(p) = Σ min(p·left, repair) + min over treatments.
 * @param chance chance of each cause by its id, 0–1
 */
export function expectedLoss(chance: (cause: string) => number, perMinute: PerMinute): number {
  let loss = 0;
  for (const cause of Object.keys(REPAIR_COSTS)) {
    const p = chance(cause);
    const repair = costOf(cause, perMinute);
    // Repaired where it is there it costs the same either way: only a needless repair and one that is left out are losses.
    loss += Math.min(p * (LEFT_IN + (HARM[cause] ?? 0)), (1 - p) * (repair + FOR_NOTHING));
  }
  const [soot, ash, cracked] = [chance('soot-loaded'), chance('ash-full'), chance('filter-cracked')];
  const full = 1 - (1 - soot) * (1 - ash);
  for (const [cause, minutes] of Object.entries(TOLD_MINUTES)) {
    const p = chance(cause);
    const left = LEFT_IN * (ONLY_FILLS.has(cause) ? full : 1);
    loss += Math.min(p * left, (1 - p) * (minutes * perMinute + SAID_WRONGLY));
  }
  const clean = 90 * perMinute + 30;
  const off = 300 * perMinute + 180;
  const exchange = 240 * perMinute + 900;
  const ways = [
    // Left alone.
    full * 400 + cracked * 500,
    // Cleaned in place: nothing gained on ash or a crack.
    (1 - soot) * (clean + FOR_NOTHING) + ash * 300 + cracked * 500,
    (1 - full) * (off + FOR_NOTHING) + soot * (1 - ash) * (off - clean) + cracked * 500,
    (1 - cracked) * (exchange - clean),
  ];
  return loss + Math.min(...ways);
}
