import { say, type Said } from '../words/index.ts';
import type { LimitDefinition } from './limitDefinition.ts';

const energy = (label: Said, value: number) =>
  ({
    label: say('limits.activation-energy', { label }),
    unit: 'kJ/mol',
    value,
    low: 30,
    high: 300,
    group: 'burn',
    reason: say('limits.assumed-with-the-factor-beside'),
  }) as const satisfies LimitDefinition;

const factor = (label: Said, value: number, reason: Said) =>
  ({
    label: say('limits.rate-factor', { label }),
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
    label: say('limits.bed-of-silicon-carbide-stands'),
    unit: '°C',
    value: 1000,
    low: 600,
    high: 1400,
    group: 'burn',
    reason: say('limits.working-rule-beyond-it-segments'),
  },
  bedLimitOtherC: {
    label: say('limits.bed-of-cordierite-or-unknown'),
    unit: '°C',
    value: 950,
    low: 600,
    high: 1300,
    group: 'burn',
    reason: say('limits.working-rule-well-below-melting'),
  },
  bedGradientSiliconCarbideCPerCm: {
    label: say('limits.steepest-temperature-along-a-bed'),
    unit: '°C/cm',
    value: 150,
    low: 10,
    high: 1000,
    group: 'burn',
    reason: say('limits.working-rule-segments-with-cement'),
  },
  bedGradientOtherCPerCm: {
    label: say('limits.steepest-temperature-along-a-bed-of'),
    unit: '°C/cm',
    value: 100,
    low: 10,
    high: 1000,
    group: 'burn',
    reason: say('limits.working-rule-it-grows-little'),
  },
  sootHeatMJPerKg: {
    label: say('limits.heat-of-burning-soot'),
    unit: 'MJ/kg',
    value: 32.8,
    low: 20,
    high: 36,
    group: 'burn',
    reason: say('limits.carbon-to-carbon-dioxide'),
  },
  burnBareEnergyKJ: energy(say('limits.soot-with-oxygen'), 150),
  burnBareFactor: factor(say('limits.soot-with-oxygen'), 2.3e7, say('limits.assumed-half-in-19-min')),
  burnCoatedEnergyKJ: energy(say('limits.soot-with-oxygen-on-a'), 120),
  burnCoatedFactor: factor(
    say('limits.soot-with-oxygen-on-a'),
    7e5,
    say('limits.assumed-about-twice-the-bare'),
  ),
  burnFuelBorneEnergyKJ: energy(say('limits.soot-with-an-additive'), 120),
  burnFuelBorneFactor: factor(
    say('limits.soot-with-an-additive'),
    4e6,
    say('limits.assumed-burns-from-450-500'),
  ),
  burnNo2EnergyKJ: energy(say('limits.soot-with-nitrogen-dioxide'), 73),
  burnNo2Factor: factor(say('limits.soot-with-nitrogen-dioxide'), 2e6, say('limits.assumed-felt-from-250')),
} as const satisfies Record<string, LimitDefinition>;
