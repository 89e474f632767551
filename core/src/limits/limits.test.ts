import { describeFailure, inEnglish } from '../words/index.ts';
import { describe, expect, it } from 'vitest';
import { ASSUMPTIONS } from './assumptions.ts';
import { BURN_LIMITS } from './burnLimits.ts';
import { CHECK_LIMITS } from './checkLimits.ts';
import { CLEAN_LIMITS } from './cleanLimits.ts';
import { CLOCK_LIMITS } from './clockLimits.ts';
import { FILTER_LIMITS } from './filterLimits.ts';
import { JUDGEMENT_LIMITS } from './judgementLimits.ts';
import { OUTLOOK_LIMITS } from './outlookLimits.ts';
import { PROOF_LIMITS } from './proofLimits.ts';
import { RUN_LIMITS } from './runLimits.ts';
import { SENSOR_LIMITS } from './sensorLimits.ts';
import { TREATMENT_LIMITS } from './treatmentLimits.ts';
import {
  DEFAULT_LIMITS,
  LIMIT_DEFINITIONS,
  LIMIT_IDS,
  limitOverridesSchema,
  resolveLimits,
} from './index.ts';

describe('limits profile', () => {
  it.each(LIMIT_IDS)('%s starts within its own range and says why', (id) => {
    const { value, low, high, reason, unit } = LIMIT_DEFINITIONS[id];
    expect(value).toBeGreaterThanOrEqual(low);
    expect(value).toBeLessThanOrEqual(high);
    expect(inEnglish(reason).length).toBeGreaterThan(15);
    expect(unit).not.toBe('');
  });

  it('keeps every limit of its groups: none stands twice and hides the other', () => {
    const groups = [
      FILTER_LIMITS,
      PROOF_LIMITS,
      OUTLOOK_LIMITS,
      SENSOR_LIMITS,
      CHECK_LIMITS,
      BURN_LIMITS,
      TREATMENT_LIMITS,
      JUDGEMENT_LIMITS,
      RUN_LIMITS,
      CLEAN_LIMITS,
      CLOCK_LIMITS,
      ASSUMPTIONS,
    ].map((group) => Object.keys(group));
    expect(groups.flat().sort()).toEqual([...LIMIT_IDS].sort());
    expect(new Set(groups.flat()).size).toBe(groups.flat().length);
    for (const { group } of Object.values(SENSOR_LIMITS)) expect(group).toBe('sensor');
  });

  it('lays a workshop’s changes over the starting values and leaves the rest', () => {
    const resolved = resolveLimits({ dpIdleGoodMbar: { value: 4, source: 'own readings' } });
    expect(resolved.ok && resolved.value).toEqual({ ...DEFAULT_LIMITS, dpIdleGoodMbar: 4 });
  });

  it('refuses a good limit above its blocked limit, and names both', () => {
    const refused = resolveLimits({ dpIdleGoodMbar: { value: 50, source: '' } });
    expect(refused.ok).toBe(false);
    expect(inEnglish(refused.ok ? '' : describeFailure(refused.failure))).toMatch(
      /good up to must not exceed .*blocked above.* 20 mbar.*50/,
    );
  });

  it('refuses unknown names and values out of range', () => {
    expect(limitOverridesSchema.safeParse({ dpIdle: { value: 1, source: '' } }).success).toBe(false);
    expect(limitOverridesSchema.safeParse({ dpIdleGoodMbar: { value: -1, source: '' } }).success).toBe(false);
    expect(limitOverridesSchema.safeParse({ dpIdleGoodMbar: { value: 5, source: 'x' } }).success).toBe(true);
  });
});
