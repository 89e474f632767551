import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { traceOf } from './traces.ts';

const made = (values: readonly number[]) => ({
  timeS: Float64Array.from(values, (_, i) => i),
  values: Float64Array.from(values),
});
const readings = fc.array(fc.integer({ min: -1000, max: 1000 }), { minLength: 1, maxLength: 400 });

describe('a trace', () => {
  it('keeps the lowest and highest reading of its stretch, in order of time, however thin it is', () => {
    fc.assert(
      fc.property(readings, fc.integer({ min: 1, max: 40 }), (values, points) => {
        const { timeS, values: shown, stats } = traceOf(made(values), 0, values.length, points);
        expect(Math.max(...shown)).toBe(Math.max(...values));
        expect(Math.min(...shown)).toBe(Math.min(...values));
        expect(shown.length).toBeLessThanOrEqual(Math.max(2 * points + 2, 1));
        expect([...timeS]).toEqual([...timeS].sort((a, b) => a - b));
        expect(stats).toMatchObject({ n: values.length, min: Math.min(...values), max: Math.max(...values) });
        for (const [i, t] of timeS.entries()) expect(shown[i]).toBe(values[t]);
      }),
    );
  });

  it('reaches one reading over each edge, and counts only those between', () => {
    const { timeS, stats } = traceOf(made([5, 6, 7, 8, 9, 10]), 1.5, 3.5, 100);
    expect([...timeS]).toEqual([1, 2, 3, 4]);
    expect(stats).toEqual({ n: 2, min: 7, mean: 7.5, max: 8 });
  });

  it('of a stretch without readings has no figures', () => {
    expect(traceOf(made([5, 6]), 10, 20, 100).stats).toBeUndefined();
    expect(traceOf(made([]), 0, 1, 10)).toEqual({ timeS: new Float64Array(), values: new Float64Array() });
  });
});
