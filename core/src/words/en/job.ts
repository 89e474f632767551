import type { Said } from '../message.ts';
import type { Words } from '../words.ts';

const minutes = (value: number, w: Words): string =>
  w.number(value < 10 ? Math.round(10 * value) / 10 : Math.round(value));

const chance = (percent: number, w: Words): string =>
  percent > 99 ? `over ${w.percent(99)}` : w.percent(percent, 0);

export const job = {
  for: ({ what }: { what: Said }, w: Words) => `For now: ${w.say(what)}`,
  'flush-then-read': 'flush, then read',
  'revs-kept-up': 'revs kept up after the regeneration',
  'idle-when-cool': ({ belowC }: { belowC: number }, w: Words) =>
    `idle, when the sensor after the filter is below ${w.temperature(belowC)}`,
  'bed-is-at': ({ bedC }: { bedC: number | undefined }, w: Words) =>
    `the bed is at ${bedC === undefined ? '–' : w.temperature(bedC)}`,
  'filter-cools': ({ fromC, toC }: { fromC: number; toC: number }, w: Words) =>
    `the filter, from ${w.temperature(fromC)} to ${w.temperature(toC)}`,
  'measure-then-dose': 'measure it and dose',
  'timer-on-time': ({ meantMin }: { meantMin: number }, w: Words) => `took its ${minutes(meantMin, w)} min`,
  'timer-ended': (
    { clock, what, words, why }: { clock: Said; what: Said; words: Said; why: Said },
    w: Words,
  ) => `${w.say(clock)}, ${w.say(what)}: ${w.say(words)}${why === '' ? '' : ` (${w.say(why)})`}`,
  'timer-cut-short': ({ wasMin, meantMin }: { wasMin: number; meantMin: number }, w: Words) =>
    `cut short after ${minutes(wasMin, w)} of ${minutes(meantMin, w)} min`,
  'timer-late': ({ wasMin, overMin }: { wasMin: number; overMin: number }, w: Words) =>
    `stood ${minutes(wasMin, w)} min, ${minutes(overMin, w)} min longer than planned`,
  'proved-the-repair-passed': 'Proved: the repair passed its check',
  'not-proved-the-repair-failed': 'Not proved: the repair failed its check',
  'repaired-check-drive-or-scan': 'Repaired: check, drive or scan outstanding',
  'proved-the-new-filter': 'Proved: the new filter is within limits',
  'the-new-filter-is-within': 'The new filter is within limits',
  'proved-not-the-filter': 'Proved: not the filter; it is within limits',
  'not-the-filter-correctly-read': 'Not the filter: correctly read, it is within limits',
  'proved-pressure-drop-at-equal': ({ removedValue }: { removedValue: number }, w: Words) =>
    `Proved: pressure drop at equal flow down ${w.percent(removedValue, 0)}`,
  'pressure-drop-at-equal-flow': ({ removedValue }: { removedValue: number }, w: Words) =>
    `Pressure drop at equal flow down ${w.percent(removedValue, 0)}`,
  'improved-not-within-limits-pressure': ({ removedValue }: { removedValue: number }, w: Words) =>
    `Improved, not within limits: pressure drop down ${w.percent(removedValue, 0)}`,
  'worse-pressure-drop-at-equal': ({ removedValue }: { removedValue: number }, w: Words) =>
    `Worse: pressure drop at equal flow up ${w.percent(removedValue, 0)}`,
  'nothing-to-remove-the-filter': 'Nothing to remove: the filter was within limits before',
  'not-proved': 'Not proved',
  'reopened-by-job': ({ number }: { number: number }, w: Words) => `Reopened by job ${w.number(number)}`,
  'no-before-reading-yet': 'No before reading yet',
  'before-reading-taken-after-reading': 'Before reading taken; after reading outstanding',
  'likely-decides-over': ({ text, likely, from }: { text: Said; likely: number; from: number }, w: Words) =>
    `${w.say(text)} (${w.percent(likely, 0)} likely, decides over ${w.percent(from)})`,
  'soot-above-the-regeneration-limit': 'Soot above the regeneration limit: no long pulls, no load',
  'power-is-limited': 'Power is limited',
  'a-temporary-repair-or-something': 'A temporary repair, or something still open',
  'nothing-known-speaks-against': 'Nothing known speaks against it',
  'a-cause-was-found': 'A cause was found and not repaired: the filter will fill again.',
  'a-repair-is-temporary': 'A repair is temporary.',
  'handed-over-before': 'Handed over before it was proved.',
  'ask-for-the-customers-choice': ({ text }: { text: Said }, w: Words) =>
    `Ask for the customer’s choice: ${w.say(text)}`,
  fit: ({ waitsFor }: { waitsFor: Said }, w: Words) => `Fit ${w.say(waitsFor)}`,
  'make-the-repair-permanent': 'Make the repair permanent',
  'read-the-filter-again-after': ({ recheckAfterKm }: { recheckAfterKm: number }, w: Words) =>
    `Read the filter again after ${w.distance(recheckAfterKm)}`,
  'change-the-oil': 'Change the oil',
  'oil-due': ({ everyKm }: { everyKm: number }, w: Words) =>
    `${w.distance(everyKm)} after the last change, by the limits.`,
  'it-shows-l-the-vehicle': (
    { displacementL, displacementL2 }: { displacementL: number; displacementL2: number },
    w: Words,
  ) =>
    `It shows ${w.volume(displacementL)}, the vehicle has ${w.volume(displacementL2)}: channels and limits may belong to another engine.`,
  'it-shows-the-vehicle': (
    { vehicle, model, family }: { vehicle: Said; model: Said; family: Said },
    w: Words,
  ) =>
    `It shows “${w.say(vehicle)}”, the vehicle is ${w.say(model)} (${w.say(family)}): check the selection in the tool before trusting its values.`,
  'a-cracked-filter-cannot': 'A cracked filter cannot be repaired by cleaning or regenerating',
  'only-likely-that-there': ({ inIt, least }: { inIt: number; least: number }, w: Words) =>
    `Only ${w.percent(inIt, 0)} likely that there is something to remove; at least ${w.percent(least)}`,
  'this-soot-burns-off': (
    { grams, gPerL, limit }: { grams: number; gPerL: number; limit: number },
    w: Words,
  ) =>
    `Up to ${w.soot(grams, 0)} of soot (${w.loading(gPerL, 1)}): a burn takes up to ${w.loading(limit)}. Prove sensor and pipes, then regenerate instead of cleaning.`,
  'no-dp-read-yet': 'No ΔP read yet: the filter’s load is unknown',
  'read-below-c-coolant-warm': ({ coldEngineC }: { coldEngineC: number }, w: Words) =>
    `Read below ${w.temperature(coldEngineC)} coolant: warm up and read again before treating the filter`,
  'with-likely-the-filter': ({ notTheFilter }: { notTheFilter: number }, w: Words) =>
    `With ${w.percent(notTheFilter, 0)} likely the filter is cracked or its pressure does not reach the sensor: check pipes, sensor and outlet first`,
  'only-likely-that-the-pressure': ({ pathLies }: { pathLies: number }, w: Words) =>
    `Only ${w.percent(pathLies, 0)} likely that the pressure shown is the filter’s: check sensor and pipes first`,
  'it-was-cleaned-before-without': 'It was cleaned before without a reset: the pressure shows no soot.',
  broke: ({ what }: { what: Said }, w: Words) => `Broke: ${w.say(what)}`,
  'it-changes': 'it changes',
  'no-change': 'no change',
  'a-known-good-one': ({ why }: { why: Said }, w: Words) => `A known-good one in its place: ${w.say(why)}`,
  'temporary-repair': ({ what }: { what: Said }, w: Words) => `Temporary repair: ${w.say(what)}`,
  was: ({ part, done }: { part: Said; done: Said }, w: Words) => `${w.say(part)} was ${w.say(done)}`,
  'the-dp-sensor-was-repaired': 'the ΔP sensor was repaired',
  'its-high-pipe-was-repaired': 'its high pipe was repaired',
  'its-low-pipe-was-repaired': 'its low pipe was repaired',
  'its-hoses-were-repaired': 'its hoses were repaired',
  'its-wiring-was-repaired': 'its wiring was repaired',
  'learn-the-dp-sensor-zero': 'Learn the ΔP sensor zero',
  'reset-the-oil-life': 'Reset the oil life',
  'reset-the-soot-counter': 'Reset the soot counter',
  'register-the-new-filter': 'Register the new filter in the ECU',
  'reset-learned-values': 'Reset learned values',
  'clear-the-codes': 'Clear the codes',
  'scan-every-module': 'Scan every module',
  'read-the-pressure': 'Read the pressure',
  'ask-what-was-seen': 'Ask what was seen and done before',
  'warm-it-up-then-read': 'Warm it up, then read again',
  check: 'Check',
  wait: 'Wait',
  'repair-cause': ({ cause }: { cause: Said }, w: Words) => `Repair: ${w.within(cause)}`,
  'confirm-and-repair': ({ cause }: { cause: Said }, w: Words) => `Confirm and repair: ${w.within(cause)}`,
  'refit-the-parts': 'Refit the parts',
  'treat-the-filter': 'Treat the filter',
  prove: 'Prove it',
  'hand-over': 'Hand over',
  'the-customers-choice': 'the customer’s choice',
  'take-the-before-reading': 'Take the before reading',
  'key-off-idle': 'Key off, idle and a hold; without it nothing can be proved later.',
  'take-the-after-reading': 'Take the after reading',
  'at-the-same-speeds': 'At the same speeds as before, warm, on the plateau.',
  'find-out-why': 'Find out why it is not proved',
  'the-reasons-are-listed': 'The reasons are listed with the verdict.',
  'watch-the-regeneration': 'Watch the regeneration',
  'ask-for-the-choice': 'Ask for the customer’s choice',
  'fit-the-part': 'Fit the part on order',
  'prove-the-dp-sensor': 'Prove the ΔP sensor',
  'pump-test-or-a-known':
    'Pump test or a known-good sensor: a faulty sensor can make a failed clean look successful.',
  'recheck-the-hoses': 'Recheck the hoses',
  'each-on-its-port-whole': 'Each on its port, whole, clipped: they were off for the work.',
  'check-sensor-and-pipes-again': 'Check sensor and pipes again',
  'does-the-value-return': 'Does the value return at once, does the pipe vent?',
  'check-what-was-repaired': 'Check what was repaired',
  'repeat-the-check-that-found': 'Repeat the check that found it: good now?',
  'check-that-the-exhaust-gets': 'Check that the exhaust gets hot',
  'the-temperature-before-the-filter':
    'The temperature before the filter in the hold, or the hottest on the drive.',
  'watch-the-soot-counter': 'Watch the soot counter on the drive',
  'note-it-before-and-after': 'Note it before and after the drive: it should fall or stay low.',
  drive: 'Drive it',
  'a-lamp-that-is-off': 'A lamp that is off proves nothing; soot and codes show on the road.',
  'scan-again-after-the-drive': 'Scan again after the drive',
  'clear-codes-caused-by-unplugging': 'Clear codes caused by unplugging first.',
  'check-for-full-power': 'Check for full power',
  'on-the-drive': 'On the drive.',
  'another-makers': 'another maker’s',
  cured: 'cured it',
  'made-it-better': 'made it better',
  'changed-nothing': 'changed nothing',
  'made-it-worse': 'made it worse',
  'on-order': ({ name }: { name: string }) => `on order: ${name}`,
  chance: ({ percent }: { percent: number }, w: Words) => chance(percent, w),
  interval: ({ low, high }: { low: number; high: number }, w: Words) =>
    `${w.number(low, 0)} to ${w.percent(high, 0)} (90 %)`,
  'from-readings': ({ before, after }: { before: number; after: number }, w: Words) =>
    `from ${w.number(before)} and ${w.number(after)} readings`,
  'at-flow': ({ flowM3PerH }: { flowM3PerH: number }, w: Words) => `at ${w.volumeFlow(flowM3PerH)}`,
  confidence: ({ level, percent }: { level: string; percent: number }, w: Words) =>
    `confidence ${level}, ${chance(percent, w)}`,
  outstanding: ({ open }: { open: number }, w: Words) => `${w.number(open)} outstanding`,
  'oil-enters-the-exhaust': 'Oil is entering the exhaust: once hot it keeps burning',
  'exhaust-nearly-closed': 'The exhaust is nearly closed: the engine chokes',
  'worn-turbo-leaks-oil': 'A worn turbo that leaks oil feeds it to the exhaust; the engine may run away',
  'pressure-not-the-filters': 'The pressure shown is not the filter’s: its load is unknown',
  'sensor-path-untrusted': 'The ΔP sensor or its pipes cannot be trusted: the filter’s load is unknown',
  'oil-may-enter': 'Oil may be entering the exhaust: check before a long drive',
  'turbo-worn-no-load': 'The turbo is worn: no load, no high revs',
  'full-of-soot': 'The filter is full of soot',
  'oil-first': 'Fuel in the oil, or oil life used up: change the oil first',
} as const;
