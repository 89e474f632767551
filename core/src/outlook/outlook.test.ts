import { spoken } from '../words/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fleetOutlook } from '../testing/index.ts';
import {
  assumedGrowth,
  chanceDueBy,
  FARTHEST_KM,
  growthAhead,
  learnGrowth,
  outlookOf as outlookOfInCodes,
  stretchesOf,
  type Outlook,
  type Stretch,
  type Visit,
} from './index.ts';
import { LIMITS, about, visit } from './testing/visits.ts';

const outlookOf = spoken(outlookOfInCodes);

const KIND = assumedGrowth(LIMITS);

const told = (visits: readonly Visit[], prior = KIND): Extract<Outlook, { known: true }> => {
  const outlook = outlookOf(visits, prior, LIMITS);
  if (!outlook.known) throw new Error(outlook.why);
  return outlook;
};

/** Cleaned at 1.3 ×, and full again at 4.3 × after each so many km. */
const everyKm = (km: number, times: number): Visit[] =>
  Array.from({ length: times }, (_, i) => visit(i * 100, 100_000 + i * km, 4.3 + 0.25, 1.3));

describe('the outlook of a vehicle', () => {
  it('says why it says nothing where no restriction was read', () => {
    expect(outlookOf([], KIND, LIMITS)).toMatchObject({ known: false });
    const outlook = outlookOf([visit(0, 50_000, undefined)], KIND, LIMITS);
    expect(outlook.known).toBe(false);
    expect(!outlook.known && outlook.why).toMatch(/filter size/);
  });

  it('waits for a reading where the filter was worked on since the last one', () => {
    const open = visit(90, 108_000, 4.4, undefined, { filter: 'cleaned-in-place' });
    const outlook = outlookOf([...everyKm(8000, 1), open], KIND, LIMITS);
    expect(!outlook.known && outlook.why).toMatch(/job 91.* not read since/);
    // A visit at which nothing was read changes nothing.
    expect(told([...everyKm(8000, 1), visit(90, 108_000, undefined)]).from.number).toBe(1);
  });

  it('goes by vehicles of its kind at first, and by its own road the more it has shown', () => {
    const widths = [1, 2, 3, 6].map((times) => {
      const { dueKm, stretches } = told(everyKm(8000, times));
      expect(stretches).toBe(times - 1);
      return { width: Math.log(dueKm.high / dueKm.low), value: dueKm.value };
    });
    for (let i = 1; i < widths.length; i++)
      expect(widths[i]?.width).toBeLessThan((widths[i - 1] as { width: number }).width);
    // 3 × over 8000 km, and 2.7 × left to the limit of 4.
    expect(widths.at(-1)?.value).toBeGreaterThan(6000);
    expect(widths.at(-1)?.value).toBeLessThan(8500);
    expect(widths[0]?.value).toBeGreaterThan(15_000);
  });

  it('is sooner with a cause that was left as it was, and later where it was put right', () => {
    const fate = (open: boolean): Visit[] => [
      ...everyKm(12_000, 3),
      visit(320, 136_000, 4.5, 1.3, { causes: [{ cause: 'injector-over-fuelling', open, fills: true }] }),
    ];
    const [left, repaired] = [told(fate(true)), told(fate(false))];
    expect(left.openCauses).toEqual(['injector-over-fuelling']);
    expect(left.dueKm.value).toBeLessThan(0.6 * repaired.dueKm.value);
    expect(left.comeBack.chance).toBeGreaterThan(2 * repaired.comeBack.chance);
    expect(left.comeBack.withinKm).toBe(LIMITS.comesBackWithinKm);
  });

  it('is due now where it is over the limit already, and never where nothing grows', () => {
    expect(told([visit(0, 50_000, 9)]).dueKm).toEqual({ low: 0, value: 0, high: 0 });
    const still = Array.from({ length: 8 }, (_, i) => visit(i * 90, 50_000 + 40_000 * i, 1.2));
    expect(told(still).dueKm.high).toBe(FARTHEST_KM);
  });

  it('keeps its order: low before middle before high, later the less was left and the slower it grew', () => {
    const readings = fc.array(
      fc.record({
        km: fc.integer({ min: 300, max: 30_000 }),
        before: fc.double({ min: 1, max: 12, noNaN: true }),
        after: fc.option(fc.double({ min: 1, max: 3, noNaN: true }), { nil: undefined }),
        open: fc.boolean(),
      }),
      { minLength: 1, maxLength: 6 },
    );
    fc.assert(
      fc.property(readings, (list) => {
        let km = 40_000;
        const visits = list.map(({ km: step, before, after, open }, i) =>
          visit(i * 50, (km += step), before, after, {
            causes: open ? [{ cause: 'vgt', open, fills: true }] : [],
          }),
        );
        const { dueKm, growth, comeBack, now } = told(visits);
        expect(dueKm.low).toBeGreaterThanOrEqual(0);
        expect(dueKm.low).toBeLessThanOrEqual(dueKm.value);
        expect(dueKm.value).toBeLessThanOrEqual(dueKm.high);
        expect(dueKm.high).toBeLessThanOrEqual(FARTHEST_KM);
        expect(growth.low).toBeLessThan(growth.high);
        expect(comeBack.chance).toBeGreaterThanOrEqual(0);
        expect(comeBack.chance).toBeLessThanOrEqual(1);
        // The same filter, left emptier, is not due sooner.
        if (now.value < 1.2) return;
        const last = visits.at(-1) as Visit;
        const emptier = [
          ...visits.slice(0, -1),
          { ...last, after: about(1), filter: 'cleaned-in-place' as const },
        ];
        expect(told(emptier).dueKm.value).toBeGreaterThanOrEqual(dueKm.value - 1);
      }),
      { numRuns: 60 },
    );
  });

  it('is likelier due the farther it goes', () => {
    const ahead = growthAhead(stretchesOf(everyKm(9000, 3)), false, KIND, LIMITS);
    const chances = [0, 500, 1000, 3000, 6000, 10_000, 16_000, 25_000, 60_000, 200_000].map((km) =>
      chanceDueBy(km, about(1.3), ahead, LIMITS.dueRestrictionRatio),
    );
    for (let i = 1; i < chances.length; i++)
      expect(chances[i]).toBeGreaterThanOrEqual((chances[i - 1] as number) - 1e-6);
    expect(chances[0]).toBeLessThan(0.01);
    expect(chances.at(-1)).toBeGreaterThan(0.95);
  });
});

