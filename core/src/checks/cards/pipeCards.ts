import { mean, pressureText } from '../../quantities/index.ts';
import {
  against,
  between,
  NOTHING,
  type CheckCard,
  type CheckContext,
  type Figure,
  type NumberField,
  type Read,
  type RowsField,
} from '../card.ts';
import { fitDecay } from '../measuring/decay.ts';

const held = (
  id: string,
  label: string,
  live: 'dpfDeltaP' | 'exhaustBackPressure' | 'manifoldPressure',
): NumberField => ({
  kind: 'number',
  id,
  label,
  unit: 'mbar',
  live,
  possible: between(-1500, 6000, 'Is it this channel?'),
});

const SECONDS = {
  label: 'Seconds',
  unit: 's',
  possible: between(0, 600, 'Seconds from the release on?'),
} as const;

const release = (
  id: string,
  label: string,
  role: 'dpfDeltaP' | 'exhaustBackPressure' | 'manifoldPressure',
): RowsField => ({
  kind: 'rows',
  id,
  label,
  columns: [
    SECONDS,
    { label: 'Value', unit: 'mbar', live: role, possible: between(-1500, 6000, 'Is it this channel?') },
  ],
  records: { role, seconds: 12 },
});

/** A movement smaller than this shows no lag, mbar. */
const LEAST_MOVE_MBAR = 4;

type Speed = 'quick' | 'doubtful' | 'slow' | 'unknown';

interface Pipe {
  readonly speed: Speed;
  /** Whether it moved at all from the hold to rest; undefined where the hold was not read. */
  readonly moves?: boolean;
  readonly falls: boolean;
  readonly figures: Figure[];
  readonly sentences: string[];
}

const MARKS = { slow: 'failed', doubtful: 'doubtful', quick: 'sound' } as const;

/** What of the fall may be left when the engine stands, if the pipe is open. */
const LEFT_IF_OPEN = 0.1;

interface PipeFields {
  readonly hold: string;
  readonly rows: string;
  readonly eye?: string;
}

const unknown = (...sentences: string[]): Pipe => ({ speed: 'unknown', falls: true, figures: [], sentences });

/**
 * How a pipe lets a value back. An open one follows the flow: when the engine stands the value is back. What is left then falls by
 * the pipe alone, and its fitted time constant is the pipe's.
 */
function pipeOf(read: Read, { limits, pressureUnit }: CheckContext, ids: PipeFields, name: string): Pipe {
  const { openPipeS, slowResponseS } = limits;
  const speedOf = (seconds: number): keyof typeof MARKS =>
    seconds > slowResponseS ? 'slow' : seconds > openPipeS ? 'doubtful' : 'quick';
  const figure = (seconds: number): Figure[] => [
    {
      label: `${name}: back within`,
      value: seconds,
      unit: 's',
      high: slowResponseS,
      state: MARKS[speedOf(seconds)],
    },
  ];
  const rows = read.rows(ids.rows);
  const eye = ids.eye === undefined ? undefined : read.number(ids.eye);
  if (rows.length < 4) {
    if (eye === undefined) return unknown();
    return {
      speed: eye > slowResponseS ? 'slow' : 'quick',
      falls: true,
      figures: figure(eye),
      sentences: [`${name}: by eye, which shows whole seconds only.`],
    };
  }
  const values = rows.map(([, value = 0]) => value);
  const rest = mean(values.slice(-3)) ?? 0;
  const first = values[0] ?? 0;
  const held = read.number(ids.hold);
  const hold = held ?? first;
  const fell = hold - rest;
  const left = first - rest;
  if (Math.abs(fell) < LEAST_MOVE_MBAR && Math.abs(left) < LEAST_MOVE_MBAR)
    return {
      ...unknown(
        `${name}: it moved only ${pressureText(Math.abs(fell), pressureUnit)}; too little to judge the pipe. Hold a higher speed.`,
      ),
      ...(held === undefined ? {} : { moves: false }),
    };
  if (Math.abs(left) < Math.max(LEAST_MOVE_MBAR, LEFT_IF_OPEN * Math.abs(fell)))
    return {
      speed: 'quick',
      moves: true,
      falls: true,
      figures: figure(0),
      sentences: [`${name}: back when the engine stopped.`],
    };
  const fit = fitDecay(
    rows.map(([at = 0]) => at),
    values,
  );
  if (!fit.ok) return unknown();
  const { timeS, atMost, atLeast, intervalS } = fit.value;
  const cannot = atMost && intervalS > openPipeS;
  return {
    moves: true,
    speed: cannot ? (intervalS > slowResponseS ? 'unknown' : 'quick') : speedOf(timeS),
    falls: left > 0,
    figures: figure(timeS),
    sentences: [
      atMost
        ? `${name}: readings every ${intervalS.toFixed(2)} s can only show “within ${intervalS.toFixed(2)} s”.`
        : atLeast
          ? `${name}: not back at the end of the reading: ${timeS.toFixed(0)} s or more.`
          : `${name}: fitted ${timeS.toFixed(2)} s from readings every ${intervalS.toFixed(2)} s.`,
    ],
  };
}

