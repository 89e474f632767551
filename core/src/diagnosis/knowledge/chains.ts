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
    steps: ['it never gets hot enough to burn off what it collects'],
  },
  {
    cause: 'charge-leak',
    consequence: 'soot-loaded',
    steps: ['air is lost behind the compressor', 'too little air', 'soot'],
  },
  {
    cause: 'intake-leak',
    consequence: 'soot-loaded',
    steps: [
      'air that is not counted',
      'recirculation and fuel are set wrongly',
      'soot, and the code holds regeneration off',
    ],
  },
  {
    cause: 'air-meter-failed',
    consequence: 'soot-loaded',
    steps: ['the air is counted wrongly', 'recirculation and fuel are set wrongly', 'soot'],
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
    steps: ['exhaust gas takes the place of air', 'too little oxygen', 'soot'],
  },
  {
    cause: 'egr-cooler-fouled',
    consequence: 'soot-loaded',
    steps: ['recirculated gas comes back hot and thin', 'less air', 'soot'],
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
    steps: ['no fuel comes into the exhaust', 'a regeneration does not get hot', 'soot stays'],
  },
  {
    cause: 'glow-plugs-failed',
    consequence: 'soot-loaded',
    steps: ['the preheat fault holds regeneration off', 'soot stays'],
  },
  {
    cause: 'thermostat-stuck-open',
    consequence: 'soot-loaded',
    steps: ['the coolant stays too cool', 'regeneration is held off', 'soot stays'],
  },
  {
    cause: 'oil-counter',
    consequence: 'soot-loaded',
    steps: ['the counter or the diluted oil holds regeneration off', 'soot stays'],
  },
  {
    cause: 'fuel-low',
    consequence: 'soot-loaded',
    steps: ['too little fuel in the tank holds regeneration off', 'soot stays'],
  },
  {
    cause: 'egt1-failed',
    consequence: 'soot-loaded',
    steps: ['the temperature is not known', 'regeneration is held off', 'soot stays'],
  },
  {
    cause: 'egt2-failed',
    consequence: 'soot-loaded',
    steps: ['the temperature is not known', 'regeneration is held off', 'soot stays'],
  },
  {
    cause: 'egt3-failed',
    consequence: 'soot-loaded',
    steps: ['the temperature before the filter is not known', 'regeneration is held off', 'soot stays'],
  },
  {
    cause: 'egt4-failed',
    consequence: 'soot-loaded',
    steps: ['the temperature is not known', 'regeneration is held off', 'soot stays'],
  },
  {
    cause: 'sensor-wiring',
    consequence: 'soot-loaded',
    steps: ['sensors read wrong together', 'regeneration is held off', 'soot stays'],
  },
  {
    cause: 'dp-sensor-failed',
    consequence: 'soot-loaded',
    steps: ['the pressure is not believed', 'regeneration is held off', 'soot stays'],
  },
  {
    cause: 'manifold-sensor-failed',
    consequence: 'soot-loaded',
    steps: ['the air is reckoned wrongly', 'soot'],
  },
  {
    cause: 'back-pressure-sensor-failed',
    consequence: 'soot-loaded',
    steps: ['its code holds regeneration off', 'soot stays'],
  },
  {
    cause: 'dp-sensor-failed',
    consequence: 'counter-not-reset',
    steps: ['the computer counts by a pressure that is not there', 'the counter stands too high'],
  },
  {
    cause: 'sensor-wiring',
    consequence: 'counter-not-reset',
    steps: ['the computer counts by a pressure that is not there', 'the counter stands too high'],
  },
  {
    cause: 'soot-loaded',
    consequence: 'oil-counter',
    steps: ['one failed regeneration after the other puts fuel into the oil'],
  },
  {
    cause: 'dosing-injector-blocked',
    consequence: 'oil-counter',
    steps: ['regenerations that do not end put fuel into the oil'],
  },
  {
    cause: 'downstream-restricted',
    consequence: 'back-pressure-sensor-failed',
    steps: ['more stands before the turbine than the sensor is made for'],
  },
  {
    cause: 'catalyst-restricted',
    consequence: 'back-pressure-sensor-failed',
    steps: ['more stands before the turbine than the sensor is made for'],
  },
  {
    cause: 'soot-loaded',
    consequence: 'back-pressure-sensor-failed',
    steps: ['more stands before the turbine than the sensor is made for'],
  },
  {
    cause: 'back-pressure-pipe-blocked',
    consequence: 'vanes-stuck',
    steps: ['the computer does not see the pressure; the vanes are hardly moved and soot up'],
  },
  {
    cause: 'back-pressure-sensor-failed',
    consequence: 'vanes-stuck',
    steps: ['the computer does not see the pressure; the vanes are hardly moved and soot up'],
  },
  {
    cause: 'back-pressure-pipe-blocked',
    consequence: 'soot-loaded',
    steps: ['boost and recirculation are set blindly; soot'],
  },
  {
    cause: 'injector-over-fuelling',
    consequence: 'oil-counter',
    steps: ['fuel that does not burn runs down the cylinder into the oil'],
  },
];

/** Causes that no check tells apart and that one repair ends: the others count as the first. */
export const ALIKE: readonly { readonly causes: readonly [CauseId, ...CauseId[]]; readonly why: string }[] = [
  {
    causes: ['dp-sensor-failed', 'dp-sensor-wrong'],
    why: 'a worn slope and a wrong range read alike at the pump; another sensor ends both',
  },
];
