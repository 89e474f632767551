import { say } from '../../words/index.ts';
import { failed, firstFailure, outOfRange, success, type Result } from '../../quantities/index.ts';

/**
 * Fuel in the oil by its level, %: what stands above full over all that is in the sump, if nothing was topped up. Level as a share of
 * the way from min (0) to max (1) on the stick, `spanL` the litres between the two marks (1 L if the maker gives none),
 * `sumpL` the fill to max. A lower bound: used oil takes the place of fuel. Worked value: 1.5 on the stick, 1 L, 6 L → 7.7 %.
 */
export function dilutionByLevel(level: number, sumpL: number, spanL = 1): Result<number> {
  const bad = firstFailure(
    outOfRange(say('fields.dipstick-level'), level, -1, 4, ''),
    outOfRange(say('fields.oil-fill'), sumpL, 1, 80, 'L'),
    outOfRange(say('fields.oil-between-marks'), spanL, 0.2, 20, 'L'),
  );
  if (bad) return failed(bad);
  const overL = Math.max(0, level - 1) * spanL;
  return success((100 * overL) / (sumpL + overL));
}
