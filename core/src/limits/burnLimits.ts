import type { LimitDefinition } from './limitDefinition.ts';

const energy = (label: string, value: number) =>
  ({
    label: `${label}, activation energy`,
    unit: 'kJ/mol',
    value,
    low: 30,
    high: 300,
    group: 'burn',
    reason: 'Assumed; with the factor beside it, it sets how fast soot burns at which temperature.',
  }) as const satisfies LimitDefinition;

const factor = (label: string, value: number, reason: string) =>
  ({
    label: `${label}, rate factor`,
    unit: '1/s',
    value,
    low: 1,
    high: 1e12,
    group: 'burn',
    reason,
  }) as const satisfies LimitDefinition;

/** What the burn model assumes of soot, and what a bed stands. */
export const BURN_LIMITS = {
  bedLimitSiliconCarbideC: {
    label: 'Bed of silicon carbide, stands up to',
    unit: '°C',
    value: 1000,
    low: 600,
    high: 1400,
    group: 'burn',
    reason:
      'Working rule: beyond it segments and their cement crack and a wash-coat is gone. The maker’s figure wins.',
  },
  bedLimitOtherC: {
    label: 'Bed of cordierite or unknown material, stands up to',
    unit: '°C',
    value: 950,
    low: 600,
    high: 1300,
    group: 'burn',
    reason: 'Working rule: well below melting, above it ash eats into the wall and the brick cracks.',
  },
  bedGradientSiliconCarbideCPerCm: {
    label: 'Steepest temperature along a bed of silicon carbide, up to',
    unit: '°C/cm',
    value: 150,
    low: 10,
    high: 1000,
    group: 'burn',
    reason: 'Working rule: segments with cement between them take more of it than one piece.',
  },
  bedGradientOtherCPerCm: {
    label: 'Steepest temperature along a bed of cordierite or unknown material, up to',
    unit: '°C/cm',
    value: 100,
    low: 10,
    high: 1000,
    group: 'burn',
    reason: 'Working rule: it grows little with heat, and is weak.',
  },
  sootHeatMJPerKg: {
    label: 'Heat of burning soot',
    unit: 'MJ/kg',
    value: 32.8,
    low: 20,
    high: 36,
    group: 'burn',
    reason: 'Carbon to carbon dioxide.',
  },
  burnBareEnergyKJ: energy('Soot with oxygen on a bare wall', 150),
  burnBareFactor: factor(
    'Soot with oxygen on a bare wall',
    2.3e7,
    'Assumed: half in 19 min at 550 °C in 10 % oxygen.',
  ),
  burnCoatedEnergyKJ: energy('Soot with oxygen on a coated wall', 120),
  burnCoatedFactor: factor(
    'Soot with oxygen on a coated wall',
    7e5,
    'Assumed: about twice the bare wall at 600 °C.',
  ),
  burnFuelBorneEnergyKJ: energy('Soot with an additive in the fuel', 120),
  burnFuelBorneFactor: factor('Soot with an additive in the fuel', 4e6, 'Assumed: burns from 450–500 °C on.'),
  burnNo2EnergyKJ: energy('Soot with nitrogen dioxide', 73),
  burnNo2Factor: factor('Soot with nitrogen dioxide', 2e6, 'Assumed: felt from 250 to 450 °C.'),
} as const satisfies Record<string, LimitDefinition>;
