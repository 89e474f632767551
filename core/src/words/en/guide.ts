import type { Said } from '../message.ts';
import type { Words } from '../words.ts';

export const guide = {
  'it-runs-until-its-end': 'It runs: watched until its end, and until the filter has cooled.',
  'on-order': ({ part }: { part: string }) => `On order: ${part}`,
  'it-is-proved': 'It is proved',
  'the-oil-is-reported-over':
    'The oil is reported over full: check the level before holding the engine at speed',
  'nothing-is-known-yet': 'Nothing is known yet: the codes show where to look',
  'the-pressure-shows-what-state': 'The pressure shows what state the filter is in',
  'a-sensor-that-shows-several':
    'A sensor that shows several bar at rest is dead: find out what killed it first',
  'it-was-seen-so-repair': ({ sentence }: { sentence: Said }, w: Words) =>
    `${w.say(sentence)}: it was seen, so repair it`,
  'reported-and-not-repaired-yet': ({ sentence }: { sentence: Said }, w: Words) =>
    `${w.say(sentence)}: reported and not repaired yet`,
  'nearly-certain-so-confirm': ({ sentence }: { sentence: Said }, w: Words) =>
    `${w.say(sentence)}: nearly certain, so confirm it`,
  'nearly-certain-so-repair': ({ sentence }: { sentence: Said }, w: Words) =>
    `${w.say(sentence)}: nearly certain, so repair it`,
  'nearly-certain-so-look': ({ sentence }: { sentence: Said }, w: Words) =>
    `${w.say(sentence)}: nearly certain, so look at it before replacing it`,
  'the-sensor-path-is-repaired': 'The sensor path is repaired: read the filter again',
  'the-work': 'The work has to be proved',
  'a-cold-engine-says-little': 'A cold engine says little about the filter',
  'parts-are-still-off': ({ parts }: { parts: number }) =>
    parts === 1
      ? 'One part is still off, or not signed for: refit it before anything is read'
      : `${parts} parts are still off, or not signed for: refit them before anything is read`,
  'it-was-chosen': 'It was chosen for this filter',
  'the-most-likely-repairable-cause': ({ sentence }: { sentence: Said }, w: Words) =>
    `${w.say(sentence)}: the most likely repairable cause, so look there`,
  'the-pressure-shown-may': 'The pressure shown may not come from the filter: settle that first',
  'verify-this-pressure-before-treating': 'Verify this pressure before treating the filter',
  'the-codes-say': 'The codes say where to look',
  'it-would-change-what': 'It would change what to do',
  'the-evidence-decides': 'The evidence decides it',
  'the-filter-is-sound-nothing': 'The filter is sound; nothing else stands out',
  'asking-what-was-seen': 'Asking what was seen and done before would help more',
  then: ({ what, next }: { what: Said; next: Said }, w: Words) => `${w.say(what)}. Then: ${w.say(next)}`,
} as const;
