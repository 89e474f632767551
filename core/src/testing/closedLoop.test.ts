import { describe, expect, it } from 'vitest';
import { CHECK_IDS } from '../checks/index.ts';
import { checkHeldOff } from '../diagnosis/index.ts';
import { diagnosedVehicle, revvedInDanger } from './closedLoop.ts';
import { arrive, checkFindings, faultyVehicle } from './diagnosedVehicle.ts';

const WITH_BACK_PRESSURE = 4;

describe('what holds revs off', () => {
  const arrived = arrive(faultyVehicle(5, [{ id: 'oil-in-exhaust', severity: 0.9 }]), 5);
  const revved = (check: (typeof CHECK_IDS)[number], made: (typeof CHECK_IDS)[number][]): boolean =>
    revvedInDanger(arrived.vehicle, made, () => void checkFindings(arrived, check));

  it('is seen at the vehicle itself once the oil in its filter is known', () => {
    expect(revved('pipe-response', ['filter-look'])).toBe(true);
    expect(revved('pipe-response', [])).toBe(false);
    expect(revved('hoses', ['filter-look'])).toBe(false);
  });

  it('stands against every check in which the simulated vehicle is really revved', () => {
    // The second has a pressure sensor before the turbo.
    const oily = [
      arrived,
      arrive(faultyVehicle(WITH_BACK_PRESSURE, [{ id: 'oil-in-exhaust', severity: 0.9 }]), 5),
    ];
    expect(oily.map(({ vehicle }) => vehicle.family.backPressureSensor)).toContain(true);
    const missed = oily.flatMap((one) =>
      CHECK_IDS.filter(
        (id) =>
          revvedInDanger(one.vehicle, ['filter-look'], () => void checkFindings(one, id)) &&
          checkHeldOff(id, { 'inlet-oily': true }) === undefined,
      ),
    );
    expect(missed).toEqual([]);
  });
});

describe('a vehicle that is diagnosed by the recommended checks', () => {
  it('ends at its faults, sooner than by the checklist, and holds no revs with fuel in the oil and oil in the filter', () => {
    const { right, recommended, fixed } = diagnosedVehicle(5, [
      { id: 'oil-in-exhaust', severity: 0.9 },
      { id: 'oil-counter', severity: 0.9, form: 'diluted' },
    ]);
    expect(recommended.roots).toEqual(['oil-counter', 'oil-in-exhaust']);
    expect(right).toBe(true);
    expect(recommended.minutes).toBeLessThan(fixed().minutes);
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
