import { spoken } from '../words/index.ts';
import { describe, expect, it } from 'vitest';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import {
  ashLine as ashLineInCodes,
  comeBacksOf,
  dueDate,
  kmPerDay,
  regenerationTrend,
  sootRateOf,
  type Visit,
} from './index.ts';
import { LIMITS, DAY_MS, visit } from './testing/visits.ts';

const ashLine = spoken(ashLineInCodes);

describe('the ash line', () => {
  it('wants two cleans with road between them', () => {
    expect(ashLine([visit(0, 100_000, 4, 1.3)], LIMITS)).toMatchObject({ known: false });
    const same = ashLine([visit(0, 100_000, 4, 1.3), visit(1, 100_000, 2, 1.2)], LIMITS);
    expect(!same.known && same.why).toMatch(/distance between/);
  });

  it('rises through what the cleans left, and says where a clean is no longer enough', () => {
    const line = ashLine(
      [0, 1, 2, 3, 4].map((i) => visit(i * 90, 100_000 + 20_000 * i, 4, 1.2 + 0.16 * i)),
      LIMITS,
    );
    if (!line.known) throw new Error(line.why);
    expect(line.rise.value).toBeCloseTo(0.08, 2);
    expect(line.now).toBeCloseTo(1.84, 1);
    // 2.5 is the good limit: 0.66 above the last clean, at 0.08 on 10 000 km.
    expect(line.reachesKm?.value).toBeGreaterThan(255_000);
    expect(line.reachesKm?.value).toBeLessThan(270_000);
    expect(line.reachesKm?.low).toBeLessThan(line.reachesKm?.value as number);
  });

  it('begins anew with another filter or an off-vehicle clean, and foresees nothing from a line that falls', () => {
    const visits = [
      visit(0, 60_000, 5, 2.2),
      visit(90, 80_000, 5, 2.4),
      visit(180, 100_000, 5, 1.3, { filter: 'cleaned-off' }),
      visit(270, 120_000, 4, 1.28),
    ];
    const line = ashLine(visits, LIMITS);
    if (!line.known) throw new Error(line.why);
    expect(line.points.map(({ km }) => km)).toEqual([100_000, 120_000]);
    expect(line.rise.value).toBe(0);
    expect(line.reachesKm).toBeUndefined();
  });
});

describe('a date', () => {
  it('comes from the road of a day, and from nothing where the visits are too near', () => {
    expect(kmPerDay([visit(0, 100_000, 2), visit(100, 108_000, 3)])).toBe(80);
    expect(kmPerDay([visit(0, 100_000, 2), visit(10, 108_000, 3)])).toBeUndefined();
    expect(kmPerDay([visit(0, undefined, 2), visit(100, 108_000, 3)])).toBeUndefined();
  });

  it('is wider than the distance, as use changes', () => {
    const from = visit(0, 100_000, 4, 1.3);
    const { low, value, high } = dueDate(from, { low: 4000, value: 8000, high: 16_000 }, 80, DEFAULT_LIMITS);
    const days = (iso: string): number => (Date.parse(iso) - Date.parse(from.at)) / DAY_MS;
    expect(days(value)).toBeCloseTo(100, 6);
    expect(days(low)).toBeLessThan(50);
    expect(days(high)).toBeGreaterThan(200);
    expect(dueDate(from, { low: 0, value: 0, high: 0 }, 80, DEFAULT_LIMITS).high).toBe(from.at);
  });
});

describe('regenerations', () => {
  const marks = (...km: number[]) => km.map((betweenKm, i) => ({ at: visit(i, 1, 1).at, betweenKm }));
  it('are warned of where they come closer together than the limit says', () => {
    expect(regenerationTrend(marks(400, 180), LIMITS)).toBeUndefined();
    expect(regenerationTrend(marks(400, 440, 180), LIMITS)).toMatchObject({
      earlierKm: 420,
      lastKm: 180,
      closer: true,
      limitPercent: 70,
    });
    expect(regenerationTrend(marks(400, 440, 390), LIMITS)?.closer).toBe(false);
  });
});

