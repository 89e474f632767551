import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gasViscosityPaS, kelvin, valueOf } from '../quantities/index.ts';
import { PRESSURE_DROP_CASES } from '../testing/samples.ts';
import {
  DEFAULT_FILTER_CONSTANTS,
  exhaustMassGPerS,
  filterCells,
  filterFlow,
  filterVolumeL,
  fitFlow,
  pressureDrop,
  pressureFromFit,
  restrictionRatio,
  sootFromPressure,
  speedDensityGPerS,
  type FilterGeometry,
  type FlowPoint,
} from './index.ts';

const VAN: FilterGeometry = { diameterMm: 143.76, lengthMm: 152.4, cpsi: 200, wallMm: 0.305 };
const GAS = { exhaustKgPerS: 0.045, temperatureC: 150 };

const geometries = fc.record({
  diameterMm: fc.double({ min: 100, max: 330, noNaN: true }),
  lengthMm: fc.double({ min: 100, max: 350, noNaN: true }),
  cpsi: fc.constantFrom(100, 150, 200, 300),
  wallMm: fc.double({ min: 0.2, max: 0.4, noNaN: true }),
});
const flows = fc.double({ min: 0.005, max: 0.3, noNaN: true });
const temperatures = fc.double({ min: 80, max: 650, noNaN: true });

/** The formula written out as it stands in the papers and iterated to its mean pressure, apart from the code under test. */
function asPrinted(
  geometry: FilterGeometry,
  sootG: number,
  exhaustKgPerS: number,
  temperatureC: number,
): number {
  const pitch = 0.0254 / Math.sqrt(geometry.cpsi);
  const ws = geometry.wallMm / 1000;
  const a = pitch - ws;
  const length = geometry.lengthMm / 1000;
  const area = (Math.PI / 4) * (geometry.diameterMm / 1000) ** 2;
  const volume = area * length;
  const channels = area / pitch ** 2 / 2;
  const {
    wallPermeabilityM2: kw,
    sootPermeabilityM2: ks,
    sootDensityKgPerM3: rhoSoot,
    contractionLoss: zeta,
  } = DEFAULT_FILTER_CONSTANTS;
  const w = 0.5 * (a - Math.sqrt(a * a - sootG / 1000 / (channels * length * rhoSoot)));
  const mu = gasViscosityPaS(kelvin(temperatureC));
  let dp = 0;
  for (let i = 0; i < 60; i++) {
    const rho = (101_325 + dp / 2) / (287.05 * kelvin(temperatureC));
    const q = exhaustKgPerS / rho;
    const viscous =
      ((mu * q) / (2 * volume)) *
      (a + ws) ** 2 *
      (ws / (kw * a) +
        Math.log(a / (a - 2 * w)) / (2 * ks) +
        ((4 * 28.454 * length ** 2) / 3) * ((a - 2 * w) ** -4 + a ** -4));
    const inertial = ((rho * q * q * (a + ws) ** 4) / (volume ** 2 * a ** 2)) * 2 * zeta * (length / a) ** 2;
    dp = viscous + inertial;
  }
  return dp / 100;
}

