import { describe, expect, it } from 'vitest';
import { deriveJob, type DerivedJob } from '../job/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { DISPLACEMENT_L, FILTER, madeEntry, madeReading } from '../testing/index.ts';
import { flowPicture } from './index.ts';

const facts = { limits: DEFAULT_LIMITS, displacementL: DISPLACEMENT_L, geometry: FILTER };
const job = (...readings: Parameters<typeof madeEntry>[1][]): DerivedJob =>
  deriveJob({ ...facts, entries: readings.map((body, i) => madeEntry(i + 1, body)) });

describe('the chart of flow against pressure', () => {
  it('sets every point on its own curve, also when before and after were read at other temperatures', () => {
    const picture = flowPicture(
      job(
        madeReading('before', { sootG: 30, temperatureC: 180 }),
        madeReading('after', { sootG: 4, temperatureC: 290 }),
      ),
      facts,
    );
    expect(picture?.sides).toHaveLength(2);
    for (const { cloud, curve } of picture?.sides ?? []) {
      for (const { flowM3PerH, dpMbar } of cloud) {
        const points = curve?.points ?? [];
        const after = points.findIndex((p) => p.flowM3PerH >= flowM3PerH);
        const [a, b] = [points[after - 1], points[after]];
        if (!a || !b) throw new Error('the curve ends before its points');
        const share = (flowM3PerH - a.flowM3PerH) / (b.flowM3PerH - a.flowM3PerH);
        const onCurve = a.dpMbar + share * (b.dpMbar - a.dpMbar);
        expect(Math.abs(onCurve / dpMbar - 1)).toBeLessThan(0.05);
      }
    }
  });

  it('draws the filter’s curves only where its size is known, and nothing where nothing was read', () => {
    const { geometry: _unknown, ...without } = facts;
    const before = job(madeReading('before', { sootG: 30 }));
    expect(flowPicture(before, facts)?.ground).toHaveLength(5);
    expect(flowPicture(before, without)?.ground).toEqual([]);
    expect(flowPicture(before, facts)?.equalFlow).toBeUndefined();
    expect(flowPicture(job(), facts)).toBeUndefined();
  });
});