describe('stretches', () => {
  it('join what was left at a visit with what was found at the next, where both and the distance are known', () => {
    const visits = [
      visit(0, 100_000, 4.5, 1.3),
      visit(50, 106_000, 2.4),
      visit(60, 106_050, 2.4),
      visit(100, undefined, 3),
      visit(150, 118_000, 4.2, 1.4, { causes: [{ cause: 'egr-stuck-open', open: true, fills: true }] }),
      visit(200, 124_000, 4.2, undefined, { filter: 'exchanged' }),
      visit(250, 130_000, 2),
    ];
    expect(
      stretchesOf(visits).map(({ thousandKm, from, to, emptied, cause }) => [
        thousandKm,
        from.value,
        to.value,
        emptied,
        cause,
      ]),
    ).toEqual([
      [6, 1.3, 2.4, true, 'none'],
      // 50 km tell nothing of a growth; of a new filter that was not read nobody knows where it began.
      [6, 1.4, 4.2, true, 'open'],
    ]);
    expect(
      stretchesOf([
        visit(0, 1000, 2),
        visit(9, 9000, 3, 1, { causes: [{ cause: 'x', open: false, fills: true }] }),
      ]),
    ).toMatchObject([{ cause: 'found', emptied: false }]);
  });
});

describe('what a workshop learns', () => {
  const stretch = (growth: number, thousandKm = 12): Stretch => ({
    thousandKm,
    from: about(1.3, 1),
    to: about(1.3 + LIMITS.restrictionSwing / 2 + growth * thousandKm, 1),
    emptied: true,
    cause: 'none',
  });
  it('is what is assumed where nothing was read, and stays near it with one vehicle', () => {
    expect(learnGrowth([], KIND, LIMITS)).toEqual(KIND);
    const one = learnGrowth([[stretch(1)]], KIND, LIMITS);
    expect(one.logMedian).toBeGreaterThan(KIND.logMedian);
    expect(one.logMedian).toBeLessThan(Math.log(0.4));
  });

  it('finds the growth of a fleet, how vehicles differ and how often faults come', () => {
    const growths = Array.from({ length: 60 }, (_, i) => 0.3 * Math.exp(0.5 * Math.sin(i * 1.7)));
    const fleet = growths.map((growth, i) => [
      stretch(growth),
      stretch(growth * 1.1),
      { ...stretch(growth * 2), cause: i % 4 === 0 ? ('found' as const) : ('open' as const) },
    ]);
    const learned = learnGrowth(fleet, KIND, LIMITS);
    expect(Math.exp(learned.logMedian)).toBeGreaterThan(0.26);
    expect(Math.exp(learned.logMedian)).toBeLessThan(0.36);
    // A sine of 0.5 has a spread of 0.35.
    expect(learned.between).toBeGreaterThan(0.28);
    expect(learned.between).toBeLessThan(0.46);
    expect(learned.within).toBeLessThan(KIND.within);
    expect(learned.vehicles).toBe(60);
    // 15 found in 1620 thousand km, one of five missed, beside what is assumed.
    expect(1 / learned.causesPer1000Km).toBeGreaterThan(80);
    expect(1 / learned.causesPer1000Km).toBeLessThan(105);
  });
});

it('holds the truth in about eight of ten vehicles of a made fleet over three years', () => {
  // A quarter of what the benchmark takes: ± 2.4 % by chance alone.
  const { told: vehicles, within, early, late } = fleetOutlook(17, 280, LIMITS);
  expect(vehicles).toBeGreaterThan(270);
  expect(within / vehicles).toBeGreaterThan(0.73);
  expect(within / vehicles).toBeLessThan(0.88);
  expect(early / vehicles).toBeLessThan(0.17);
  expect(late / vehicles).toBeLessThan(0.17);
});
