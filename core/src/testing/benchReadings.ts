import { BenchVehicle, type BenchFamily } from '../bench/index.ts';
import { recordBaseline } from '../bench/recordBaseline.ts';
import { filterVolumeL } from '../filter/index.ts';
import { steadySamplesOf, type ReadingBody } from '../ledger/index.ts';
import { DEFAULT_LIMITS, type Limits } from '../limits/index.ts';
import { analyseRaw, loggedFacts, readingFromLog } from '../readings/index.ts';
import { flushReadings, sootByPressure } from '../treatment/index.ts';
import { madeEntry, madeId } from './madeEntries.ts';

/** A clean one of the family reads so much; a workshop's own profile leaves this room over it. */
const ROOM = 1.3;
const profiles = new Map<string, Limits>();

/**
 * The limits profile that a workshop has for a family: the starting values, but by the reading of a sound one where that is
 * more. Some families have a brick between their taps or pipe the low side to the air, and a large filter keeps more soot.
 */
export function profileOf(family: BenchFamily): Limits {
  const known = profiles.get(family.name);
  if (known) return known;
  const volumeL = filterVolumeL(family.filter);
  const sound = new BenchVehicle({ family, seed: 1, start: { sootG: 0.8 * volumeL, ashG: 8 * volumeL } });
  const body = readingOf(sound, 'before');
  const context = { limits: DEFAULT_LIMITS, displacementL: family.displacementL };
  const [step] = flushReadings([madeEntry(1, body)], family.filter, context);
  const soot = sootByPressure(body, family.filter, context);
  const highest = (kind: string): number =>
    Math.max(
      0,
      ...steadySamplesOf(body.samples)
        .filter((sample) => sample.kind === kind)
        .map(({ dpMbar }) => dpMbar),
    );
  const over = (limit: number, read: number): number => Math.max(limit, ROOM * read);
  const profile: Limits = {
    ...DEFAULT_LIMITS,
    restrictionGoodRatio: over(DEFAULT_LIMITS.restrictionGoodRatio, step?.ratio ?? 0),
    sootAfterCleanG: over(DEFAULT_LIMITS.sootAfterCleanG, soot.ok ? soot.value.sootG : 0),
    dpIdleGoodMbar: over(DEFAULT_LIMITS.dpIdleGoodMbar, highest('idle')),
    dp2500GoodMbar: over(DEFAULT_LIMITS.dp2500GoodMbar, highest('hold')),
    dp3000GoodMbar: over(DEFAULT_LIMITS.dp3000GoodMbar, highest('hold')),
  };
  profiles.set(family.name, profile);
  return profile;
}

/** The guided baseline of a simulated vehicle as a reading of the ledger. */
export function readingOf(vehicle: BenchVehicle, purpose: ReadingBody['purpose']): ReadingBody {
  const { log } = recordBaseline(vehicle);
  const { recording, analysis, samples } = analyseRaw(log, { geometry: vehicle.family.filter });
  return readingFromLog(
    { analysis, samples, ...loggedFacts(recording) },
    { purpose, logId: madeId(1), fileName: purpose },
  );
}
