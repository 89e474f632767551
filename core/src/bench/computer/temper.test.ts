import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { TEMPER_IDS, temperOf } from './temper.ts';

const CODES = Array.from({ length: 40 }, (_, i) => ({ code: `P${2000 + i}`, circuit: i % 4 === 0 }));

describe('the temper of an ECU', () => {
  it('lacks no self-test of a circuit, none at all where it is strict, and the same ones for the same vehicle', () => {
    const circuits = new Set(CODES.filter(({ circuit }) => circuit).map(({ code }) => code));
    fc.assert(
      fc.property(fc.constantFrom(...TEMPER_IDS), fc.integer({ min: 0, max: 1e6 }), (id, seed) => {
        const temper = temperOf(id, seed, CODES);
        expect([...temper.without].filter((code) => circuits.has(code))).toEqual([]);
        if (id === 'strict') expect([...temper.without]).toEqual([]);
        expect(temperOf(id, seed, CODES)).toEqual(temper);
      }),
    );
  });

  it('is slower and knows less the more lenient it is', () => {
    const lacking = TEMPER_IDS.map((id) =>
      Array.from({ length: 200 }, (_, seed) => temperOf(id, seed, CODES).without.size).reduce(
        (a, b) => a + b,
      ),
    );
    expect(lacking).toEqual(lacking.toSorted((a, b) => a - b));
    const patience = TEMPER_IDS.map((id) => temperOf(id, 1, CODES).patience);
    expect(patience).toEqual(patience.toSorted((a, b) => a - b));
  });
});