describe('pressure drop', () => {
  it.each(PRESSURE_DROP_CASES.map((c, i) => [i + 1, c] as const))(
    'agrees with independent case %i within 0.5 %%',
    (_i, c) => {
      const drop = valueOf(pressureDrop(c, { sootG: c.sootG, ashG: 0 }, c));
      expect(Math.abs(drop.totalMbar / c.expectMbar - 1)).toBeLessThan(0.005);
      expect(Math.abs(drop.cakeMbar - c.parts.cake)).toBeLessThan(0.005 * c.expectMbar);
      expect(Math.abs(drop.wallMbar - c.parts.wall)).toBeLessThan(0.005 * c.expectMbar);
      expect(Math.abs(drop.channelMbar - c.parts.channel)).toBeLessThan(0.005 * c.expectMbar);
      expect(Math.abs(drop.inertialMbar - c.parts.inertial)).toBeLessThan(0.005 * c.expectMbar);
    },
  );

  it('agrees with the printed formula, iterated, for any filter, load and gas', () => {
    fc.assert(
      fc.property(
        geometries,
        flows,
        temperatures,
        fc.double({ min: 0, max: 12, noNaN: true }),
        (geometry, flow, celsius, gPerL) => {
          const sootG = gPerL * filterVolumeL(geometry);
          const drop = pressureDrop(
            geometry,
            { sootG, ashG: 0 },
            { exhaustKgPerS: flow, temperatureC: celsius },
          );
          fc.pre(drop.ok);
          if (drop.ok)
            expect(drop.value.totalMbar / asPrinted(geometry, sootG, flow, celsius)).toBeCloseTo(1, 5);
        },
      ),
    );
  });

  it('gives the worked value and sums its parts', () => {
    const drop = valueOf(pressureDrop(VAN, { sootG: 4.947, ashG: 0 }, GAS));
    expect(drop.totalMbar).toBeCloseTo(13.07, 2);
    expect(drop.wallMbar + drop.cakeMbar + drop.channelMbar + drop.inertialMbar).toBeCloseTo(
      drop.totalMbar,
      8,
    );
  });

  it('rises with flow, soot, ash and heat', () => {
    fc.assert(
      fc.property(
        geometries,
        flows,
        temperatures,
        fc.double({ min: 0.2, max: 8, noNaN: true }),
        (geometry, flow, celsius, gPerL) => {
          const load = gPerL * filterVolumeL(geometry);
          const at = (sootG: number, ashG: number, exhaustKgPerS: number, temperatureC: number): number =>
            valueOf(pressureDrop(geometry, { sootG, ashG }, { exhaustKgPerS, temperatureC })).totalMbar;
          const base = at(load, 10, flow, celsius);
          expect(at(load * 1.2, 10, flow, celsius)).toBeGreaterThan(base);
          expect(at(load, 40, flow, celsius)).toBeGreaterThan(base);
          expect(at(load, 10, flow * 1.2, celsius)).toBeGreaterThan(base);
          expect(at(load, 10, flow, celsius + 30)).toBeGreaterThan(base);
        },
      ),
    );
  });

  it('is nothing without flow', () => {
    expect(
      valueOf(pressureDrop(VAN, { sootG: 10, ashG: 0 }, { exhaustKgPerS: 0, temperatureC: 20 })).totalMbar,
    ).toBe(0);
  });

  it.each([
    [
      'a negative flow',
      VAN,
      { sootG: 0, ashG: 0 },
      { exhaustKgPerS: -0.01, temperatureC: 150 },
      'exhaustKgPerS',
    ],
    [
      'a flow that is no number',
      VAN,
      { sootG: 0, ashG: 0 },
      { exhaustKgPerS: Number.NaN, temperatureC: 150 },
      'exhaustKgPerS',
    ],
    [
      'gas colder than −40 °C',
      VAN,
      { sootG: 0, ashG: 0 },
      { exhaustKgPerS: 0.05, temperatureC: -80 },
      'temperatureC',
    ],
    ['negative soot', VAN, { sootG: -1, ashG: 0 }, GAS, 'sootG'],
    ['more soot than channels', VAN, { sootG: 500, ashG: 0 }, GAS, 'sootG'],
    ['a filter without size', { ...VAN, diameterMm: 0 }, { sootG: 0, ashG: 0 }, GAS, 'diameterMm'],
    ['walls that leave no channel', { ...VAN, cpsi: 600, wallMm: 0.8 }, { sootG: 0, ashG: 0 }, GAS, 'wallMm'],
    ['more ash than a brick holds', VAN, { sootG: 0, ashG: 400 }, GAS, 'ashG'],
  ])('refuses %s and names the field', (_name, geometry, state, gas, field) => {
    const drop = pressureDrop(geometry, state, gas);
    expect(!drop.ok && drop.failure.field).toBe(field);
  });
});

