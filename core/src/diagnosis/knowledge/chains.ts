import type { CauseId } from './causes.ts';

export interface Chain {
  readonly cause: CauseId;
  readonly consequence: CauseId;
  /** What goes on between, step by step. */
  readonly steps: readonly string[];
}

/**
 * How one cause brings another about. What stands at the end of a chain is repaired in vain while its beginning is left, and is no
 * second thing that is wrong by chance.
 */
export const CONSEQUENCE_CHAINS: readonly Chain[] = [
  {
    cause: 'short-trips',
    consequence: 'soot-loaded',
    steps: ['it never gets hot enough to regenerate'],
  },
  {
    cause: 'charge-leak',
    consequence: 'soot-loaded',
    steps: ['air is lost after the compressor', 'too little air', 'soot'],
  },
  {
    cause: 'intake-leak',
    consequence: 'soot-loaded',
    steps: ['uncounted air', 'EGR and fuelling are set wrong', 'soot, and the code inhibits regeneration'],
  },
  {
    cause: 'air-meter-failed',
    consequence: 'soot-loaded',
    steps: ['the air is counted wrong', 'EGR and fuelling are set wrong', 'soot'],
  },
  {
    cause: 'turbocharger-worn',
    consequence: 'soot-loaded',
    steps: ['too little boost', 'too little air', 'soot'],
  },
  {
    cause: 'vanes-stuck',
    consequence: 'soot-loaded',
    steps: ['boost comes late or not at all', 'too little air', 'soot'],
  },
  {
    cause: 'egr-stuck-open',
    consequence: 'soot-loaded',
    steps: ['exhaust gas displaces air', 'too little oxygen', 'soot'],
  },
  {
    cause: 'egr-cooler-fouled',
    consequence: 'soot-loaded',
    steps: ['EGR gas returns hot and thin', 'less air', 'soot'],
  },
  {
    cause: 'injector-over-fuelling',
    consequence: 'soot-loaded',
    steps: ['too much fuel, badly mixed', 'soot'],
  },
  { cause: 'oil-in-exhaust', consequence: 'ash-full', steps: ['burnt oil leaves its ash in the filter'] },
  { cause: 'oil-in-exhaust', consequence: 'soot-loaded', steps: ['oil burns with smoke and wets the soot'] },
  {
    cause: 'dosing-injector-blocked',
    consequence: 'soot-loaded',
    steps: ['no fuel reaches the exhaust', 'a regeneration does not get hot', 'soot stays'],
  },
  {
    cause: 'glow-plugs-failed',
    consequence: 'soot-loaded',
    steps: ['the preheat fault inhibits regeneration', 'soot stays'],
  },
  {
    cause: 'thermostat-stuck-open',
    consequence: 'soot-loaded',
    steps: ['the coolant stays too cool', 'regeneration is inhibited', 'soot stays'],
  },
  {
    cause: 'oil-counter',
    consequence: 'soot-loaded',
    steps: ['the counter or the diluted oil inhibits regeneration', 'soot stays'],
  },
  {
    cause: 'fuel-low',
    consequence: 'soot-loaded',
    steps: ['too little fuel in the tank inhibits regeneration', 'soot stays'],
  },
  {
    cause: 'egt1-failed',
    consequence: 'soot-loaded',
    steps: ['the temperature is not known', 'regeneration is inhibited', 'soot stays'],
  },
  {
    cause: 'egt2-failed',
    consequence: 'soot-loaded',
    steps: ['the temperature is not known', 'regeneration is inhibited', 'soot stays'],
  },
  {
    cause: 'egt3-failed',
    consequence: 'soot-loaded',
    steps: ['the temperature before the filter is not known', 'regeneration is inhibited', 'soot stays'],
  },
  {
    cause: 'egt4-failed',
    consequence: 'soot-loaded',
    steps: ['the temperature is not known', 'regeneration is inhibited', 'soot stays'],
  },
  {
    cause: 'sensor-wiring',
    consequence: 'soot-loaded',
    steps: ['sensors read wrong together', 'regeneration is inhibited', 'soot stays'],
  },
  {
    cause: 'dp-sensor-failed',
    consequence: 'soot-loaded',
    steps: ['the pressure is not trusted', 'regeneration is inhibited', 'soot stays'],
  },
  {
    cause: 'manifold-sensor-failed',
    consequence: 'soot-loaded',
    steps: ['the air is calculated wrong', 'soot'],
  },
  {
    cause: 'back-pressure-sensor-failed',
    consequence: 'soot-loaded',
    steps: ['its code inhibits regeneration', 'soot stays'],
  },
  {
    cause: 'dp-sensor-failed',
    consequence: 'counter-not-reset',
    steps: ['the ECU counts by a false pressure', 'the counter is too high'],
  },
  {
    cause: 'sensor-wiring',
    consequence: 'counter-not-reset',
    steps: ['the ECU counts by a false pressure', 'the counter is too high'],
  },
  {
    cause: 'soot-loaded',
    consequence: 'oil-counter',
    steps: ['repeated failed regenerations put fuel into the oil'],
  },
  {
    cause: 'dosing-injector-blocked',
    consequence: 'oil-counter',
    steps: ['regenerations that never finish put fuel into the oil'],
  },
  {
    cause: 'downstream-restricted',
    consequence: 'back-pressure-sensor-failed',
    steps: ['pressure before the turbo exceeds the sensor’s range'],
  },
  {
    cause: 'catalyst-restricted',
    consequence: 'back-pressure-sensor-failed',
    steps: ['pressure before the turbo exceeds the sensor’s range'],
  },
  {
    cause: 'soot-loaded',
    consequence: 'back-pressure-sensor-failed',
    steps: ['pressure before the turbo exceeds the sensor’s range'],
  },
  {
    cause: 'back-pressure-pipe-blocked',
    consequence: 'vanes-stuck',
    steps: ['the ECU does not see the pressure; the vanes hardly move and soot up'],
  },
  {
    cause: 'back-pressure-sensor-failed',
    consequence: 'vanes-stuck',
    steps: ['the ECU does not see the pressure; the vanes hardly move and soot up'],
  },
  {
    cause: 'back-pressure-pipe-blocked',
    consequence: 'soot-loaded',
    steps: ['boost and EGR are set blindly; soot'],
  },
  {
    cause: 'injector-over-fuelling',
    consequence: 'oil-counter',
    steps: ['unburnt fuel runs down the cylinder into the oil'],
  },
];

/** Causes that no check tells apart and that one repair ends: the others count as the first. */
export const ALIKE: readonly { readonly causes: readonly [CauseId, ...CauseId[]]; readonly why: string }[] = [
  {
    causes: ['dp-sensor-failed', 'dp-sensor-wrong'],
    why: 'a worn slope and a wrong range look alike at the pump; a new sensor fixes both',
  },
];
