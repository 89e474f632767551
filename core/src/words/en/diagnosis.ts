import type { Said } from '../message.ts';
import type { Words } from '../words.ts';

/** What the evidence comes to. */
export const diagnosis = {
  'leads-to': (
    { cause, between, consequence }: { cause: Said; between: Said; consequence: Said },
    w: Words,
  ) => `${w.say(cause)} → ${w.say(between)} → ${w.within(consequence)}`,
  'on-the-evidence-then': ({ seen, percent }: { seen: readonly Said[]; percent: number }, w: Words) =>
    [...seen.map(w.say), `${w.percent(percent, 0)} on the evidence then`].join('; '),
  'preheat-inhibits': 'Glow plugs or their relay: the preheat fault inhibits it',
  'oil-or-counter-inhibits': 'Fuel in the oil, or oil life used up',
  'coolant-too-cool': 'The coolant stays too cool',
  'tank-nearly-empty': 'The tank is nearly empty',
  'oil-life-used-up': 'Oil life is used up',
  'no-revs-oil-diluted':
    'Fuel in the oil: no held revs until the oil is changed and the level is right. An overfull engine can run away.',
  'no-revs-filter-oily': 'Oil in the filter: no held revs until it is out. Once hot it keeps burning.',
  'no-revs-oil-unchecked': 'The oil is reported over full: no held revs until the level is checked.',
  'fuel-in-the-oil': 'Fuel in the oil',
  'oil-told-over-full': 'The oil is reported over full and not checked yet',
  'soot-above-the-limit': 'Soot counter above the regeneration limit',
} as const;
