import { share } from '../../quantities/index.ts';

/**
 * What kind of ECU it is. Makers set limits as they like: one tells of everything within seconds, another tolerates
 * for a whole trip what the first would have limited the power for.
 */
export interface Temper {
  readonly id: TemperId;
  /** How many times as long a condition must stand as with the strictest. */
  readonly patience: number;
  /** Codes that it has no self-test for. */
  readonly without: ReadonlySet<string>;
  /** In place of a sensor whose circuit it knows to be broken it shows a value of its own. */
  readonly substitutes: boolean;
}

export const TEMPER_IDS = ['strict', 'usual', 'lenient'] as const;
export type TemperId = (typeof TEMPER_IDS)[number];

/** The one of which every limit is watched. */
export const STRICT: Temper = { id: 'strict', patience: 1, without: new Set(), substitutes: false };

/** Shares of self-tests that are missing, and of computers that show values of their own; ours, from what is met on vehicles. */
const KINDS: Readonly<Record<TemperId, { patience: number; lacks: number; substitutes: number }>> = {
  strict: { patience: 1, lacks: 0, substitutes: 0.2 },
  usual: { patience: 3, lacks: 0.25, substitutes: 0.4 },
  lenient: { patience: 12, lacks: 0.6, substitutes: 0.5 },
};

const STREAM = 71;

/**
 * The computer of one vehicle among those of a kind: which self-tests it lacks is settled by its seed. The law asks every one of them
 * for the tests of circuits.
 */
export function temperOf(
  id: TemperId,
  seed: number,
  codes: readonly { code: string; circuit: boolean }[],
): Temper {
  const { patience, lacks, substitutes } = KINDS[id];
  return {
    id,
    patience,
    without: new Set(
      codes.filter(({ circuit }, at) => !circuit && share(seed, STREAM, at) < lacks).map(({ code }) => code),
    ),
    substitutes: share(seed, STREAM, codes.length) < substitutes,
  };
}
