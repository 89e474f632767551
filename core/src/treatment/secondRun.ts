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
  readonly reasons: readonly string[];
}

/**
 * Whether another burn is worth it after those that were made on this job: by a reading from after the last one, by what that one
 * burnt, and by all that holds a burn off. Nothing is advised before the first one.
 */
export function adviseSecondRun(
  facts: InterlockFacts & { readonly forecast?: BurnForecast; readonly inhibitors?: readonly string[] },
): SecondRunAdvice | undefined {
  const { derived, filter, limits, displacementL } = facts;
  const burns = burnsOf(derived.entries);
  const last = burns.at(-1);
  if (!last) return undefined;
  if (last.goesOn)
    return { another: 'read-first', reasons: ['The last regeneration has no end yet: enter how it ended.'] };
  const { how, why, sootBeforeG } = last.ended?.body ?? {};
  if (how === 'fire') return { another: 'no', reasons: ['The last one ended in a fire.'] };
  const reading = latestReading(derived);
  if (!reading || happenedAt(reading) < happenedAt(last.ended ?? last.begun))
    return {
      another: 'read-first',
      reasons: ['No reading since the last regeneration: take a hold at the before reading’s flow first.'],
    };
  const held = burnInterlocks(facts);
  if (held.length > 0) return { another: 'no', reasons: held.map(({ text }) => text) };
  if (burns.length >= limits.mostRuns)
    return {
      another: 'no',
      reasons: [
        `${burns.length} regenerations done; at most ${limits.mostRuns} in a row. What is left does not burn: clean it chemically, or off the vehicle.`,
      ],
    };
  const context = { limits, ...(displacementL === undefined ? {} : { displacementL }) };
  const estimate = filter ? sootByPressure(reading.body, filter, context) : undefined;
  if (!filter || !estimate?.ok)
    return {
      another: 'read-first',
      reasons: ['The remaining soot cannot be estimated from the last reading.'],
    };
  const { sootG, highG } = estimate.value;
  const left = `${sootG.toFixed(1)} g are left by the pressure, at most ${highG.toFixed(1)} g (${(highG / filterVolumeL(filter)).toFixed(1)} g/L); clean is up to ${limits.sootAfterCleanG} g`;
  if (sootG <= limits.sootAfterCleanG) return { another: 'no', reasons: [`${left}: enough.`] };
  const burntPercent =
    sootBeforeG !== undefined && sootBeforeG > 0 ? 100 * (1 - sootG / sootBeforeG) : undefined;
  if (burntPercent !== undefined && burntPercent < limits.secondRunPercent)
    return {
      another: 'no',
      reasons: [
        `${left}.`,
        `The last one removed ${Math.max(0, burntPercent).toFixed(0)} % of ${sootBeforeG?.toFixed(0) ?? ''} g; under ${limits.secondRunPercent} % another gains nothing. Likely ash, or the sensor.`,
      ],
    };
  return {
    another: 'yes',
    reasons: [
      `${left}.`,
      ...(how === 'stopped' ? [`The last one was stopped${why ? `: ${why}` : ''}. Fix that first.`] : []),
      'This is a new regeneration: read its cautions and answer everything again.',
    ],
  };
}
