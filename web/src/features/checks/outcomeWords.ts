import { own } from '@white-ember/core/text';
import { KNOWN_FINDINGS } from '@white-ember/core/diagnosis';

const SENTENCES = new Map(KNOWN_FINDINGS.map(({ id, sentence }) => [id, sentence]));

const GOOD_WORDS: Readonly<Record<string, string>> = {
  'zero-good': 'Zero good',
  'volts-good': 'Supply, ground and signal are good',
  'ladder-good': 'The sensor follows the pump',
  'swap-same': 'The same with a known-good sensor',
  'hoses-good': 'Hoses are good',
  'response-quick': 'The pipes respond at once',
  'pipes-open': 'The pipes are open',
  'absolutes-agree': 'The absolute sensors agree',
  'compare-same': 'Both sensors read the same',
  'soak-alike': 'All equal after a cold soak',
  'egt-good': 'All EGTs are on their curve',
  'intake-tight': 'Intake and charge pipes are tight',
  'air-fits': 'Air mass fits speed and pressure',
  'shaft-good': 'The shaft is good',
  'vanes-move': 'The vanes move',
  'egr-good': 'Valve and cooler are good',
  'dosing-sprays': 'The fuel doser works',
  'glow-good': 'Glow plugs and relay are good',
  'oil-good': 'The oil is good',
  'coolant-warm': 'The coolant gets warm',
  'no-section': 'No section is restricted',
  'gauge-low': 'Low by gauge',
  'faces-good': 'Both faces look good',
  'counter-fits': 'The counter fits the pressure',
  'fuel-enough': 'Fuel enough',
  'use-fits': 'Driven far and fast enough',
  'supply-good': 'The 5 V and its ground are good',
  'injectors-good': 'The injectors are equal',
};

/** An outcome in words; one that no table knows is said as it was named. */
export const outcomeWords = (outcome: string): string =>
  SENTENCES.get(outcome) ?? own(GOOD_WORDS, outcome) ?? outcome.replaceAll('-', ' ');
