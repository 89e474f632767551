import { describe, expect, it } from 'vitest';
import { restrictionRatio } from '../filter/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { valueOf } from '../quantities/index.ts';
import type { ChannelRole } from '../readings/index.ts';
import { FILTER } from '../testing/index.ts';
import { warmUpOf, warmUpPoints } from './index.ts';

type Channels = Partial<Record<ChannelRole, number | ((atS: number) => number | undefined)>>;
const HELD: Channels = {
  engineSpeed: 2600,
  massAirFlow: 45,
  dpfDeltaP: 60,
  egt3: 240,
  egt4: 200,
  coolantTemp: 90,
};
const points = (channels: Channels, toS = 300) =>
  warmUpPoints(
    (role, atS) => {
      const channel = channels[role];
      return typeof channel === 'function' ? channel(atS) : channel;
    },
    { fromS: 0, toS },
    FILTER,
    DEFAULT_LIMITS,
  );

describe('points of a warm-up from channels', () => {
  it('are the restriction at the flow and temperature of the moment', () => {
    const [first] = points(HELD);
    const gas = {
      exhaustKgPerS: (45 * (1 + 1 / DEFAULT_LIMITS.airFuelRatioUnloaded)) / 1000,
      temperatureC: 220,
    };
    expect(first?.ratio).toBeCloseTo(valueOf(restrictionRatio(FILTER, gas, 60)).ratio, 6);
    expect(first).toMatchObject({ coolantC: 90, afterFilterC: 200 });
  });

  it('are none at idle, and none where ΔP, air mass or revs are not read', () => {
    expect(points({ ...HELD, engineSpeed: 800 })).toEqual([]);
    for (const role of ['engineSpeed', 'massAirFlow', 'dpfDeltaP'] as const) {
      const { [role]: _, ...rest } = HELD;
      expect(points(rest)).toEqual([]);
    }
  });

  it('do not move with the revs: the same filter at half the flow has the same ratio, near enough', () => {
    const at = (air: number, dp: number): number =>
      points({ ...HELD, massAirFlow: air, dpfDeltaP: dp })[0]?.ratio ?? 0;
    const cleanAt = (air: number): number =>
      valueOf(
        restrictionRatio(
          FILTER,
          { exhaustKgPerS: (air * (1 + 1 / DEFAULT_LIMITS.airFuelRatioUnloaded)) / 1000, temperatureC: 220 },
          1,
        ),
      ).cleanMbar;
    expect(at(45, 4 * cleanAt(45))).toBeCloseTo(at(22, 4 * cleanAt(22)), 6);
  });

  it('tell the phases of a course: wet, drying, standing', () => {
    const course = (atS: number): number =>
      atS < 120 ? 60 + 0.4 * atS : Math.max(30, 108 - 0.35 * (atS - 120));
    const phaseAt = (toS: number) =>
      warmUpOf(points({ ...HELD, dpfDeltaP: course }, toS), DEFAULT_LIMITS).phase;
    expect(phaseAt(30)).toBe('too-short');
    expect(phaseAt(118)).toBe('wet-rise');
    expect(phaseAt(260)).toBe('drying');
    expect(phaseAt(600)).toBe('plateau');
  });

  it('a gap in the middle leaves the rest', () => {
    const gone = points({ ...HELD, dpfDeltaP: (atS) => (atS > 100 && atS < 200 ? undefined : 60) });
    expect(gone.some(({ atS }) => atS > 100 && atS < 200)).toBe(false);
    expect(gone.length).toBeGreaterThan(50);
  });
});
