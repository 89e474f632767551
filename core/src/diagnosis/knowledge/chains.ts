import type { CauseId } from './causes.ts';

export interface Chain {
  readonly cause: CauseId;
  readonly consequence: CauseId;
}

/**
 * How one cause brings another about. What stands at the end of a chain is repaired in vain while its beginning is left, and is no
 * second thing that is wrong by chance.
 */
export const CONSEQUENCE_CHAINS: readonly Chain[] = [
  {
    cause: 'short-trips',
    consequence: 'soot-loaded',
  },
  {
    cause: 'charge-leak',
    consequence: 'soot-loaded',
  },
  {
    cause: 'intake-leak',
    consequence: 'soot-loaded',
  },
  {
    cause: 'air-meter-failed',
    consequence: 'soot-loaded',
  },
  {
    cause: 'turbocharger-worn',
    consequence: 'soot-loaded',
  },
  {
    cause: 'vanes-stuck',
    consequence: 'soot-loaded',
  },
  {
    cause: 'egr-stuck-open',
    consequence: 'soot-loaded',
  },
  {
    cause: 'egr-cooler-fouled',
    consequence: 'soot-loaded',
  },
  {
    cause: 'injector-over-fuelling',
    consequence: 'soot-loaded',
  },
  { cause: 'oil-in-exhaust', consequence: 'ash-full' },
  { cause: 'oil-in-exhaust', consequence: 'soot-loaded' },
  {
    cause: 'dosing-injector-blocked',
    consequence: 'soot-loaded',
  },
  {
    cause: 'glow-plugs-failed',
    consequence: 'soot-loaded',
  },
  {
    cause: 'thermostat-stuck-open',
    consequence: 'soot-loaded',
  },
  {
    cause: 'oil-counter',
    consequence: 'soot-loaded',
  },
  {
    cause: 'fuel-low',
    consequence: 'soot-loaded',
  },
  {
    cause: 'egt1-failed',
    consequence: 'soot-loaded',
  },
  {
    cause: 'egt2-failed',
    consequence: 'soot-loaded',
  },
  {
    cause: 'egt3-failed',
    consequence: 'soot-loaded',
  },
  {
    cause: 'egt4-failed',
    consequence: 'soot-loaded',
  },
  {
    cause: 'sensor-wiring',
    consequence: 'soot-loaded',
  },
  {
    cause: 'dp-sensor-failed',
    consequence: 'soot-loaded',
  },
  {
    cause: 'manifold-sensor-failed',
    consequence: 'soot-loaded',
  },
  {
    cause: 'back-pressure-sensor-failed',
    consequence: 'soot-loaded',
  },
  {
    cause: 'dp-sensor-failed',
    consequence: 'counter-not-reset',
  },
  {
    cause: 'sensor-wiring',
    consequence: 'counter-not-reset',
  },
  {
    cause: 'soot-loaded',
    consequence: 'oil-counter',
  },
  {
    cause: 'dosing-injector-blocked',
    consequence: 'oil-counter',
  },
  {
    cause: 'downstream-restricted',
    consequence: 'back-pressure-sensor-failed',
  },
  {
    cause: 'catalyst-restricted',
    consequence: 'back-pressure-sensor-failed',
  },
  {
    cause: 'soot-loaded',
    consequence: 'back-pressure-sensor-failed',
  },
  {
    cause: 'back-pressure-pipe-blocked',
    consequence: 'vanes-stuck',
  },
  {
    cause: 'back-pressure-sensor-failed',
    consequence: 'vanes-stuck',
  },
  {
    cause: 'back-pressure-pipe-blocked',
    consequence: 'soot-loaded',
  },
  {
    cause: 'injector-over-fuelling',
    consequence: 'oil-counter',
  },
];

/** Causes that no check tells apart and that one repair ends: the others count as the first. */
export const ALIKE: readonly { readonly causes: readonly [CauseId, ...CauseId[]]; readonly why: string }[] = [
  {
    causes: ['dp-sensor-failed', 'dp-sensor-wrong'],
    why: 'a worn slope and a wrong range look alike at the pump; a new sensor fixes both',
  },
];