describe('a come-back', () => {
  const cause = (open: boolean): Visit['causes'] => [{ cause: 'injector-over-fuelling', open, fills: true }];
  const { comesBackWithinKm: km, comesBackWithinDays: days, dueRestrictionRatio: due } = LIMITS;

  it.each([
    ['full again within the distance', visit(0, 100_000, 6, 1.3), visit(40, 100_000 + km, due + 1), true],
    ['a little farther', visit(0, 100_000, 6, 1.3), visit(40, 100_001 + km, due + 1), false],
    [
      'within the days, the distance not known',
      visit(0, undefined, 6, 1.3),
      visit(days, undefined, due + 1),
      true,
    ],
    ['later', visit(0, undefined, 6, 1.3), visit(days + 1, undefined, due + 1), false],
    ['not full', visit(0, 100_000, 6, 1.3), visit(9, 101_000, due - 0.1), false],
    ['one that was never freed', visit(0, 100_000, 6, due + 0.5), visit(9, 101_000, due + 1), false],
    ['one that was not worked on', visit(0, 100_000, 2), visit(9, 101_000, due + 1), false],
    ['one that was not read', visit(0, 100_000, 6, 1.3), visit(9, 101_000, undefined), false],
  ] as const)('is %s: %j to %j', (_what, from, to, is) => {
    expect(comeBacksOf([from, to], LIMITS)).toHaveLength(is ? 1 : 0);
  });

  it('says why: what was known and left, or what was found then; causes that fill no filter are none', () => {
    const from = (causes: Visit['causes']): Visit => visit(0, 100_000, 6, 1.3, { causes });
    const to = (causes: Visit['causes']): Visit => visit(20, 101_500, 5, undefined, { causes });
    const [left] = comeBacksOf([from(cause(true)), to([])], LIMITS);
    expect(left).toMatchObject({ causes: ['injector-over-fuelling'], leftOpen: true, km: 1500, days: 20 });
    const [found] = comeBacksOf([from([]), to(cause(false))], LIMITS);
    expect(found).toMatchObject({ causes: ['injector-over-fuelling'], leftOpen: false });
    const [unknown] = comeBacksOf(
      [from(cause(false)), to([{ cause: 'dp-hoses-crossed', open: true, fills: false }])],
      LIMITS,
    );
    expect(unknown).toMatchObject({ causes: [], leftOpen: false });
  });
});

describe('the rate of soot', () => {
  const grams = (value: number) => ({ value, low: value - 1, high: value + 1 });
  it('is what was found less what was left, over the road of all stretches', () => {
    const visits = [
      visit(0, 100_000, 6, 1.3, { sootBefore: grams(40), sootAfter: grams(4) }),
      visit(50, 110_000, 4, 1.3, { sootBefore: grams(24), sootAfter: grams(3) }),
      // Read in passing, not worked on: the next stretch begins at what it held.
      visit(90, 115_000, 3, undefined, { sootBefore: grams(13) }),
      visit(120, 120_000, 4, undefined, { sootBefore: grams(21) }),
    ];
    const rate = sootRateOf(visits);
    expect(rate?.stretches).toBe(3);
    expect(rate?.gPer100Km.value).toBeCloseTo((100 * (20 + 10 + 8)) / 20_000, 9);
    // Six ends of ±1 g each, independent of each other.
    expect(rate?.gPer100Km.high).toBeCloseTo((100 * (38 + Math.sqrt(6))) / 20_000, 9);
  });
  it('is never less than none, and nothing without a stretch that was read at both ends', () => {
    const fell = [
      visit(0, 100_000, 3, undefined, { sootBefore: grams(20) }),
      visit(9, 101_000, 3, undefined, { sootBefore: grams(15) }),
    ];
    expect(sootRateOf(fell)?.gPer100Km).toEqual({ value: 0, low: 0, high: 0 });
    expect(sootRateOf(fell.slice(0, 1))).toBeUndefined();
    expect(sootRateOf([visit(0, 1000, 3, 1.3), visit(9, 9000, 3, 1.3)])).toBeUndefined();
  });
});
