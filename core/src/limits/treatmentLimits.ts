import { say, type Said } from '../words/index.ts';
import type { LimitDefinition } from './limitDefinition.ts';

const minutes = (label: Said, value: number, reason: Said) =>
  ({
    label,
    unit: 'min',
    value,
    low: 1,
    high: 4320,
    group: 'price',
    reason,
  }) as const satisfies LimitDefinition;

const chance = (label: Said, value: number, reason: Said) =>
  ({
    label,
    unit: '%',
    value,
    low: 0,
    high: 100,
    group: 'choice',
    reason,
  }) as const satisfies LimitDefinition;

const price = (label: Said, unit: string, value: number, reason: Said) =>
  ({ label, unit, value, low: 0, high: 20_000, group: 'price', reason }) as const satisfies LimitDefinition;

/** What a treatment is chosen by, and what it takes. */
export const TREATMENT_LIMITS = {
  oilHoldsBurnPercent: {
    label: say('limits.chance-of-oil'),
    unit: '%',
    value: 20,
    low: 1,
    high: 100,
    group: 'treatment',
    reason: say('limits.oil-feeds-the-fire'),
  },
  counterTooLowPercent: {
    label: say('limits.soot-counter-that-agrees'),
    unit: '%',
    value: 50,
    low: 10,
    high: 400,
    group: 'treatment',
    reason: say('limits.it-narrows-the-pressure-estimate'),
  },
  sootAtHundredPercentGPerL: {
    label: say('limits.soot-at-a-fill-level'),
    unit: 'g/L',
    value: 4.5,
    low: 1,
    high: 12,
    group: 'treatment',
    reason: say('limits.the-ecu-regenerates-at-100'),
  },
  overFullPercent: {
    label: say('limits.scan-tool-fill-level-too'),
    unit: '%',
    value: 200,
    low: 100,
    high: 1000,
    group: 'treatment',
    reason: say('limits.at-100-a-regeneration'),
  },
  touchableC: {
    label: say('limits.filter-cold-enough-for-fluid'),
    unit: '°C',
    value: 45,
    low: 20,
    high: 80,
    group: 'treatment',
    reason: say('limits.hotter-fluid-boils-off-before'),
  },
  driveLoadGPerL: {
    label: say('limits.soot-that-a-drive-takes'),
    unit: 'g/L',
    value: 5,
    low: 1,
    high: 15,
    group: 'treatment',
    reason: say('limits.a-regeneration-is-due'),
  },
  regenerationDueGPerL: {
    label: say('limits.soot-by-the-pressure'),
    unit: 'g/L',
    value: 4,
    low: 1,
    high: 15,
    group: 'treatment',
    reason: say('limits.ecus-begin-one-at-3'),
  },
  worthAnotherPercent: {
    label: say('limits.another-flush-is-worthwhile-if'),
    unit: '%',
    value: 8,
    low: 1,
    high: 50,
    group: 'treatment',
    reason: say('limits.of-the-pressure-drop'),
  },
  scalesG: {
    label: say('limits.scales-for-the-filter-read'),
    unit: 'g',
    value: 5,
    low: 0.1,
    high: 100,
    group: 'treatment',
    reason: say('limits.smaller-changes-cannot-be-measured'),
  },
  burnTargetC: {
    label: say('limits.temperature-before-the-filter'),
    unit: '°C',
    value: 600,
    low: 450,
    high: 700,
    group: 'treatment',
    reason: say('limits.a-useful-regeneration-needs-550-650'),
  },
  burnOxygenPercent: {
    label: say('limits.oxygen-before-the-filter'),
    unit: '%',
    value: 10,
    low: 1,
    high: 21,
    group: 'treatment',
    reason: say('limits.with-fuel-dosed-into'),
  },
  curesDrivePercent: chance(
    say('limits.a-drive-cures-a-moderate'),
    80,
    say('limits.assumed-write-what-your-jobs'),
  ),
  curesStandingPercent: chance(
    say('limits.a-parked-regeneration-cures-soot'),
    85,
    say('limits.assumed-write-what-your-jobs'),
  ),
  curesChemicalPercent: chance(
    say('limits.a-chemical-clean-in-place'),
    88,
    say('limits.assumed-write-what-your-jobs'),
  ),
  curesOffVehiclePercent: chance(
    say('limits.an-off-vehicle-clean-cures'),
    94,
    say('limits.assumed-write-what-your-jobs'),
  ),
  curesExchangePercent: chance(
    say('limits.another-filter-cures'),
    98,
    say('limits.assumed-not-always-the-filter'),
  ),
  chemicalWithAshPercent: chance(
    say('limits.a-chemical-clean-in-place-is'),
    15,
    say('limits.it-takes-no-ash-but'),
  ),
  offVehicleWithAshPercent: chance(
    say('limits.an-off-vehicle-clean'),
    85,
    say('limits.assumed-the-scales-tell'),
  ),
  cleanAgainPercent: chance(say('limits.a-chemical-clean-done-once'), 55, say('limits.what-has-not-done')),
  believedProvenPercent: chance(
    say('limits.uncertainty-of-soot-by-pressure'),
    90,
    say('limits.it-may-be-ash'),
  ),
  believedUnprovenPercent: chance(
    say('limits.uncertainty-of-soot-by-pressure-sensor'),
    50,
    say('limits.the-sensor-may-lie'),
  ),
  leaveAlonePercent: chance(say('limits.leave-the-filter-alone'), 80, say('limits.then-to-do-nothing-comes')),
  driveAsLikelyPercent: chance(
    say('limits.a-drive-goes-before-standing'),
    75,
    say('limits.a-drive-cools-the-filter'),
  ),
  labourPerHour: price('Labour', '¤/h', 65, say('limits.made-up-starting-value-enter')),
  fluidPerL: price(say('limits.cleaning-fluid-mixed'), '¤/L', 14, say('limits.made-up-starting-value-enter')),
  fuelOfBurn: price(say('limits.fuel-for-a-regeneration'), '¤', 6, say('limits.three-litres')),
  offVehicleKit: price(say('limits.seals-clamps-and-fluid'), '¤', 85, say('limits.made-up-starting-value')),
  exchangeFilter: price(
    say('limits.another-filter-with-seals'),
    '¤',
    1150,
    say('limits.made-up-starting-value'),
  ),
  driveMinutes: minutes(say('limits.drive-regeneration'), 40, say('limits.two-people-15-20-min')),
  standingMinutes: minutes(
    say('limits.parked-regeneration-with-cool-down'),
    50,
    say('limits.heating-holding-and-cooling-watched'),
  ),
  chemicalMinutes: minutes(say('limits.chemical-clean-hands'), 60, say('limits.access-dosing-refit-warm-up')),
  chemicalDwellMin: minutes(
    say('limits.chemical-clean-dwell'),
    30,
    say('limits.common-the-fluids-sheet-wins'),
  ),
  offVehicleMinutes: minutes(
    say('limits.off-vehicle-clean-hands'),
    210,
    say('limits.off-soaked-rinsed-dried'),
  ),
  offVehicleSoakMin: minutes(say('limits.off-vehicle-clean-soak'), 720, say('limits.hours-to-overnight')),
  exchangeMinutes: minutes(say('limits.replacement-hands'), 150, say('limits.off-on-again-adaptation')),
} as const satisfies Record<string, LimitDefinition>;
