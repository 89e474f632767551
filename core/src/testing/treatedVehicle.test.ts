import { describe, expect, it } from 'vitest';
import { treatedVehicle } from './treatedVehicle.ts';

describe('a bench vehicle that is treated by what the choice puts first', () => {
  it.each([1, 2, 3])(
    'ends proved where it is curable, cool enough, with no burn that was held off (%i)',
    (seed) => {
      const { about, curable, verdict, peakC, limitC, forbidden, treatments } = treatedVehicle(seed);
      expect(treatments.length, about).toBeGreaterThan(0);
      if (curable) expect(verdict, about).toBe('proved');
      expect(peakC, about).toBeLessThanOrEqual(limitC);
      expect(forbidden, about).toEqual([]);
    },
  );
});
