import { describe, expect, it } from 'vitest';
import { diagnosedVehicle } from './closedLoop.ts';

describe('a vehicle that is diagnosed by the recommended checks', () => {
  it('ends at its faults, sooner than by the checklist, and holds no revs with fuel in the oil and oil in the filter', () => {
    const { right, recommended, fixed } = diagnosedVehicle(5, [
      { id: 'oil-in-exhaust', severity: 0.9 },
      { id: 'oil-counter', severity: 0.9, form: 'diluted' },
    ]);
    expect(recommended.roots).toEqual(['oil-counter', 'oil-in-exhaust']);
    expect(right).toBe(true);
    expect(recommended.minutes).toBeLessThan(fixed.minutes);
    expect(recommended.dangerous).toEqual([]);
  });

  it('has crossed hoses put right, and then finds the full filter that they hid', () => {
    const { right, recommended } = diagnosedVehicle(11, [
      { id: 'dp-hoses-crossed', severity: 1 },
      { id: 'soot-loaded', severity: 0.9 },
    ]);
    expect(recommended.putRight).toEqual(['dp-hoses-crossed']);
    expect(recommended.roots).toEqual(['dp-hoses-crossed', 'soot-loaded']);
    expect(right).toBe(true);
  });
});
