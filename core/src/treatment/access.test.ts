import { inEnglish, spoken } from '../words/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { PartId, PartState } from '../ledger/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import {
  coolingMinutes,
  rankAccess as rankAccessInCodes,
  SENSOR_SEATS,
  type AccessOption,
  type SensorSeat,
} from './index.ts';

const rankAccess = spoken(rankAccessInCodes);

const LINE: readonly PartId[] = [
  'engine',
  'turbine',
  'catalyst',
  'filter',
  'high-pipe',
  'egt2',
  'egt3',
  'egt4',
];
const ways = (
  seat: SensorSeat,
  {
    fitted = LINE,
    states = {},
    limits = DEFAULT_LIMITS,
  }: {
    fitted?: readonly PartId[];
    states?: Partial<Record<PartId, PartState>>;
    limits?: typeof DEFAULT_LIMITS;
  } = {},
): readonly AccessOption[] =>
  rankAccess({
    fitted,
    parts: new Map(Object.entries(states).map(([id, state]) => [id as PartId, { state }])),
    seat,
    limits,
  });
const way = (entry: AccessOption['entry'], ...args: Parameters<typeof ways>): AccessOption =>
  ways(...args).find((one) => one.entry === entry) as AccessOption;

describe('the way in for the fluid', () => {
  it('is the high pipe where nothing else is known', () => {
    expect(ways('untried').map(({ entry }) => entry)).toEqual(['high-pipe', 'sensor-port', 'before-turbine']);
  });

  it('costs more by a sensor the worse it sits, with its chance and its price', () => {
    const [free, untried, seized] = (['free', 'untried', 'seized'] as const).map((seat) =>
      way('sensor-port', seat),
    );
    expect(free?.expectedCost).toBeLessThan(untried?.expectedCost as number);
    expect(untried?.expectedCost).toBeLessThan(seized?.expectedCost as number);
    // 25 min of 65 €/h, and 45 % of 240 € with 180 min.
    expect(seized?.expectedCost).toBeCloseTo((25 / 60) * 65 + 0.45 * (240 + 3 * 65), 6);
    expect(inEnglish(seized?.reasons)?.join(' ')).toMatch(
      /45 % to snap or strip its boss \(seized\), 435 if it does/,
    );
  });

  it('by a pipe that is shut takes the time to clear it; a sensor that turns freely may then be cheaper', () => {
    const cleared = { ...DEFAULT_LIMITS, pipeClearMinutes: 60 };
    const blocked = ways('free', { states: { 'high-pipe': 'failed' }, limits: cleared });
    expect(blocked[0]?.entry).toBe('sensor-port');
    expect(way('high-pipe', 'free', { states: { 'high-pipe': 'failed' } }).reasons[0]).toMatch(
      /35 min, 25 of them to clear the pipe, which is failed/,
    );
    expect(way('high-pipe', 'free', { states: { 'high-pipe': 'proven-clear' } }).minutes).toBe(10);
  });

  it('offers what the line does not have last, and says so', () => {
    const bare = ways('free', { fitted: ['engine', 'filter', 'high-pipe'] });
    expect(bare.map(({ entry, fits }) => [entry, fits])).toEqual([
      ['high-pipe', true],
      ['sensor-port', false],
      ['before-turbine', false],
    ]);
  });

  it('is sorted by what it comes to, for any prices', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SENSOR_SEATS),
        fc.double({ min: 0, max: 200, noNaN: true }),
        fc.double({ min: 0, max: 5000, noNaN: true }),
        (seat, labourPerHour, snappedCost) => {
          const costs = ways(seat, { limits: { ...DEFAULT_LIMITS, labourPerHour, snappedCost } }).map(
            ({ expectedCost }) => expectedCost,
          );
          expect(costs).toEqual([...costs].sort((a, b) => a - b));
        },
      ),
    );
  });
});

describe('the wait for a filter to cool', () => {
  it('is none where it is cool already, and the time constant for two thirds of the way', () => {
    expect(coolingMinutes(40, 45, DEFAULT_LIMITS)).toBe(0);
    const toE = 15 + (215 - 15) / Math.E;
    expect(coolingMinutes(215, toE, DEFAULT_LIMITS)).toBeCloseTo(DEFAULT_LIMITS.filterCoolsMin, 9);
  });
  it('is longer the hotter it is and the colder it has to be, and adds up over a stop between', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 100, max: 600, noNaN: true }),
        fc.double({ min: 60, max: 99, noNaN: true }),
        fc.double({ min: 20, max: 59, noNaN: true }),
        (fromC, betweenC, toC) => {
          const whole = coolingMinutes(fromC, toC, DEFAULT_LIMITS);
          expect(whole).toBeGreaterThan(coolingMinutes(fromC, betweenC, DEFAULT_LIMITS));
          expect(whole).toBeCloseTo(
            coolingMinutes(fromC, betweenC, DEFAULT_LIMITS) + coolingMinutes(betweenC, toC, DEFAULT_LIMITS),
            6,
          );
        },
      ),
    );
  });
});
