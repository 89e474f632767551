import type { Said } from '../message.ts';
import type { Words } from '../words.ts';

/** What the scan link and the module behind it say. */
export const link = {
  'no-answer-ignition': 'The vehicle does not answer: switch the ignition on, then connect again.',
  'no-answer-ignition-off': 'The vehicle does not answer: the ignition is off.',
  'no-answer': 'The vehicle does not answer.',
  'not-connected': 'Not connected to a vehicle.',
  lost: 'The link to the vehicle was lost. Reconnect.',
  'no-such-channel': ({ channel }: { channel: string }) => `The module offers no channel “${channel}”.`,
  'not-fitted': ({ channel }: { channel: string }) =>
    `“${channel}” is listed, but not fitted on this vehicle.`,
  'no-such-routine': 'The generic services have no such routine.',
  'ignition-off': 'No answer: the ignition is off.',
  'only-with-the-engine-off': 'Refused: only with the engine off and the ignition on.',
  'codes-cleared': 'Codes cleared; self-tests restart.',
  'soot-counter-at': ({ sootG }: { sootG: number }, w: Words) =>
    `Soot counter at ${w.soot(sootG, 0)}. Nothing in the filter has changed.`,
  'counters-reset': 'Soot and ash counters reset; the filter counts as new from this distance.',
  'too-far-from-zero': ({ mbar }: { mbar: number }, w: Words) =>
    `Refused: ${w.pressure(mbar)} at rest is too far from 0 to be learned.`,
  'zero-learned': ({ mbar }: { mbar: number }, w: Words) =>
    `Zero learned: ${w.pressure(mbar)} is subtracted from now on.`,
  'oil-life-full': ({ percent }: { percent: number }, w: Words) => `Oil life at ${w.percent(percent)}.`,
  'refused-engine-stands': 'Refused: the engine is not running.',
  'refused-moving': 'Refused: the vehicle is moving.',
  'refused-by': ({ against }: { against: readonly Said[] }, w: Words) =>
    `Refused: ${against.map(w.say).join('; ')}.`,
  'blocked-by': ({ against }: { against: readonly Said[] }, w: Words) =>
    `Blocked: ${against.map(w.say).join('; ')}.`,
  heating: 'Heating.',
  burning: 'Burning.',
  cooling: 'Cooling; revs kept up.',
  ended: 'Ended.',
  'vanes-move': 'Vanes move between their stops.',
  'sweep-ended': 'Sweep ended.',
  'dosing-stopped': 'Dosing stopped; revs kept up until the filter has cooled.',
  'nothing-was-running': 'Nothing was running.',
  'code-is-active': ({ code }: { code: string }) => `code ${code} is active`,
  'coolant-is-cold': ({ celsius, fromC }: { celsius: number; fromC: number }, w: Words) =>
    `coolant is at ${w.temperature(celsius, 0)}, under ${w.temperature(fromC, 0)}`,
  'fuel-is-low': ({ percent, from }: { percent: number; from: number }, w: Words) =>
    `fuel is at ${w.percent(percent, 0)}, under ${w.percent(from)}`,
  'oil-life-is-over': 'oil life is at 0 %',
  'fuel-in-the-oil': ({ percent, most }: { percent: number; most: number }, w: Words) =>
    `fuel in the oil is counted at ${w.percent(percent, 1)}, over ${w.percent(most)}`,
  'soot-is-counted': ({ sootG, mostG }: { sootG: number; mostG: number }, w: Words) =>
    `soot is counted at ${w.soot(sootG, 0)}, over ${w.soot(mostG, 0)}`,
  'engine-stands': 'the engine is not running',
  'vehicle-stands': 'the vehicle is not moving',
} as const;

/** What a module can be asked to do. */
export const routines = {
  'clear-codes': 'Clear codes',
  'reset-soot': 'Set the soot counter to 0',
  'new-filter': 'Register a new filter',
  'adapt-delta-p': 'Learn the ΔP sensor zero',
  'reset-oil': 'Reset the oil counter',
  'regenerate-standing': 'Regeneration, standing',
  'regenerate-driving': 'Regeneration, on the road',
  'vane-sweep': 'Sweep the turbo vanes',
  stop: 'Stop the running routine',
} as const;
