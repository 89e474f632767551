import { describe, expect, it } from 'vitest';
import { filterVolumeL } from '../filter/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { valueOf } from '../quantities/index.ts';
import { FILTER } from '../testing/index.ts';
import { estimateBed, type BurnMoment, type JobBurn } from './index.ts';

const burn = (sootG: number): JobBurn => ({
  plan: {
    filter: { ...FILTER, material: 'silicon-carbide' },
    catalyst: 'coated',
    sootG,
    ashG: 0,
    targetC: 600,
    exhaustKgPerS: 0.05,
    oxygenPercent: 10,
  },
  displacementL: 2,
  assumptions: [],
});
const SOOT_G = 4 * filterVolumeL(FILTER);

/** Heated in three minutes to 600 °C, then held. */
const moments = (seconds: number, more: (atS: number) => Partial<BurnMoment> = () => ({})): BurnMoment[] =>
  Array.from({ length: Math.floor(seconds / 5) + 1 }, (_, i) => ({
    atS: 5 * i,
    rpm: 2300,
    airGPerS: 48,
    egt3C: Math.min(600, 200 + (400 / 180) * 5 * i),
    egt4C: 150,
    ...more(5 * i),
  }));
const bedAt = (seconds: number, more?: Parameters<typeof moments>[1], sootG = SOOT_G) =>
  valueOf(estimateBed(moments(seconds, more), burn(sootG), DEFAULT_LIMITS)).bed;

describe('the bed by the model, from what was read so far', () => {
  it('needs the temperature before the filter', () => {
    expect(estimateBed([{ atS: 0, rpm: 2300 }], burn(SOOT_G), DEFAULT_LIMITS)).toMatchObject({ ok: false });
    expect(estimateBed([], burn(SOOT_G), DEFAULT_LIMITS).ok).toBe(false);
  });

  it('heats, then burns: the soot falls, the time to clean gets less', () => {
    const [early, later, late] = [bedAt(60), bedAt(240), bedAt(420)];
    expect(early.bedC).toBeLessThan(400);
    expect(early.sootG).toBeCloseTo(SOOT_G, 0);
    expect(later.bedC).toBeGreaterThan(580);
    expect(late.sootG).toBeLessThan(later.sootG);
    expect(late.cleanInS ?? 0).toBeLessThan(later.cleanInS ?? Number.POSITIVE_INFINITY);
  });

  it('knows that idle in the middle of it is hotter than going on, and more so with more soot', () => {
    const [some, much] = [bedAt(230), bedAt(230, undefined, 2 * SOOT_G)];
    expect(some.dropNowC).toBeGreaterThan(some.bedC);
    expect(much.dropNowC).toBeGreaterThan(some.dropNowC);
  });

  it('goes by the revs where there is no air mass, and by the plan where there are neither', () => {
    const byAir = bedAt(300);
    const byRevs = bedAt(300, () => ({ airGPerS: undefined as never }));
    const byPlan = bedAt(300, () => ({ airGPerS: undefined as never, rpm: undefined as never }));
    for (const bed of [byRevs, byPlan]) expect(Math.abs(bed.bedC - byAir.bedC)).toBeLessThan(40);
  });

  it('does not depend on how often it was read', () => {
    const often = bedAt(300);
    const seldom = valueOf(
      estimateBed(
        moments(300).filter(({ atS }) => atS % 30 === 0),
        burn(SOOT_G),
        DEFAULT_LIMITS,
      ),
    ).bed;
    expect(Math.abs(often.bedC - seldom.bedC)).toBeLessThan(15);
    expect(Math.abs(often.sootG - seldom.sootG)).toBeLessThan(0.5);
  });
});
