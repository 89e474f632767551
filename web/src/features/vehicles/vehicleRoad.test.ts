import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { VehicleOutlook } from '@white-ember/core/outlook';
import { layRoad } from './vehicleRoad.ts';

const visit = (number: number, km: number | undefined): VehicleOutlook['visits'][number] => ({
  jobId: `0197a000-0000-7000-9000-${String(number).padStart(12, '0')}`,
  number,
  at: '2026-05-11T08:00:00.000Z',
  ...(km === undefined ? {} : { km }),
  filter: 'as-it-was',
  causes: [],
});
const words = ({ number }: { number: number }): string => `job ${number} 4.6 → 1.3 ×`;
const widthOf = (text: string): number => text.length * 6.8;

describe('the road of a vehicle', () => {
  it('keeps its pins in the order of distance, inside, and the words of a row apart', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 900_000 }), { minLength: 1, maxLength: 25 }),
        fc.integer({ min: 360, max: 1400 }),
        (kms, width) => {
          const { pins, rows } = layRoad(
            kms.map((km, i) => visit(i + 1, km)),
            words,
            { width },
          );
          expect(pins).toHaveLength(kms.length);
          const spans: [row: number, from: number, to: number][] = pins.map((pin) =>
            pin.toLeft
              ? [pin.row, pin.x - widthOf(pin.words), pin.x]
              : [pin.row, pin.x, pin.x + widthOf(pin.words)],
          );
          for (const [i, pin] of pins.entries()) {
            expect(pin.x).toBeGreaterThan(0);
            expect(pin.x).toBeLessThan(width);
            expect(pin.row).toBeLessThan(rows);
            if (i > 0) expect(pin.x).toBeGreaterThanOrEqual(pins[i - 1]?.x ?? 0);
            for (const [j, [row, from, to]] of spans.entries()) {
              const [mine, start, end] = spans[i] as [number, number, number];
              if (j !== i && row === mine) expect(start >= to || end <= from).toBe(true);
            }
          }
        },
      ),
    );
  });

  it('has round ticks in the unit of the reader, and no place for a job without distance', () => {
    const road = layRoad([visit(1, 100_000), visit(2, 140_000), visit(3, undefined)], words, { width: 650 });
    expect(road.pins.map(({ visit: { number } }) => number)).toEqual([1, 2]);
    expect(road.ticks.map(({ km }) => km)).toEqual([100_000, 110_000, 120_000, 130_000, 140_000]);
    const miles = layRoad([visit(1, 100_000), visit(2, 140_000)], words, { width: 650, unitKm: 1.609344 });
    for (const { km } of miles.ticks) {
      const fives = km / 1.609344 / 5000;
      expect(fives).toBeCloseTo(Math.round(fives), 6);
    }
    expect(layRoad([visit(1, undefined)], words, { width: 650 }).ticks).toEqual([]);
  });
});