describe('soot from pressure', () => {
  it('recovers the load within 1 % over 0.2–12 g/L, and holds it in its interval', () => {
    fc.assert(
      fc.property(
        geometries,
        flows,
        temperatures,
        fc.double({ min: 0.2, max: 12, noNaN: true }),
        (geometry, flow, celsius, gPerL) => {
          const sootG = gPerL * filterVolumeL(geometry);
          const gas = { exhaustKgPerS: flow, temperatureC: celsius };
          const drop = pressureDrop(geometry, { sootG, ashG: 0 }, gas);
          fc.pre(drop.ok && drop.value.totalMbar < 2900);
          const estimate = valueOf(sootFromPressure({ geometry, gas, dpMbar: valueOf(drop).totalMbar }));
          expect(Math.abs(estimate.sootG / sootG - 1)).toBeLessThan(0.01);
          expect(estimate.lowG).toBeLessThanOrEqual(sootG);
          expect(estimate.highG).toBeGreaterThanOrEqual(sootG * 0.999);
        },
      ),
    );
  });

  it('gives the worked value and widens with the doubt of the reading', () => {
    const question = {
      geometry: { diameterMm: 144, lengthMm: 152, cpsi: 200, wallMm: 0.305 },
      gas: GAS,
      dpMbar: 13.07,
    };
    const sure = valueOf(sootFromPressure(question));
    const doubtful = valueOf(sootFromPressure({ ...question, dpDoubtMbar: 4 }));
    expect(sure.sootG).toBeCloseTo(4.9, 0);
    expect(doubtful.highG - doubtful.lowG).toBeGreaterThan(sure.highG - sure.lowG);
  });

  it('caps what soot cannot explain and says when a clean filter would show more', () => {
    const high = valueOf(sootFromPressure({ geometry: VAN, gas: GAS, dpMbar: 900 }));
    expect(high.capped).toBe(true);
    expect(high.highG).toBeLessThanOrEqual(20 * filterVolumeL(VAN) + 1e-9);
    const low = valueOf(sootFromPressure({ geometry: VAN, gas: GAS, dpMbar: 2 }));
    expect(low).toMatchObject({ sootG: 0, lowG: 0, belowClean: true });
  });

  it('says nothing about a filter without flow, and refuses no number', () => {
    expect(
      sootFromPressure({ geometry: VAN, gas: { exhaustKgPerS: 0, temperatureC: 20 }, dpMbar: 5 }).ok,
    ).toBe(false);
    expect(sootFromPressure({ geometry: VAN, gas: GAS, dpMbar: Number.NaN }).ok).toBe(false);
    expect(sootFromPressure({ geometry: VAN, gas: GAS, dpMbar: 5, dpDoubtMbar: -1 }).ok).toBe(false);
  });
});

describe('restriction ratio', () => {
  it('is 1 for the clean filter at any flow and temperature, and 2 for twice its pressure', () => {
    fc.assert(
      fc.property(geometries, flows, temperatures, (geometry, exhaustKgPerS, temperatureC) => {
        const gas = { exhaustKgPerS, temperatureC };
        const clean = valueOf(pressureDrop(geometry, { sootG: 0, ashG: 0 }, gas)).totalMbar;
        fc.pre(clean > 0.06);
        expect(valueOf(restrictionRatio(geometry, gas, clean)).ratio).toBeCloseTo(1, 10);
        expect(valueOf(restrictionRatio(geometry, gas, 2 * clean)).ratio).toBeCloseTo(2, 10);
      }),
    );
  });

  it('is refused where the clean filter shows less than a sensor resolves', () => {
    expect(restrictionRatio(VAN, { exhaustKgPerS: 0.0001, temperatureC: 20 }, 5).ok).toBe(false);
  });
});

