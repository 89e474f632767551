import { startupSnapshot } from 'node:v8';
// The command that is asked most: there when the program wakes, with all that it loads.
import { practise } from './commands/judge.ts';
import { runCommand } from './runCommand.ts';

const reading = (purpose: 'before' | 'after', dpMbar: number): object => ({
  kind: 'reading',
  purpose,
  origin: { type: 'hand' },
  samples: [
    { kind: 'idle', rpm: 810, dpMbar: dpMbar / 7, coolantC: 84 },
    { kind: 'hold', rpm: 2500, dpMbar, coolantC: 86 },
  ],
});

/**
 * Jobs that were judged before the snapshot was taken: what every judgement needs and none changes, the sets of causes and the
 * functions made ready to run above all, is kept with it. One that was measured, one that was worked on, and one for which the burn model is asked.
 */
const PRACTISED = [
  {
    vehicle: { displacementL: 2, distanceKm: 143_000, use: 'short-trips' },
    codes: ['P2463', 'P2002'],
    readings: {
      barometerMbar: 1003,
      sootG: 31,
      samples: [
        { kind: 'key-off', rpm: 0, dpMbar: 1, manifoldMbar: 1002 },
        {
          kind: 'idle',
          rpm: 810,
          dpMbar: 14,
          airMassGPerS: 14,
          manifoldMbar: 1010,
          coolantC: 84,
          filterC: 180,
        },
        {
          kind: 'hold',
          rpm: 2500,
          dpMbar: 96,
          airMassGPerS: 55,
          manifoldMbar: 1190,
          coolantC: 86,
          filterC: 260,
        },
      ],
    },
    checks: { 'dp-zero': 'zero-good' },
  },
  {
    vehicle: { displacementL: 2, distanceKm: 143_000 },
    codes: ['P2463'],
    entries: [
      reading('before', 96),
      { kind: 'cause', cause: 'high-pipe-blocked', state: 'confirmed', why: 'seen' },
      { kind: 'work', work: 'pipe-cleared', what: 'Rodded', part: 'high-pipe' },
      { kind: 'cause', cause: 'high-pipe-blocked', state: 'put-right', why: 'seen' },
      reading('after', 30),
      { kind: 'drive', distanceKm: 18, powerLimitGone: true, reportedBy: 'technician' },
      { kind: 'code-scan', when: 'after-drive', codes: [] },
    ],
  },
  {
    vehicle: { displacementL: 2.2, use: 'short-trips' },
    codes: ['P2458'],
    readings: {
      sootG: 9,
      samples: [
        { kind: 'key-off', rpm: 0, dpMbar: 0 },
        { kind: 'idle', rpm: 820, dpMbar: 5 },
        { kind: 'hold', rpm: 2500, dpMbar: 24 },
      ],
    },
    checks: { 'dp-swap': 'swap-same', hoses: 'hoses-good', oil: 'oil-good' },
  },
];

/** Node has these lists' methods awake, but not yet while a snapshot is taken. */
const LENT = {
  toSorted(this: unknown[], compare?: (a: unknown, b: unknown) => number) {
    // oxlint-disable-next-line unicorn/no-array-sort -- is what is lent
    return [...this].sort(compare);
  },
  toReversed(this: unknown[]) {
    // oxlint-disable-next-line unicorn/no-array-reverse -- is what is lent
    return [...this].reverse();
  },
};
const lent = Object.entries(LENT).filter(([name]) => !(name in Array.prototype));
for (const [name, value] of lent) Object.defineProperty(Array.prototype, name, { value, configurable: true });
PRACTISED.forEach(practise);
for (const [name] of lent) Reflect.deleteProperty(Array.prototype, name);

/** What a snapshot of the program does when it is started: the same as the program. */
startupSnapshot.setDeserializeMainFunction(() => void runCommand());
