export interface LimitDefinition {
  readonly label: string;
  readonly unit: string;
  readonly value: number;
  /** Range in which an edited value is accepted. */
  readonly low: number;
  readonly high: number;
  readonly group: 'pressure' | 'proof' | 'sensor' | 'readiness' | 'assumption';
  readonly reason: string;
}

/**
 * Every limit by which the application judges, with its starting value and the reason for it. A workshop edits them
 * in its limits profiles, per engine family; nothing else in the code carries a limit of its own.
 */
export const LIMIT_DEFINITIONS = {
  dpIdleGoodMbar: {
    label: 'ΔP at warm idle, good up to',
    unit: 'mbar',
    value: 10,
    low: 0,
    high: 200,
    group: 'pressure',
    reason: 'Working rule for light vehicles, warm, no load; schools differ between 2 and 20 mbar.',
  },
  dpIdleBlockedMbar: {
    label: 'ΔP at warm idle, blocked above',
    unit: 'mbar',
    value: 20,
    low: 0,
    high: 400,
    group: 'pressure',
    reason: 'Twice the good limit; above this no light vehicle filter in service is merely loaded.',
  },
  dp2500GoodMbar: {
    label: 'ΔP at 2500 rpm, good up to',
    unit: 'mbar',
    value: 60,
    low: 1,
    high: 1000,
    group: 'pressure',
    reason: 'The 3000 rpm limit brought to the smaller flow at 2500 rpm.',
  },
  dp3000GoodMbar: {
    label: 'ΔP at 3000 rpm, good up to',
    unit: 'mbar',
    value: 80,
    low: 1,
    high: 1000,
    group: 'pressure',
    reason:
      'Working rule, no load; a small or clean filter reads much less, so the restriction ratio stands beside it.',
  },
  dp3000BlockedMbar: {
    label: 'ΔP at 3000 rpm, blocked above',
    unit: 'mbar',
    value: 150,
    low: 1,
    high: 2000,
    group: 'pressure',
    reason: 'Working rule, no load; 100 mbar is still tolerated.',
  },
  restrictionGoodRatio: {
    label: 'Restriction ratio, good up to',
    unit: '× clean',
    value: 2.5,
    low: 1,
    high: 20,
    group: 'pressure',
    reason: 'A filter cleaned in place keeps some ash and a first soot layer; 1 is a filter without either.',
  },
  restrictionImplausibleRatio: {
    label: 'Restriction ratio, not to be believed below',
    unit: '× clean',
    value: 0.5,
    low: 0.05,
    high: 1,
    group: 'pressure',
    reason:
      'Less than half of what a clean filter shows points to a sensor, hose, cracked filter or wrong size.',
  },
  removedProvedPercent: {
    label: 'Fall of ΔP that counts as a result, at least',
    unit: '%',
    value: 25,
    low: 1,
    high: 95,
    group: 'proof',
    reason:
      'Below a quarter the difference between two pedal holds and two temperatures is not told apart from a cure.',
  },
  sootAfterCleanG: {
    label: 'Soot by pressure after a good clean, up to',
    unit: 'g',
    value: 6,
    low: 0,
    high: 60,
    group: 'proof',
    reason: 'Working rule for light vehicle filters.',
  },
  sootHighG: {
    label: 'Soot value, high above',
    unit: 'g',
    value: 40,
    low: 1,
    high: 400,
    group: 'pressure',
    reason: 'About 14 g/L in a 2.9 L filter, well beyond any regeneration threshold.',
  },
  sootLowForDisagreementG: {
    label: 'Soot value too low for a blocked filter, below',
    unit: 'g',
    value: 15,
    low: 0,
    high: 100,
    group: 'pressure',
    reason:
      'With pressure above the blocked limit such a counter was reset, or ash or a sensor is behind it.',
  },
  dpZeroOffsetMbar: {
    label: 'Zero of the ΔP sensor, off beyond ±',
    unit: 'mbar',
    value: 10,
    low: 0.5,
    high: 100,
    group: 'sensor',
    reason: 'Common specification ±20, good practice ±5; the measured zero is always subtracted.',
  },
  dpZeroDoubtMbar: {
    label: 'Doubt of the ΔP zero where none was read, ±',
    unit: 'mbar',
    value: 5,
    low: 0,
    high: 50,
    group: 'sensor',
    reason: 'Good practice keeps a differential sensor within ±5 mbar; the interval is widened by it.',
  },
  dpStuckHighMbar: {
    label: 'ΔP sensor stuck, frozen above',
    unit: 'mbar',
    value: 10,
    low: 1,
    high: 1000,
    group: 'sensor',
    reason: 'A frozen value above the good idle limit, with the engine off too, is no pressure.',
  },
  dpLowForFlowMbar: {
    label: 'ΔP in a hold, not to be believed below',
    unit: 'mbar',
    value: 3,
    low: 0,
    high: 20,
    group: 'sensor',
    reason: 'Where the filter size is unknown: no sound filter of a light vehicle reads less in a hold.',
  },
  dpFallingDropMbar: {
    label: 'ΔP falling during one hold, by more than',
    unit: 'mbar',
    value: 100,
    low: 5,
    high: 1000,
    group: 'pressure',
    reason: 'Far beyond the wander of a pedal hold; the filter is opening while it is held.',
  },
  dpFallingDropPercent: {
    label: 'ΔP falling during one hold, by more than',
    unit: '%',
    value: 50,
    low: 5,
    high: 95,
    group: 'pressure',
    reason: 'Goes with the fall in mbar; both must be passed.',
  },
  mafToSpeedDensityLow: {
    label: 'Air meter against speed–density, low below',
    unit: 'ratio',
    value: 0.7,
    low: 0.1,
    high: 1,
    group: 'sensor',
    reason: 'Recirculation and breathing explain up to some 25 %; more is air that passes the meter by.',
  },
  mafToSpeedDensityHigh: {
    label: 'Air meter against speed–density, high above',
    unit: 'ratio',
    value: 1.3,
    low: 1,
    high: 5,
    group: 'sensor',
    reason: 'More air metered than the engine can take in at this manifold pressure: lost after the meter.',
  },
  volumetricEfficiency: {
    label: 'Volumetric efficiency assumed',
    unit: 'ratio',
    value: 0.87,
    low: 0.4,
    high: 1.2,
    group: 'assumption',
    reason: 'Two- and four-valve diesels without load lie at 0.82–0.92.',
  },
  airFuelRatioUnloaded: {
    label: 'Air to fuel without load assumed',
    unit: 'ratio',
    value: 52,
    low: 14,
    high: 120,
    group: 'assumption',
    reason: 'A diesel revved without load runs at 45–60; fuel then adds 2 % to the exhaust.',
  },
  filterTempIdleC: {
    label: 'Filter temperature at idle where none was read',
    unit: '°C',
    value: 130,
    low: 20,
    high: 700,
    group: 'assumption',
    reason: 'Warm engine, some minutes of idle.',
  },
  filterTempHoldC: {
    label: 'Filter temperature in a hold where none was read',
    unit: '°C',
    value: 210,
    low: 20,
    high: 700,
    group: 'assumption',
    reason: 'Warm engine, a minute at 2500–3000 rpm without load.',
  },
  handSpreadPercent: {
    label: 'Doubt of a figure read by eye, ±',
    unit: '%',
    value: 4,
    low: 0,
    high: 30,
    group: 'assumption',
    reason: 'A value wanders with the foot by a few per cent while one figure is written down.',
  },
  coolantWarmC: {
    label: 'Coolant, warm enough to judge from',
    unit: '°C',
    value: 78,
    low: 40,
    high: 110,
    group: 'readiness',
    reason: 'Below 78–80 °C idle flow and exhaust temperature are not those of a warm engine.',
  },
} as const satisfies Record<string, LimitDefinition>;

export type LimitId = keyof typeof LIMIT_DEFINITIONS;
export const LIMIT_IDS = Object.keys(LIMIT_DEFINITIONS) as LimitId[];
