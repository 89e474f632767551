import { PLAIN_WORDS } from '@white-ember/core/words';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PART_IDS } from '@white-ember/core/ledger';
import { HEAT_HIGH_C, HEAT_LOW_C, heatColour } from './heat.ts';
import { AXIS_Y, layOut, LINE_HEIGHT, LINE_WIDTH, outline } from './lineLayout.ts';

const fitted = fc.subarray([...PART_IDS]);

describe('the exhaust line', () => {
  it('places the bodies that a vehicle has in the order of the gas, side by side and within the strip', () => {
    fc.assert(
      fc.property(fitted, (parts) => {
        const bodies = layOut(parts);
        expect(bodies[0]?.id).toBe('engine');
        expect(bodies.at(-1)?.id).toBe('tail');
        expect(bodies.some((body) => body.id === 'filter')).toBe(true);
        for (const optional of ['turbine', 'catalyst', 'scr', 'silencer'] as const) {
          expect(bodies.some((body) => body.id === optional)).toBe(parts.includes(optional));
        }
        for (const [i, body] of bodies.entries()) {
          expect(body.left).toBeLessThan(body.right);
          expect(body.slotLeft).toBeLessThanOrEqual(body.left);
          expect(body.slotRight).toBeGreaterThanOrEqual(body.right);
          const next = bodies[i + 1];
          if (next) expect(next.slotLeft).toBeCloseTo(body.slotRight, 6);
        }
        expect(bodies[0]?.slotLeft).toBeGreaterThan(0);
        expect(bodies.at(-1)?.slotRight).toBeLessThan(LINE_WIDTH);
      }),
    );
  });

  it('gives every label room: no two names of bodies touch', () => {
    const names: Record<string, number> = {
      engine: 6,
      turbine: 7,
      catalyst: 8,
      filter: 6,
      scr: 9,
      silencer: 8,
      tail: 4,
    };
    const bodies = layOut([...PART_IDS]);
    for (let i = 1; i < bodies.length; i++) {
      const [a, b] = [bodies[i - 1], bodies[i]];
      if (!a || !b) continue;
      const half = (id: string): number => (names[id] ?? 0) * 4 + 14;
      const between = (b.left + b.right) / 2 - (a.left + a.right) / 2;
      expect(between).toBeGreaterThan(half(a.id) + half(b.id));
    }
  });

  it('draws one closed outline, alike above and below the axis', () => {
    fc.assert(
      fc.property(fitted, (parts) => {
        const path = outline(layOut(parts));
        expect(path).toMatch(/^M[\d. L-]+ Z$/);
        const points = path
          .slice(1, -2)
          .split(' L')
          .map((pair) => pair.split(' ').map(Number) as [number, number]);
        const above = points.filter(([, y]) => y < AXIS_Y).map(([x, y]) => `${x} ${(AXIS_Y - y).toFixed(1)}`);
        const below = points.filter(([, y]) => y > AXIS_Y).map(([x, y]) => `${x} ${(y - AXIS_Y).toFixed(1)}`);
        expect([...above].sort()).toEqual([...below].sort());
        for (const [, y] of points) expect(y > 0 && y < LINE_HEIGHT).toBe(true);
      }),
    );
  });

  it('has a name for every part', () => {
    for (const part of PART_IDS) expect(PLAIN_WORDS.name('parts', part).length).toBeGreaterThan(3);
  });
});

describe('the heat scale', () => {
  const grey = (celsius: number): number => {
    const [r = 0, g = 0, b = 0] = heatColour(celsius).match(/\d+/g)?.map(Number) ?? [];
    return 0.2126 * r + 0.7152 * g + 0.0722 * b;
  };
  it('stays in order in greyscale: hotter is lighter', () => {
    let last = -1;
    for (let celsius = HEAT_LOW_C; celsius <= HEAT_HIGH_C; celsius += 20) {
      expect(grey(celsius)).toBeGreaterThan(last);
      last = grey(celsius);
    }
  });
  it('ends at its ends', () => {
    expect(heatColour(-40)).toBe(heatColour(HEAT_LOW_C));
    expect(heatColour(2000)).toBe(heatColour(HEAT_HIGH_C));
  });
});
