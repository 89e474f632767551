import type { CheckId } from '../../checks/index.ts';

/**
 * The sensible order of a printed checklist: looks that cost nothing, then live data, then meter, pump and known-good
 * parts, then strip-down. What the recommended order is measured against; it stands here unchanged since before the first
 * measurement.
 */
export const FIXED_CHECKLIST: readonly CheckId[] = [
  'fuel-level',
  'use-history',
  'oil',
  'hoses',
  'dp-zero',
  'counter',
  'absolute-agree',
  'pipe-response',
  'air-mass',
  'thermostat',
  'egt-cold-soak',
  'supply',
  'dp-electrical',
  'vane-sweep',
  'egr',
  'pipe-pump',
  'dp-ladder',
  'glow',
  'intake-smoke',
  'egt-resistance',
  'turbo',
  'dp-swap',
  'sensor-compare',
  'gauge',
  'injectors',
  'sections',
  'dosing-injector',
  'filter-look',
];