/** The live value after release: a restricted pipe responds slowly. */
const response: CheckCard = {
  id: 'pipe-response',
  outcomes: [
    'high-slow',
    'low-slow',
    'back-pressure-slow',
    'manifold-slow',
    'back-pressure-still',
    'manifold-still',
  ],
  otherwise: 'response-quick',
  minutes: 5,
  cost: 0,
  by: 'looked',
  needs: ['scan-tool'],
  cautions: ['running-engine'],
  steps: [
    'Hold 2500–3000 rpm until steady; note it. Switch the engine off.',
    'Time from engine stop: an open pipe is back within half a second; over 2 s means restricted.',
    'A value that dips below zero and recovers points to the low pipe.',
  ],
  fields: [
    held('dpHoldMbar', 'ΔP in the hold', 'dpfDeltaP'),
    release('dpRelease', 'ΔP, from engine stop', 'dpfDeltaP'),
    {
      kind: 'number',
      id: 'dpByEyeS',
      label: 'or ΔP by eye: seconds to return',
      unit: 's',
      possible: between(0, 600, 'Seconds?'),
    },
    held('backPressureHoldMbar', 'Pressure before the turbo in the hold', 'exhaustBackPressure'),
    release('backPressureRelease', 'Before the turbo, from engine stop', 'exhaustBackPressure'),
    {
      kind: 'number',
      id: 'backPressureByEyeS',
      label: 'or by eye: seconds to return',
      unit: 's',
      possible: between(0, 600, 'Seconds?'),
    },
    held('manifoldHoldMbar', 'Manifold pressure in the hold', 'manifoldPressure'),
    release('manifoldRelease', 'Manifold, from engine stop', 'manifoldPressure'),
  ],
  judge: (read, context) => {
    const high = pipeOf(read, context, { hold: 'dpHoldMbar', rows: 'dpRelease', eye: 'dpByEyeS' }, 'ΔP');
    const back = pipeOf(
      read,
      context,
      { hold: 'backPressureHoldMbar', rows: 'backPressureRelease', eye: 'backPressureByEyeS' },
      'Before the turbo',
    );
    const manifold = pipeOf(read, context, { hold: 'manifoldHoldMbar', rows: 'manifoldRelease' }, 'Manifold');
    const isSlow = high.speed === 'slow';
    return {
      findings: {
        ...(high.speed === 'unknown'
          ? {}
          : { 'high-slow': isSlow && high.falls, 'low-slow': isSlow && !high.falls }),
        ...(back.speed === 'unknown' ? {} : { 'back-pressure-slow': back.speed === 'slow' }),
        ...(manifold.speed === 'unknown' ? {} : { 'manifold-slow': manifold.speed === 'slow' }),
        ...(back.moves === undefined ? {} : { 'back-pressure-still': !back.moves }),
        ...(manifold.moves === undefined ? {} : { 'manifold-still': !manifold.moves }),
      },
      figures: [...high.figures, ...back.figures, ...manifold.figures],
      sentences: [
        ...high.sentences,
        ...back.sentences,
        ...manifold.sentences,
        ...(isSlow
          ? [
              high.falls
                ? 'The high pipe is restricted.'
                : 'It recovers from below zero: the low pipe is restricted.',
            ]
          : []),
        ...(back.moves === false
          ? ['Before the turbo nothing changes from hold to rest: a real pressure would.']
          : []),
        ...(manifold.moves === false ? ['The manifold sensor shows the same in a hold and at rest.'] : []),
        ...(manifold.speed === 'slow' ? ['The pipe of the manifold sensor is restricted.'] : []),
        ...(back.speed === 'slow' ? ['The pipe of the back-pressure sensor is restricted.'] : []),
      ],
      notAsked: [
        ...(read.rows('backPressureRelease').length === 0 && read.number('backPressureByEyeS') === undefined
          ? ['back-pressure-slow', 'back-pressure-still']
          : []),
        ...(read.rows('manifoldRelease').length === 0 ? ['manifold-slow', 'manifold-still'] : []),
        ...(back.moves === undefined ? ['back-pressure-still'] : []),
        ...(manifold.moves === undefined ? ['manifold-still'] : []),
      ],
      ...(isSlow ? { parts: { [high.falls ? 'high-pipe' : 'low-pipe']: 'doubtful' as const } } : {}),
    };
  },
};

const PIPES = [
  ['high', 'High pipe', 'high-holds', 'high-pipe'],
  ['low', 'Low pipe', 'low-holds', 'low-pipe'],
  ['back', 'Pipe of the back-pressure sensor', 'back-pressure-holds', undefined],
] as const;

