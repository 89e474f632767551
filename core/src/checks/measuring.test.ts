import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { valueOf } from '../quantities/index.ts';
import {
  dilutionByLevel,
  findPlateau,
  fitDecay,
  meteredC,
  meterShows,
  platinumC,
  platinumOhm,
  positionsByWarming,
  readLadder,
  sectionShares,
  THERMOMETER_KINDS,
  thermocoupleC,
  thermocoupleMv,
} from './index.ts';

describe('thermometers', () => {
  it.each([
    [-200, 37.04],
    [0, 200],
    [100, 277.02],
    [400, 494.18],
    [850, 780.96],
  ])('shows the resistance of the standard’s table at %s °C', (celsius, ohm) => {
    expect(platinumOhm(celsius)).toBeCloseTo(ohm, 1);
  });

  it.each([
    [-100, -2.407],
    [0, 0],
    [100, 2.774],
    [500, 16.748],
    [1000, 36.256],
    [1300, 47.513],
  ])('shows the voltage of the standard’s table for type N at %s °C', (celsius, mv) => {
    expect(thermocoupleMv(celsius)).toBeCloseTo(mv, 3);
  });

  it('takes the cold end of a thermocouple into account', () => {
    expect(thermocoupleMv(500, 25)).toBeCloseTo(16.748 - thermocoupleMv(25), 3);
    expect(valueOf(thermocoupleC(16.748 - thermocoupleMv(25), 25))).toBeCloseTo(500, 1);
  });

  it('gives the temperature back for every kind', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...THERMOMETER_KINDS),
        fc.double({ min: -30, max: 800, noNaN: true }),
        fc.double({ min: -20, max: 45, noNaN: true }),
        (kind, celsius, ambient) => {
          expect(valueOf(meteredC(kind, meterShows(kind, celsius, ambient), ambient))).toBeCloseTo(
            celsius,
            2,
          );
        },
      ),
    );
  });

  it('says what lies off the curve instead of a temperature', () => {
    expect(platinumC(12_000).ok).toBe(false);
    expect(thermocoupleC(90).ok).toBe(false);
    expect(meteredC('ntc', 0, 20).ok).toBe(false);
  });
});

describe('pump ladder', () => {
  const rungs = (gain: number, zero: number) =>
    [0, 200, 400, 600, 800, 1000].map((appliedMbar) => ({ appliedMbar, upMbar: zero + gain * appliedMbar }));

  it('finds zero and slope of any straight sensor', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 1, noNaN: true }),
        fc.double({ min: -50, max: 50, noNaN: true }),
        (gain, zero) => {
          const {
            gain: found,
            zeroMbar,
            linearityPercent,
          } = valueOf(readLadder(rungs(gain, zero), { fullScaleMbar: 1000 }));
          expect(found).toBeCloseTo(gain, 6);
          expect(zeroMbar).toBeCloseTo(zero, 6);
          expect(linearityPercent).toBeLessThan(1e-6);
        },
      ),
    );
  });

  it('takes the gauge’s own zero off, and leaves the end of the scale out', () => {
    const shifted = rungs(1, 0).map((rung) => ({ ...rung, appliedMbar: rung.appliedMbar + 30 }));
    expect(valueOf(readLadder(shifted, { fullScaleMbar: 1000, gaugeZeroMbar: 30 })).zeroMbar).toBeCloseTo(
      0,
      6,
    );
    const beyond = [...rungs(1, 0), { appliedMbar: 1200, upMbar: 1050 }];
    const read = valueOf(readLadder(beyond, { fullScaleMbar: 1000 }));
    expect(read.saturated).toEqual([1200]);
    expect(read.gain).toBeCloseTo(1, 6);
  });

  it('tells hysteresis and the worst rung', () => {
    const read = valueOf(
      readLadder(
        rungs(1, 0).map((rung, i) => ({
          ...rung,
          upMbar: rung.upMbar + (i === 3 ? 40 : 0),
          downMbar: rung.upMbar + 15,
        })),
        { fullScaleMbar: 1000 },
      ),
    );
    expect(read.worst).toEqual({ appliedMbar: 600, offMbar: 40 });
    expect(read.hysteresisPercent).toBeCloseTo(2.5, 6);
  });

  it('does not judge from two rungs or one pressure', () => {
    expect(readLadder(rungs(1, 0).slice(0, 2), { fullScaleMbar: 1000 }).ok).toBe(false);
    expect(
      readLadder(
        Array.from({ length: 4 }, () => ({ appliedMbar: 100, upMbar: 100 })),
        { fullScaleMbar: 1000 },
      ).ok,
    ).toBe(false);
  });
});

