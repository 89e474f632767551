import type { Limits } from '../limits/index.ts';
import { kelvin } from '../quantities/index.ts';

export const CATALYSTS = ['none', 'coated', 'fuel-borne'] as const;
/** What helps soot oxidation: nothing, a wash-coat on the wall, an additive in the fuel. */
export type Catalyst = (typeof CATALYSTS)[number];

/** One Arrhenius rate, k = A·exp(−E/RT), 1/s per unit mole fraction of what the soot burns with. */
export interface Arrhenius {
  readonly factorPerS: number;
  readonly energyJPerMol: number;
}

/** How fast soot burns: dm/dt = −m·(k_O2·y_O2 + k_NO2·y_NO2). */
export interface Kinetics {
  /** With oxygen on a bare wall. */
  readonly bare: Arrhenius;
  /** With oxygen where a catalyst helps; absent where there is none. */
  readonly helped?: Arrhenius;
  readonly no2: Arrhenius;
}

const GAS_CONSTANT_J_PER_MOL_K = 8.314;

/** k of one rate at a temperature in K. Worked value: bare wall, A 2.3e7, E 150 kJ/mol, 873.15 K → 0.0245 1/s. */
export const rateAtK = ({ factorPerS, energyJPerMol }: Arrhenius, temperatureK: number): number =>
  factorPerS * Math.exp(-energyJPerMol / (GAS_CONSTANT_J_PER_MOL_K * temperatureK));

/**
 * Rate of soot with oxygen, 1/s per unit mole fraction, at a temperature in °C. A catalyst never slows the bare wall's
 * rate: above some 760 °C, where that one overtakes, it counts.
 */
export function oxygenRate({ bare, helped }: Kinetics, celsius: number): number {
  const plain = rateAtK(bare, kelvin(celsius));
  return helped ? Math.max(plain, rateAtK(helped, kelvin(celsius))) : plain;
}

/** The assumed rates of a limits profile for one kind of catalyst. */
export function kineticsOf(limits: Limits, catalyst: Catalyst): Kinetics {
  const arrhenius = (factorPerS: number, energyKJ: number): Arrhenius => ({
    factorPerS,
    energyJPerMol: energyKJ * 1000,
  });
  const bare = arrhenius(limits.burnBareFactor, limits.burnBareEnergyKJ);
  const no2 = arrhenius(limits.burnNo2Factor, limits.burnNo2EnergyKJ);
  switch (catalyst) {
    case 'none':
      return { bare, no2 };
    case 'coated':
      return { bare, no2, helped: arrhenius(limits.burnCoatedFactor, limits.burnCoatedEnergyKJ) };
    case 'fuel-borne':
      return { bare, no2, helped: arrhenius(limits.burnFuelBorneFactor, limits.burnFuelBorneEnergyKJ) };
  }
}
