import { someOf } from './seeds.ts';
import { describe, expect, it } from 'vitest';
import { droppedBurn } from './droppedBurn.ts';
import { treatedVehicle } from './treatedVehicle.ts';

describe('a simulated vehicle that is treated by what the choice puts first', () => {
  it.each(someOf([1, 3, 4]))(
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

describe('a burn that the interlocks allow', () => {
  it.each(someOf([7, 21, 34]))('keeps its bed under the limit when it is dropped to idle (%i)', (seed) => {
    const { allowed, began, peakC, limitC, about } = droppedBurn(seed);
    expect({ allowed, began }, about).toEqual({ allowed: true, began: true });
    expect(peakC, about).toBeGreaterThan(500);
    expect(peakC, about).toBeLessThanOrEqual(limitC);
  });
  it('is not allowed on a full one', () => {
    expect(droppedBurn(12)).toMatchObject({ allowed: false, began: false });
  });
});
