import type { LimitDefinition } from './limitDefinition.ts';

const minutes = (label: string, value: number, reason: string) =>
  ({
    label,
    unit: 'min',
    value,
    low: 1,
    high: 4320,
    group: 'price',
    reason,
  }) as const satisfies LimitDefinition;

const chance = (label: string, value: number, reason: string) =>
  ({
    label,
    unit: '%',
    value,
    low: 0,
    high: 100,
    group: 'choice',
    reason,
  }) as const satisfies LimitDefinition;

const price = (label: string, unit: string, value: number, reason: string) =>
  ({ label, unit, value, low: 0, high: 20_000, group: 'price', reason }) as const satisfies LimitDefinition;

/** What a treatment is chosen by, and what it takes. */
export const TREATMENT_LIMITS = {
  oilHoldsBurnPercent: {
    label: 'Chance of oil in the exhaust that blocks a regeneration, above',
    unit: '%',
    value: 20,
    low: 1,
    high: 100,
    group: 'treatment',
    reason: 'Oil feeds the fire and cannot be stopped; a look at the inlet face settles it.',
  },
  counterTooLowPercent: {
    label: 'Soot counter that agrees with the pressure may be too low by',
    unit: '%',
    value: 50,
    low: 10,
    high: 400,
    group: 'treatment',
    reason: 'It narrows the pressure estimate; a regeneration is judged by the upper end.',
  },
  overFullPercent: {
    label: 'Scan tool fill level too high to regenerate, from',
    unit: '%',
    value: 200,
    low: 100,
    high: 1000,
    group: 'treatment',
    reason: 'At 100 % a regeneration is asked for; at twice that the bed may melt.',
  },
  touchableC: {
    label: 'Filter cold enough for fluid and spanners, up to',
    unit: '°C',
    value: 45,
    low: 20,
    high: 80,
    group: 'treatment',
    reason: 'Hotter, fluid boils off before it soaks, and hands burn. The fluid’s sheet may allow more.',
  },
  driveLoadGPerL: {
    label: 'Soot that a drive takes off by itself, up to',
    unit: 'g/L',
    value: 5,
    low: 1,
    high: 15,
    group: 'treatment',
    reason: 'A regeneration is due at 3–5 g/L; above it one drive seldom does.',
  },
  regenerationDueGPerL: {
    label: 'Soot by the pressure, a regeneration is due from',
    unit: 'g/L',
    value: 4,
    low: 1,
    high: 15,
    group: 'treatment',
    reason: 'ECUs begin one at 3–5 g/L.',
  },
  worthAnotherPercent: {
    label: 'Another flush is worthwhile if it should remove at least',
    unit: '%',
    value: 8,
    low: 1,
    high: 50,
    group: 'treatment',
    reason: 'Of the pressure drop that is left; two holds by foot differ by about as much.',
  },
  scalesG: {
    label: 'Scales for the filter read to',
    unit: 'g',
    value: 5,
    low: 0.1,
    high: 100,
    group: 'treatment',
    reason: 'Smaller changes cannot be measured; enter your scales’ resolution.',
  },
  burnTargetC: {
    label: 'Temperature before the filter in a planned regeneration',
    unit: '°C',
    value: 600,
    low: 450,
    high: 700,
    group: 'treatment',
    reason: 'A useful regeneration needs 550–650 °C before the filter.',
  },
  burnOxygenPercent: {
    label: 'Oxygen before the filter in a planned regeneration',
    unit: '%',
    value: 10,
    low: 1,
    high: 21,
    group: 'treatment',
    reason: 'With fuel dosed into the exhaust; seldom measured, so it is assumed.',
  },
  curesDrivePercent: chance(
    'A drive cures a moderate soot load in',
    80,
    'Assumed; write what your jobs show.',
  ),
  curesStandingPercent: chance(
    'A parked regeneration cures soot in',
    85,
    'Assumed; write what your jobs show.',
  ),
  curesChemicalPercent: chance(
    'A chemical clean in place cures soot in',
    88,
    'Assumed; write what your jobs show.',
  ),
  curesOffVehiclePercent: chance(
    'An off-vehicle clean cures soot in',
    94,
    'Assumed; write what your jobs show.',
  ),
  curesExchangePercent: chance('Another filter cures in', 98, 'Assumed: not always the filter.'),
  chemicalWithAshPercent: chance(
    'A chemical clean in place is enough with ash in',
    15,
    'It takes no ash, but the soot on it.',
  ),
  offVehicleWithAshPercent: chance(
    'An off-vehicle clean is enough with ash in',
    85,
    'Assumed; the scales tell.',
  ),
  cleanAgainPercent: chance(
    'A chemical clean done once more does, of the first time',
    55,
    'What has not done it seldom does it the next time.',
  ),
  believedProvenPercent: chance(
    'Uncertainty of soot by pressure, sensor proved',
    90,
    'It may be ash or a crack.',
  ),
  believedUnprovenPercent: chance(
    'Uncertainty of soot by pressure, sensor not proved',
    50,
    'The sensor may lie.',
  ),
  leaveAlonePercent: chance(
    'Leave the filter alone where it is sound by at least',
    80,
    'Then to do nothing comes first.',
  ),
  driveAsLikelyPercent: chance(
    'A drive goes before standing from this share of its chance',
    75,
    'A drive cools the filter, though two sit in it.',
  ),
  labourPerHour: price('Labour', '€/h', 65, 'Made-up starting value: enter your own.'),
  fluidPerL: price('Cleaning fluid, mixed', '€/L', 14, 'Made-up starting value: enter your own.'),
  fuelOfBurn: price('Fuel for a regeneration', '€', 6, 'Three litres or so.'),
  offVehicleKit: price('Seals, clamps and fluid of an off-vehicle clean', '€', 85, 'Made-up starting value.'),
  exchangeFilter: price('Another filter with seals', '€', 1150, 'Made-up starting value.'),
  driveMinutes: minutes('Drive regeneration', 40, 'Two people, 15–20 min at speed and the way there.'),
  standingMinutes: minutes(
    'Parked regeneration with cool-down',
    50,
    'Heating, holding and cooling, watched.',
  ),
  chemicalMinutes: minutes('Chemical clean, hands on', 60, 'Access, dosing, refit, warm-up and reading.'),
  chemicalDwellMin: minutes('Chemical clean, dwell', 30, 'Common; the fluid’s sheet wins.'),
  offVehicleMinutes: minutes('Off-vehicle clean, hands on', 210, 'Off, soaked, rinsed, dried, on again.'),
  offVehicleSoakMin: minutes('Off-vehicle clean, soak and dry', 720, 'Hours to overnight.'),
  exchangeMinutes: minutes('Replacement, hands on', 150, 'Off, on again, adaptation.'),
} as const satisfies Record<string, LimitDefinition>;
