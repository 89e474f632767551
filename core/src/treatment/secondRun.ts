import { asSentence, say, type Said } from '../words/index.ts';
import { entriesOfKind, happenedAt, type EntryOf } from '../ledger/index.ts';
import { filterVolumeL } from '../filter/index.ts';
import { burnInterlocks, latestReading, type BurnForecast, type InterlockFacts } from './interlocks.ts';
import { sootByPressure } from './sootLoad.ts';

/** A burn of a job: what began it, what was read in it by hand, how it ended. */
export interface JobBurnRun {
  readonly begun: EntryOf<'work'>;
  readonly readings: readonly EntryOf<'burn-reading'>[];
  readonly ended?: EntryOf<'burn-ended'>;
  /** It goes on, as far as the ledger knows: it was begun to be watched and has no end. */
  readonly goesOn: boolean;
}

/** Every burn of a job in the order in which they began. */
export function burnsOf(entries: InterlockFacts['derived']['entries']): JobBurnRun[] {
  const readings = entriesOfKind(entries, 'burn-reading');
  const ends = entriesOfKind(entries, 'burn-ended');
  return entriesOfKind(entries, 'work')
    .filter(({ body }) => body.work === 'standing-regeneration' || body.work === 'drive-regeneration')
    .map((begun) => {
      const names = new Set([begun.id, begun.supersedes]);
      const ended = ends.findLast(({ body }) => names.has(body.burn));
      return {
        begun,
        readings: readings.filter(({ body }) => names.has(body.burn)),
        ...(ended ? { ended } : {}),
        goesOn: begun.body.begun === true && !ended,
      };
    });
}

export interface SecondRunAdvice {
  readonly another: 'yes' | 'no' | 'read-first';
  readonly reasons: readonly Said[];
}

/**
 * Whether another burn is worth it after those that were made on this job: by a reading from after the last one, by what that one
 * burnt, and by all that holds a burn off. Nothing is advised before the first one.
 */
export function adviseSecondRun(
  facts: InterlockFacts & { readonly forecast?: BurnForecast; readonly inhibitors?: readonly Said[] },
): SecondRunAdvice | undefined {
  const { derived, filter, limits, displacementL } = facts;
  const burns = burnsOf(derived.entries);
  const last = burns.at(-1);
  if (!last) return undefined;
  if (last.goesOn) return { another: 'read-first', reasons: [say('treatment.the-last-regeneration')] };
  const { how, why, sootBeforeG } = last.ended?.body ?? {};
  if (how === 'fire') return { another: 'no', reasons: [say('treatment.the-last-one-ended')] };
  const reading = latestReading(derived);
  if (!reading || happenedAt(reading) < happenedAt(last.ended ?? last.begun))
    return {
      another: 'read-first',
      reasons: [say('treatment.no-reading-since-the-last')],
    };
  const held = burnInterlocks(facts);
  if (held.length > 0) return { another: 'no', reasons: held.map(({ text }) => text) };
  if (burns.length >= limits.mostRuns)
    return {
      another: 'no',
      reasons: [
        say('treatment.regenerations-done-at-most', { burnsLength: burns.length, mostRuns: limits.mostRuns }),
      ],
    };
  const context = { limits, ...(displacementL === undefined ? {} : { displacementL }) };
  const estimate = sootByPressure(reading.body, filter, context);
  if (!estimate.ok)
    return {
      another: 'read-first',
      reasons: [say('treatment.the-remaining-soot-cannot')],
    };
  const { sootG, highG } = estimate.value;
  const left = say('treatment.g-are-left', {
    sootG,
    highG,
    highGPerL: highG / filterVolumeL(filter),
    sootAfterCleanG: limits.sootAfterCleanG,
  });
  if (sootG <= limits.sootAfterCleanG) return { another: 'no', reasons: [say('treatment.enough', { left })] };
  const burntPercent =
    sootBeforeG !== undefined && sootBeforeG > 0 ? 100 * (1 - sootG / sootBeforeG) : undefined;
  if (burntPercent !== undefined && burntPercent < limits.secondRunPercent)
    return {
      another: 'no',
      reasons: [
        asSentence(left),
        say('treatment.the-last-one-removed', {
          burntPercent: Math.max(0, burntPercent),
          beforeG: sootBeforeG ?? 0,
          secondRunPercent: limits.secondRunPercent,
        }),
      ],
    };
  return {
    another: 'yes',
    reasons: [
      asSentence(left),
      ...(how === 'stopped' ? [say('treatment.the-last-one-was-stopped', { why: why ?? '' })] : []),
      say('treatment.this-is-a-new-regeneration'),
    ],
  };
}
