import { meterShows, type CheckValues } from '../index.ts';

const falling = (timeS: number): number[][] =>
  Array.from({ length: 40 }, (_, i) => [0.2 * i, 80 * Math.exp((-0.2 * i) / timeS)]);

const LADDER = [0, 250, 500, 750, 1000];

/** What is entered, and the outcome that it must have. */
export const CASES: readonly (readonly [check: string, outcome: string, values: CheckValues])[] = [
  ['dp-zero', 'zero-good', { restMbar: 3 }],
  ['dp-zero', 'zero-off', { restMbar: -14 }],
  ['dp-electrical', 'volts-good', { batteryV: 12.6, supplyV: 5, groundFromPlusV: 12.58, signalV: 0.5 }],
  ['dp-electrical', 'supply-bad', { batteryV: 12.6, supplyV: 4.2, groundFromPlusV: 12.6, signalV: 0.4 }],
  ['dp-electrical', 'ground-bad', { batteryV: 12.6, supplyV: 5, groundFromPlusV: 0, signalV: 4.9 }],
  ['dp-electrical', 'signal-dead', { batteryV: 12.6, supplyV: 5, groundFromPlusV: 12.6, signalV: 0.04 }],
  ['dp-ladder', 'ladder-good', { fullScaleMbar: 1000, rungs: LADDER.map((p) => [p, p + 5, p + 8]) }],
  ['dp-ladder', 'ladder-dead', { fullScaleMbar: 1000, rungs: LADDER.map((p) => [p, 12]) }],
  ['dp-ladder', 'ladder-gain', { fullScaleMbar: 1000, rungs: LADDER.map((p) => [p, 0.6 * p]) }],
  ['dp-ladder', 'ladder-offset', { fullScaleMbar: 1000, rungs: LADDER.map((p) => [p, p + 32]) }],
  ['dp-ladder', 'ladder-gain', { fullScaleMbar: 1000, rungs: LADDER.map((p) => [p, p]), lowPortMbar: 60 }],
  [
    'dp-swap',
    'swap-same',
    {
      pairs: [
        [0, 1, 0],
        [2500, 61, 60],
      ],
    },
  ],
  [
    'dp-swap',
    'swap-differs',
    {
      pairs: [
        [0, 0, 0],
        [2500, 12, 60],
      ],
    },
  ],
  ['hoses', 'hoses-good', { order: 'high', state: 'whole', backPipe: 'whole' }],
  ['hoses', 'hoses-crossed', { order: 'low', state: 'whole' }],
  ['hoses', 'hose-off', { order: 'high', state: 'split' }],
  ['hoses', 'pipe-cracked', { order: 'high', state: 'whole', backPipe: 'cracked' }],
  ['supply', 'supply-good', { batteryV: 12.4, firstV: 5.01, secondV: 5, groundFromPlusV: 12.38 }],
  ['supply', 'supply-weak', { batteryV: 12.4, firstV: 4.1, secondV: 4.1, groundFromPlusV: 12.38 }],
  [
    'pipe-response',
    'response-quick',
    { dpRelease: falling(0.3), backPressureRelease: falling(0.2), manifoldRelease: falling(0.3) },
  ],
  [
    'pipe-response',
    'manifold-still',
    {
      dpHoldMbar: 60,
      dpRelease: falling(0.3),
      manifoldHoldMbar: 1012,
      manifoldRelease: Array.from({ length: 8 }, (_, i) => [0.2 * i, 1012]),
    },
  ],
  [
    'pipe-response',
    'back-pressure-still',
    {
      dpHoldMbar: 60,
      dpRelease: falling(0.3),
      backPressureHoldMbar: 1000,
      backPressureRelease: Array.from({ length: 8 }, (_, i) => [0.2 * i, 1000]),
    },
  ],
  [
    'pipe-response',
    'manifold-slow',
    { dpRelease: falling(0.3), backPressureRelease: falling(0.2), manifoldRelease: falling(6) },
  ],
  ['pipe-response', 'high-slow', { dpRelease: falling(4), backPressureRelease: falling(0.2) }],
  ['pipe-response', 'back-pressure-slow', { dpRelease: falling(0.3), backPressureRelease: falling(5) }],
  [
    'pipe-response',
    'low-slow',
    { dpRelease: falling(4).map(([t = 0, v = 0]) => [t, -v]), backPressureRelease: falling(0.2) },
  ],
  [
    'pipe-pump',
    'pipes-open',
    {
      highStartMbar: 20,
      highLeftMbar: 0,
      lowStartMbar: 10,
      lowLeftMbar: 0,
      backStartMbar: 400,
      backLeftMbar: 0,
    },
  ],
  ['pipe-pump', 'high-holds', { highStartMbar: 400, highLeftMbar: 390 }],
  ['pipe-pump', 'low-holds', { highStartMbar: 20, highLeftMbar: 0, lowStartMbar: -400, lowLeftMbar: -350 }],
  ['absolute-agree', 'absolutes-agree', { barometerMbar: 1009, manifoldMbar: 1012, backPressureMbar: 1001 }],
  [
    'absolute-agree',
    'back-pressure-off',
    { barometerMbar: 1009, manifoldMbar: 1012, backPressureMbar: 1290 },
  ],
  ['absolute-agree', 'manifold-off', { barometerMbar: 1009, manifoldMbar: 760, backPressureMbar: 1001 }],
  ['absolute-agree', 'all-off', { barometerMbar: 1009, manifoldMbar: 1260, backPressureMbar: 1255 }],
  [
    'sensor-compare',
    'back-pressure-differs',
    {
      pairs: [
        [0, 1010, 1010],
        [2500, 1500, 1240],
      ],
    },
  ],
  [
    'sensor-compare',
    'compare-same',
    {
      pairs: [
        [0, 1010, 1010],
        [2500, 1252, 1240],
      ],
    },
  ],
  [
    'egt-cold-soak',
    'soak-alike',
    { hours: 9, egt1C: 12, egt2C: 13, egt3C: 12, egt4C: 12, coolantC: 12, intakeC: 12, ambientC: 11 },
  ],
  [
    'egt-cold-soak',
    'soak-egt3',
    { hours: 9, egt1C: 12, egt2C: 13, egt3C: 58, egt4C: 12, coolantC: 12, intakeC: 12, ambientC: 11 },
  ],
  [
    'egt-resistance',
    'egt3-bad',
    {
      kind: 'platinum',
      ambientC: 20,
      readings: [1, 2, 3, 4].map((n) => [n, meterShows('platinum', n === 3 ? 90 : 20, 20), 20]),
    },
  ],
  [
    'egt-resistance',
    'egt-good',
    {
      kind: 'thermocouple',
      ambientC: 20,
      readings: [1, 2, 3, 4].map((n) => [n, meterShows('thermocouple', 60, 20), 62]),
    },
  ],
  ['intake-smoke', 'smoke-before', { where: 'before' }],
  ['intake-smoke', 'smoke-behind', { where: 'behind' }],
  ['intake-smoke', 'intake-tight', { where: 'nowhere' }],
  ['air-mass', 'air-fits', { rpm: 2500, manifoldMbar: 1150, intakeC: 30, airGPerS: 47, egrPercent: 0 }],
  ['air-mass', 'air-low', { rpm: 2500, manifoldMbar: 1150, intakeC: 30, airGPerS: 26, egrPercent: 0 }],
  ['air-mass', 'air-high', { rpm: 2500, manifoldMbar: 1150, intakeC: 30, airGPerS: 72, egrPercent: 0 }],
  ['turbo', 'shaft-worn', { turns: 'wobbles', oil: 'wet' }],
  ['turbo', 'shaft-good', { turns: 'free' }],
  ['vane-sweep', 'vanes-move', { leastPercent: 3, mostPercent: 97 }],
  ['vane-sweep', 'vanes-still', { leastPercent: 8, mostPercent: 12 }],
  ['vane-sweep', 'vanes-still', { seen: 'sticks' }],
  ['egr', 'egr-good', { shutPercent: 2, openPercent: 92, behindC: 130, coolantC: 85, gasC: 265 }],
  ['egr', 'egr-open', { shutPercent: 40, behindC: 130, coolantC: 85, gasC: 265 }],
  ['egr', 'egr-shut', { shutPercent: 2, openPercent: 8 }],
  ['egr', 'egr-hot', { shutPercent: 2, openPercent: 92, behindC: 240, coolantC: 85, gasC: 320 }],
  ['dosing-injector', 'dosing-blocked', { passage: 'narrow' }],
  ['dosing-injector', 'dosing-sprays', { passage: 'clear' }],
  [
    'glow',
    'glow-good',
    {
      plugs: [
        [1, 0.6],
        [2, 0.7],
        [3, 0.6],
        [4, 0.7],
      ],
      preheatV: 11.4,
    },
  ],
  [
    'glow',
    'glow-bad',
    {
      plugs: [
        [1, 0.6],
        [2, 99999],
        [3, 0.6],
        [4, 0.7],
      ],
      preheatV: 11.4,
    },
  ],
  ['glow', 'glow-bad', { preheatV: 0 }],
  ['oil', 'oil-good', { level: 0.8, sumpL: 5, lifePercent: 60, smell: 'oil' }],
  ['oil', 'oil-diluted', { level: 1.6, sumpL: 5, lifePercent: 60 }],
  ['oil', 'counter-zero', { level: 0.8, sumpL: 5, lifePercent: 0 }],
  [
    'thermostat',
    'coolant-warm',
    {
      coolant: [
        [0, 86],
        [60, 86],
        [120, 87],
        [180, 86],
      ],
    },
  ],
  [
    'thermostat',
    'coolant-cool',
    {
      coolant: [
        [0, 70],
        [60, 70],
        [120, 70],
        [180, 70],
      ],
    },
  ],
  [
    'injectors',
    'injector-leaks',
    {
      quantities: [
        [1, 20],
        [2, 21],
        [3, 34],
        [4, 20],
      ],
    },
  ],
  [
    'injectors',
    'injectors-good',
    {
      quantities: [
        [1, 20],
        [2, 21],
        [3, 20],
        [4, 19],
      ],
    },
  ],
  ['fuel-level', 'fuel-under', { fuelPercent: 8 }],
  ['fuel-level', 'fuel-enough', { fuelPercent: 40 }],
  ['use-history', 'use-slow', { distanceKm: 90_000, hours: 4100 }],
  ['use-history', 'use-fits', { distanceKm: 90_000, hours: 2100 }],
  ['gauge', 'gauge-high', { port: 'before-filter', rpm: 2500, meanMbar: 420 }],
  ['gauge', 'gauge-low', { port: 'before-filter', rpm: 2500, lowMbar: 30, highMbar: 90 }],
  [
    'sections',
    'section-catalyst',
    { rpm: 2500, closedMbar: 420, afterFilterMbar: 400, beforeFilterMbar: 360 },
  ],
  ['sections', 'section-behind', { rpm: 2500, closedMbar: 420, afterFilterMbar: 90, beforeFilterMbar: 20 }],
  ['sections', 'section-filter', { rpm: 2500, closedMbar: 420, afterFilterMbar: 400, beforeFilterMbar: 20 }],
  ['sections', 'no-section', { rpm: 2500, closedMbar: 50, afterFilterMbar: 40, beforeFilterMbar: 12 }],
  ['filter-look', 'outlet-sooty', { outlet: 'sooty', inlet: 'dry', powder: 'little' }],
  ['filter-look', 'inlet-oily', { outlet: 'clean', inlet: 'oily', powder: 'little' }],
  ['filter-look', 'inlet-ash', { outlet: 'clean', inlet: 'dry', powder: 'much' }],
  ['filter-look', 'faces-good', { outlet: 'clean', inlet: 'dry', powder: 'little' }],
  ['counter', 'counter-low', { counterG: 2 }],
  ['counter', 'counter-reset', { counterG: 0.2, sinceRegenKm: 240 }],
  ['counter', 'counter-reset', { counterG: 5, sinceRegenKm: 240, sinceResetKm: 12 }],
  ['counter', 'counter-high', { counterG: 80 }],
  ['counter', 'counter-fits', { counterG: 26 }],
  ['intake-look', 'duct-split', { duct: 'split', charge: 'whole' }],
  ['intake-look', 'charge-split', { duct: 'whole', charge: 'split' }],
  ['intake-look', 'duct-whole', { duct: 'whole', charge: 'whole' }],
  ['fuses', 'relay-burnt', { fuses: 'whole', relay: 'burnt' }],
  ['fuses', 'fuse-blown', { fuses: 'blown', relay: 'sound' }],
  ['fuses', 'fuses-good', { fuses: 'whole', relay: 'sound' }],
  ['tailpipe', 'tailpipe-sooty', { inside: 'sooty' }],
  ['tailpipe', 'tailpipe-oily', { inside: 'oily' }],
  ['tailpipe', 'tailpipe-clean', { inside: 'clean' }],
  ['oil-film', 'turbine-oily', { film: 'wet' }],
  ['oil-film', 'turbine-dry', { film: 'dry' }],
  [
    'running-comparison',
    'back-pressure-blind',
    { manifoldRestMbar: 1008, backRestMbar: 1009, manifoldHoldMbar: 1160, backHoldMbar: 1014 },
  ],
  [
    'running-comparison',
    'comparison-fits',
    { manifoldRestMbar: 1008, backRestMbar: 1009, manifoldHoldMbar: 1160, backHoldMbar: 1290 },
  ],
  ['single-piece', 'piece-high-shut', { high: 'shut', low: 'open', 'back-pressure': 'open' }],
  ['single-piece', 'piece-low-shut', { high: 'open', low: 'shut', 'back-pressure': 'open' }],
  ['single-piece', 'piece-back-pressure-shut', { high: 'open', low: 'open', 'back-pressure': 'shut' }],
  ['single-piece', 'piece-open', { high: 'open', low: 'open', 'back-pressure': 'open' }],
];