const release = (timeS: number, everyS: number, lengthS: number): [number[], number[]] => {
  const times = Array.from({ length: Math.round(lengthS / everyS) + 1 }, (_, i) => i * everyS);
  return [times, times.map((t) => 5 + 100 * Math.exp(-t / timeS))];
};

describe('response of a pipe', () => {
  it('finds the time constant of any release that the sampling can show', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.3, max: 6, noNaN: true }), (timeS) => {
        const fit = valueOf(fitDecay(...release(timeS, 0.1, 12)));
        expect(fit.timeS / timeS).toBeGreaterThan(0.98);
        expect(fit.timeS / timeS).toBeLessThan(1.02);
        expect(fit.to).toBeCloseTo(5, 0);
      }),
    );
  });

  it('says no more than the sampling shows', () => {
    const quick = valueOf(fitDecay(...release(0.1, 1, 10)));
    expect(quick).toMatchObject({ atMost: true, timeS: 1 });
    expect(valueOf(fitDecay(...release(90, 0.5, 10))).atLeast).toBe(true);
    expect(fitDecay([0, 1], [10, 5]).ok).toBe(false);
  });
});

describe('sections of the line', () => {
  it('gives each what goes with it', () => {
    expect(sectionShares({ closedMbar: 400, openAfterFilterMbar: 380, openBeforeFilterMbar: 40 })).toEqual([
      { sections: ['catalyst'], mbar: 40, percent: 10 },
      { sections: ['filter'], mbar: 340, percent: 85 },
      { sections: ['behind'], mbar: 20, percent: 5 },
    ]);
  });

  it('tells together what lies between two joints that were opened', () => {
    expect(sectionShares({ closedMbar: 400, openAfterFilterMbar: 380 })).toEqual([
      { sections: ['catalyst', 'filter'], mbar: 380, percent: 95 },
      { sections: ['behind'], mbar: 20, percent: 5 },
    ]);
    expect(
      sectionShares({ closedMbar: 400, openBeforeFilterMbar: 30 }).map(({ sections }) => sections),
    ).toEqual([['catalyst'], ['filter', 'behind']]);
    expect(sectionShares({ closedMbar: 400 })).toEqual([]);
  });

  it('adds up to the whole where all joints were opened', () => {
    const mbar = fc.double({ min: 0, max: 300, noNaN: true });
    fc.assert(
      fc.property(mbar, mbar, mbar, (catalyst, filter, behind) => {
        const shares = sectionShares({
          closedMbar: catalyst + filter + behind,
          openAfterFilterMbar: catalyst + filter,
          openBeforeFilterMbar: catalyst,
          openBeforeCatalystMbar: 0,
        });
        expect(shares.reduce((sum, share) => sum + share.mbar, 0)).toBeCloseTo(catalyst + filter + behind, 6);
      }),
    );
  });
});

describe('plateau of the coolant', () => {
  const over = (lengthS: number, at: (t: number) => number): [number[], number[]] => {
    const times = Array.from({ length: lengthS / 10 + 1 }, (_, i) => i * 10);
    return [times, times.map(at)];
  };

  it('tells a plateau from a warm-up, and where the warm-up is going', () => {
    expect(valueOf(findPlateau(...over(240, () => 71)))).toMatchObject({ reached: true, value: 71 });
    const rising = valueOf(findPlateau(...over(600, (t) => 90 - 60 * Math.exp(-t / 300))));
    expect(rising.reached).toBe(false);
    expect(rising.goesTo).toBeGreaterThan(85);
    expect(rising.goesTo).toBeLessThan(95);
  });

  it('wants two minutes', () => {
    expect(findPlateau(...over(100, () => 71)).ok).toBe(false);
  });
});

it('finds the place of each EGT by its warming, or says why it cannot', () => {
  expect(
    valueOf(
      positionsByWarming([
        { channel: 1, risesAtS: 40 },
        { channel: 2, risesAtS: 8 },
        { channel: 3, risesAtS: 25 },
      ]),
    ),
  ).toEqual([
    { channel: 2, position: 1 },
    { channel: 3, position: 2 },
    { channel: 1, position: 3 },
  ]);
  const close = [
    { channel: 1, risesAtS: 20 },
    { channel: 2, risesAtS: 21 },
  ];
  expect(positionsByWarming(close).ok).toBe(false);
  expect(positionsByWarming([{ channel: 1, risesAtS: undefined }]).ok).toBe(false);
});

it('works the fuel in the oil out of the level, and never below nothing', () => {
  expect(valueOf(dilutionByLevel(1.5, 6))).toBeCloseTo(7.69, 2);
  expect(valueOf(dilutionByLevel(0.4, 6))).toBe(0);
  expect(dilutionByLevel(9, 6).ok).toBe(false);
});