/** Hand pump at the sensor's end of a pipe: an open one cannot hold, a blocked one does. */
const pump: CheckCard = {
  id: 'pipe-pump',
  outcomes: PIPES.map(([, , finding]) => finding),
  otherwise: 'pipes-open',
  minutes: 8,
  cost: 1,
  by: 'measured',
  needs: ['hand-pump'],
  cautions: ['sensor'],
  harm: 'Pump into the pipe, never into a connected sensor.',
  steps: [
    'Engine off and cold enough to touch. Hose off the sensor, pump on the hose: pressure or vacuum, 300–500 mbar.',
    'Note the pressure at once and two seconds later.',
    'The other pipe likewise. If nothing holds, the pipe is open.',
  ],
  fields: PIPES.flatMap(([id, label]): CheckCard['fields'][number][] => [
    {
      kind: 'number',
      id: `${id}StartMbar`,
      label: `${label}: pumped to`,
      unit: 'mbar',
      possible: between(-1000, 4000, 'Impossible vacuum: read it again.'),
    },
    {
      kind: 'number',
      id: `${id}LeftMbar`,
      label: `${label}: after 2 s`,
      unit: 'mbar',
      possible: between(-1000, 4000, 'Impossible vacuum: read it again.'),
    },
  ]),
  judge: (read, { limits }) => {
    const findings: Record<string, boolean> = {};
    const figures: Figure[] = [];
    const parts: Record<string, 'failed' | 'proven-clear'> = {};
    const sentences: string[] = [];
    for (const [id, label, finding, part] of PIPES) {
      const start = read.number(`${id}StartMbar`);
      const left = read.number(`${id}LeftMbar`);
      if (start === undefined || left === undefined) continue;
      if (Math.abs(start) < 50) {
        sentences.push(`${label}: no pressure built up: open, or the pump does not seal.`);
      }
      const share = Math.abs(start) < 50 ? 0 : Math.max(0, (100 * left) / start);
      const holds = share > limits.pipeHoldsPercent;
      figures.push(
        against(`${label}: left after 2 s`, share, { unit: 'percent', high: limits.pipeHoldsPercent }),
      );
      findings[finding] = holds;
      if (holds) sentences.push(`${label} holds: blocked or nearly.`);
      if (part) parts[part] = holds ? 'failed' : 'proven-clear';
    }
    const notAsked = PIPES.map(([, , finding]) => finding).filter((id) => findings[id] === undefined);
    return figures.length === 0 ? NOTHING : { findings, figures, sentences, parts, notAsked };
  },
};

const hoses: CheckCard = {
  id: 'hoses',
  outcomes: ['hoses-crossed', 'hose-off', 'pipe-cracked'],
  otherwise: 'hoses-good',
  minutes: 4,
  cost: 0,
  by: 'looked',
  needs: [],
  cautions: ['hot'],
  steps: [
    'Follow each hose from sensor to pipe. The one from before the filter is high, usually larger, to the port marked high.',
    'Bend each along its length: split, pinched, melted at its end, loose, a clip missing?',
  ],
  fields: [
    {
      kind: 'choice',
      id: 'order',
      label: 'High hose is on',
      options: [
        ['high', 'the high port'],
        ['low', 'the low port: crossed'],
      ],
    },
    {
      kind: 'choice',
      id: 'state',
      label: 'Hoses',
      options: [
        ['whole', 'whole and tight'],
        ['split', 'split, melted or loose'],
        ['off', 'off, or not there'],
        ['pinched', 'pinched'],
      ],
    },
    {
      kind: 'choice',
      id: 'backPipe',
      label: 'Pipe of the back-pressure sensor',
      options: [
        ['whole', 'whole'],
        ['cracked', 'cracked or broken, soot beside it'],
        ['none', 'there is none'],
      ],
    },
  ],
  judge: (read) => {
    const [order, state, backPipe] = ['order', 'state', 'backPipe'].map((id) => read.choice(id));
    const sound = order === 'high' && state === 'whole';
    return {
      findings: {
        ...(order === undefined ? {} : { 'hoses-crossed': order === 'low' }),
        ...(state === undefined ? {} : { 'hose-off': state === 'split' || state === 'off' }),
        ...(backPipe === undefined ? {} : { 'pipe-cracked': backPipe === 'cracked' }),
      },
      notAsked: backPipe === undefined ? ['pipe-cracked'] : [],
      figures: [],
      sentences: [
        ...(order === 'low' ? ['Crossed hoses read below zero; a sensor that cannot looks dead.'] : []),
        ...(state === 'pinched' ? ['A pinched hose is a blocked pipe: free it and read again.'] : []),
        ...(backPipe === 'cracked'
          ? ['The crack loses pressure before the turbo: its sensor reads low under load.']
          : []),
        ...(sound ? ['All correctly fitted and tight.'] : []),
        ...(state === 'split' || state === 'off' ? ['What leaks here never reaches the sensor.'] : []),
      ],
    };
  },
};

export const PIPE_CARDS: readonly CheckCard[] = [hoses, response, pump];