describe('exhaust flow', () => {
  it('gives the worked values', () => {
    const air = speedDensityGPerS({
      displacementL: 2,
      rpm: 3000,
      manifoldMbar: 1013,
      manifoldC: 25,
      volumetricEfficiency: 0.87,
    });
    expect(valueOf(air)).toBeCloseTo(51.5, 1);
    expect(exhaustMassGPerS(52, 52)).toBe(53);
    expect(filterFlow(0.05, 200, 101_325, 0).flowM3PerH).toBeCloseTo(241.3, 1);
  });

  it('takes recirculated gas off and refuses a negative speed', () => {
    const engine = {
      displacementL: 2,
      rpm: 2000,
      manifoldMbar: 1013,
      manifoldC: 25,
      volumetricEfficiency: 0.87,
    };
    const open = valueOf(speedDensityGPerS({ ...engine, recirculatedShare: 0.25 }));
    expect(open / valueOf(speedDensityGPerS(engine))).toBeCloseTo(0.75, 10);
    const refused = speedDensityGPerS({ ...engine, rpm: -2000 });
    expect(!refused.ok && refused.failure).toMatchObject({ field: 'rpm', code: 'out-of-range' });
  });

  it('falls as the mean pressure in the filter rises', () => {
    expect(filterFlow(0.05, 200, 101_325, 300).flowM3PerH).toBeLessThan(
      filterFlow(0.05, 200, 101_325, 0).flowM3PerH,
    );
  });
});

describe('flow fit', () => {
  const pointsOf = (a: number, b: number, flowsKgPerS: readonly number[]): FlowPoint[] =>
    flowsKgPerS.map((kgPerS) => {
      const { viscous, inertial } = filterFlow(kgPerS, 220, 101_325, 0);
      return { viscous, inertial, dpMbar: (a * viscous + b * inertial) / 100, sdMbar: 0.5 };
    });

  it('finds the coefficients that made the points', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1e7, max: 2e10, noNaN: true }),
        fc.double({ min: 1e4, max: 1e7, noNaN: true }),
        (a, b) => {
          const fit = valueOf(fitFlow(pointsOf(a, b, [0.012, 0.03, 0.045, 0.06])));
          expect(fit.a / a).toBeCloseTo(1, 4);
          expect(fit.b / b).toBeCloseTo(1, 3);
          expect(fit.r2).toBeCloseTo(1, 6);
        },
      ),
    );
  });

  it('never takes a negative coefficient', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -20, max: 300, noNaN: true }), { minLength: 3, maxLength: 8 }),
        (pressures) => {
          const points = pointsOf(
            1,
            1,
            pressures.map((_, i) => 0.01 + 0.01 * i),
          ).map((p, i) => ({ ...p, dpMbar: pressures[i] as number }));
          const fit = valueOf(fitFlow(points));
          expect(fit.a).toBeGreaterThanOrEqual(0);
          expect(fit.b).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });

  it('returns the pressure that it was fitted to, with a spread that shrinks with more points', () => {
    const few = valueOf(fitFlow(pointsOf(3e9, 1e6, [0.02, 0.05])));
    const many = valueOf(
      fitFlow(
        pointsOf(
          3e9,
          1e6,
          Array.from({ length: 40 }, (_, i) => 0.02 + 0.001 * i),
        ),
      ),
    );
    const at = { exhaustKgPerS: 0.05, temperatureC: 220, outletPressurePa: 101_325 };
    expect(pressureFromFit(many, at).sdMbar).toBeLessThan(pressureFromFit(few, at).sdMbar);
    const { viscous, inertial } = filterFlow(0.05, 220, 101_325, pressureFromFit(many, at).dpMbar);
    expect(pressureFromFit(many, at).dpMbar).toBeCloseTo((3e9 * viscous + 1e6 * inertial) / 100, 3);
  });

  it('finds only the viscous part from a single flow and nothing from none', () => {
    expect(valueOf(fitFlow(pointsOf(2e9, 0, [0.04, 0.04])))).toMatchObject({ b: 0, points: 2 });
    expect(fitFlow([]).ok).toBe(false);
    expect(fitFlow([{ viscous: 0, inertial: 0, dpMbar: 3, sdMbar: 1 }]).ok).toBe(false);
  });
});

it('works out a brick: litres and cells', () => {
  expect(filterVolumeL({ diameterMm: 144, lengthMm: 152, cpsi: 200, wallMm: 0.3 })).toBeCloseTo(2.475, 3);
  const cells = valueOf(filterCells(VAN));
  expect(cells.channelM * 1000).toBeCloseTo(25.4 / Math.sqrt(200) - 0.305, 6);
  expect(cells.inletChannels).toBeCloseTo((200 * (Math.PI / 4) * (143.76 / 25.4) ** 2) / 2, 6);
});
