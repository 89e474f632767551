import type { LimitDefinition } from './limitDefinition.ts';

const chance = (label: string, value: number, reason: string) =>
  ({
    label,
    unit: '%',
    value,
    low: 1,
    high: 99,
    group: 'judgement',
    reason,
  }) as const satisfies LimitDefinition;

/** From which chances on a job is judged one way or the other. */
export const JUDGEMENT_LIMITS = {
  pathDoubtPercent: chance(
    'Nothing is offered for the filter where its pressure is false by more than',
    50,
    'A filter is not treated by a pressure that is as likely another one’s.',
  ),
  settledByLookPercent: chance(
    'A crack, ash or oil counts as settled without any pressure, from',
    85,
    'An outlet face that was seen needs no ΔP.',
  ),
  crackDecidesPercent: chance(
    'A crack decides what is done, from',
    60,
    'A cracked filter is neither cleaned nor burnt whole.',
  ),
  worthCleaningPercent: chance(
    'A clean is offered where soot, ash or oil is in the filter by at least',
    20,
    'Else the work is for nothing.',
  ),
  counterLeftHighPercent: chance(
    'A soot counter left high is reset if soot and a false pressure are less likely than',
    30,
    'A reset must not hide what is there.',
  ),
  nearlyCertainPercent: chance(
    'A cause is confirmed and repaired, not looked for again, from',
    85,
    'One more look costs minutes and changes nothing.',
  ),
  settlePathPercent: chance(
    'Sensor and pipes are looked at first where the pressure may be false by more than',
    30,
    'Everything else that is said of the filter hangs on it.',
  ),
  pointedPercent: chance(
    'A cause is looked for before all else, from',
    40,
    'A code or reading that points somewhere is followed.',
  ),
  suspectedPercent: chance('A cause is looked for by name, from', 25, 'Below that minutes decide.'),
  adviseDrivePercent: chance(
    'A cause decides whether it may be driven, from',
    60,
    'Advice on likelihood: what was seen is above it.',
  ),
  doubtDrivePercent: chance(
    'Reported oil in the exhaust limits the drive, from',
    30,
    'Hot, oil burns without end: look first.',
  ),
  explainedPercent: chance(
    'An explanation holds, from',
    75,
    'Then repair, not more looks, is what brings the job on.',
  ),
  standsOutPercent: chance(
    'A cause is shown in the job list from',
    50,
    'A line has room for one: it should be the likelier half.',
  ),
  heldFromRpm: {
    label: 'A speed counts as held from',
    unit: 'rpm',
    value: 1500,
    low: 900,
    high: 2500,
    group: 'judgement',
    reason: 'Below it the flow of any engine is too small to tell a filter by; heavy ones are held at it.',
  },
  worthPerMinute: {
    label: 'A check is worth its time where each minute avoids a loss of at least',
    unit: '€/min',
    value: 0.12,
    low: 0.01,
    high: 10,
    group: 'judgement',
    reason: 'A tenth of what the minute costs, as losses are averages over what may be.',
  },
  coldEngineC: {
    label: 'A reading is of a cold engine where its coolant is under',
    unit: '°C',
    value: 60,
    low: 20,
    high: 85,
    group: 'judgement',
    reason: 'Cold gas and a choked idle tell little of the filter.',
  },
} as const satisfies Readonly<Record<string, LimitDefinition>>;
