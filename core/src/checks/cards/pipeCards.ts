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
        `${name}: it moved by ${pressureText(Math.abs(fell), pressureUnit)} only; nothing can be said of the pipe. Hold a higher speed.`,
      ),
      ...(held === undefined ? {} : { moves: false }),
    };
  if (Math.abs(left) < Math.max(LEAST_MOVE_MBAR, LEFT_IF_OPEN * Math.abs(fell)))
    return {
      speed: 'quick',
      moves: true,
      falls: true,
      figures: figure(0),
      sentences: [`${name}: it was back when the engine stood.`],
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
        ? `${name}: readings every ${intervalS.toFixed(2)} s show no more than “within ${intervalS.toFixed(2)} s”.`
        : atLeast
          ? `${name}: it was not back when the reading ended, so ${timeS.toFixed(0)} s or more.`
          : `${name}: fitted ${timeS.toFixed(2)} s from readings every ${intervalS.toFixed(2)} s.`,
    ],
  };
}

/** The live value after release: a restricted pipe is a slow one. */
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
    'Hold 2500–3000 rpm until the value stands; note it. Switch the engine off.',
    'From the moment at which the engine stands: an open pipe is back by then or within half a second, over 2 s is a restricted pipe.',
    'A value that goes below zero and comes back from there shows the low pipe.',
  ],
  fields: [
    held('dpHoldMbar', 'ΔP in the hold', 'dpfDeltaP'),
    release('dpRelease', 'ΔP, from when the engine stands', 'dpfDeltaP'),
    {
      kind: 'number',
      id: 'dpByEyeS',
      label: 'or ΔP by eye: seconds until it was back',
      unit: 's',
      possible: between(0, 600, 'Seconds?'),
    },
    held('backPressureHoldMbar', 'Pressure before the turbine in the hold', 'exhaustBackPressure'),
    release('backPressureRelease', 'Before the turbine, from when the engine stands', 'exhaustBackPressure'),
    {
      kind: 'number',
      id: 'backPressureByEyeS',
      label: 'or by eye: seconds until it was back',
      unit: 's',
      possible: between(0, 600, 'Seconds?'),
    },
    held('manifoldHoldMbar', 'Manifold pressure in the hold', 'manifoldPressure'),
    release('manifoldRelease', 'Manifold, from when the engine stands', 'manifoldPressure'),
  ],
  judge: (read, context) => {
    const high = pipeOf(read, context, { hold: 'dpHoldMbar', rows: 'dpRelease', eye: 'dpByEyeS' }, 'ΔP');
    const back = pipeOf(
      read,
      context,
      { hold: 'backPressureHoldMbar', rows: 'backPressureRelease', eye: 'backPressureByEyeS' },
      'Before the turbine',
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
                : 'It comes back from below zero: the low pipe is restricted.',
            ]
          : []),
        ...(back.moves === false
          ? ['Before the turbine nothing moves from a hold to rest: no pressure does so.']
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
    'Note what stands at once and two seconds later.',
    'The other pipe the same. Where nothing holds, gas goes through.',
  ],
  fields: PIPES.flatMap(([id, label]): CheckCard['fields'][number][] => [
    {
      kind: 'number',
      id: `${id}StartMbar`,
      label: `${label}: pumped to`,
      unit: 'mbar',
      possible: between(-1000, 4000, 'No pump sucks below nothing: read it again.'),
    },
    {
      kind: 'number',
      id: `${id}LeftMbar`,
      label: `${label}: after 2 s`,
      unit: 'mbar',
      possible: between(-1000, 4000, 'No pump sucks below nothing: read it again.'),
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
        sentences.push(
          `${label}: nothing could be built up in it, so it is open, or the pump is not tight on it.`,
        );
      }
      const share = Math.abs(start) < 50 ? 0 : Math.max(0, (100 * left) / start);
      const holds = share > limits.pipeHoldsPercent;
      figures.push(
        against(`${label}: left after 2 s`, share, { unit: 'percent', high: limits.pipeHoldsPercent }),
      );
      findings[finding] = holds;
      if (holds) sentences.push(`${label} holds: it is blocked, wholly or nearly.`);
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
    'Follow each hose from the sensor to its pipe: the one from ahead of the filter is the high one, usually of larger bore, and goes to the port marked high.',
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
        ...(order === 'low' ? ['Crossed hoses read below zero; a sensor that ends at zero looks dead.'] : []),
        ...(state === 'pinched' ? ['A pinched hose is a blocked pipe: free it and read again.'] : []),
        ...(backPipe === 'cracked'
          ? ['Through the crack the pressure before the turbine is lost: its sensor reads low under load.']
          : []),
        ...(sound ? ['Each where it belongs, whole and tight.'] : []),
        ...(state === 'split' || state === 'off' ? ['What is lost here the sensor does not see.'] : []),
      ],
    };
  },
};

export const PIPE_CARDS: readonly CheckCard[] = [hoses, response, pump];
