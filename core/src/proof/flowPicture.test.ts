import { spoken } from '../words/index.ts';
import { describe, expect, it } from 'vitest';
import { deriveJob as deriveJobInCodes, type DerivedJob } from '../job/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { DISPLACEMENT_L, FILTER, madeEntry, madeReading } from '../testing/index.ts';
import { flowPicture as flowPictureInCodes } from './index.ts';

const deriveJob = spoken(deriveJobInCodes);
const flowPicture = spoken(flowPictureInCodes);

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

  it('goes by the holds where the flow of idle is not metered, and says where it misses what was read', () => {
    const read = madeReading('before', { sootG: 30 });
    // A third of the gas at idle goes round again and passes no filter.
    const samples = read.samples.map(({ airMassGPerS: _metered, ...sample }) =>
      sample.kind === 'idle' ? { ...sample, dpMbar: 0.6 * (sample.dpMbar ?? 0) } : sample,
    );
    // A long log idles in many windows: it is said once.
    const idles = samples.filter(({ kind }) => kind === 'idle');
    const [side] =
      flowPicture(job({ ...read, samples: [...idles, ...idles, ...samples] }), facts)?.sides ?? [];
    expect(side?.misses).toHaveLength(1);
    expect(side?.misses[0]).toMatch(/above the reading at idle/);
    const hold = side?.reading.samples.at(-1);
    const near = side?.curve?.points.find(({ flowM3PerH }) => flowM3PerH >= (hold?.flow.flowM3PerH ?? 0));
    expect(Math.abs((near?.dpMbar ?? 0) / (hold?.dpMbar ?? 1) - 1)).toBeLessThan(0.1);
    const [sound] = flowPicture(job(read), facts)?.sides ?? [];
    expect(sound?.misses).toEqual([]);
  });
});
