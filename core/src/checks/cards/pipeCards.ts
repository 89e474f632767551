import { pressureText } from '../../quantities/index.ts';
import {
  against,
  between,
  NOTHING,
  type CheckCard,
  type CheckContext,
  type Figure,
  type Read,
  type RowsField,
} from '../card.ts';
import { fitDecay } from '../measuring/decay.ts';

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
  readonly falls: boolean;
  readonly figures: Figure[];
  readonly sentences: string[];
}

/** How a pipe lets a value back, by its fitted time constant or by what the eye said. */
function pipeOf(
  read: Read,
  { limits, pressureUnit }: CheckContext,
  ids: { readonly rows: string; readonly eye?: string },
  name: string,
): Pipe {
  const rows = read.rows(ids.rows);
  const eye = ids.eye === undefined ? undefined : read.number(ids.eye);
  const figure = (value: number): Figure[] => [
    {
      label: `${name}: back within`,
      value,
      unit: 's',
      high: limits.slowResponseS,
      state: value > limits.slowResponseS ? 'failed' : value > limits.openPipeS ? 'doubtful' : 'sound',
    },
  ];
  const speedOf = (value: number): Speed =>
    value > limits.slowResponseS ? 'slow' : value > limits.openPipeS ? 'doubtful' : 'quick';
  if (rows.length >= 4) {
    const fit = fitDecay(
      rows.map(([at = 0]) => at),
      rows.map(([, value = 0]) => value),
    );
    if (!fit.ok) return { speed: 'unknown', falls: true, figures: [], sentences: [] };
    const { timeS, atMost, atLeast, from, to, intervalS } = fit.value;
    // Of a fall that was not over the fit knows no end: what was seen of it counts.
    const [first = [0, 0], last = [0, 0]] = [rows[0], rows.at(-1)];
    const moved = atLeast ? (first[1] ?? 0) - (last[1] ?? 0) : from - to;
    if (Math.abs(moved) < LEAST_MOVE_MBAR)
      return {
        speed: 'unknown',
        falls: true,
        figures: [],
        sentences: [
          `${name}: it moved by ${pressureText(Math.abs(moved), pressureUnit)} only; nothing can be said of the pipe. Release from a higher speed.`,
        ],
      };
    const cannot = atMost && intervalS > limits.openPipeS;
    return {
      speed: cannot ? (intervalS > limits.slowResponseS ? 'unknown' : 'quick') : speedOf(timeS),
      falls: moved > 0,
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
  if (eye === undefined) return { speed: 'unknown', falls: true, figures: [], sentences: [] };
  return {
    speed: eye > limits.slowResponseS ? 'slow' : 'quick',
    falls: true,
    figures: figure(eye),
    sentences: [`${name}: by eye, which shows whole seconds only.`],
  };
}

/** The live value after release: a restricted pipe is a slow one. */
const response: CheckCard = {
  id: 'pipe-response',
  outcomes: ['high-slow', 'low-slow', 'back-pressure-slow', 'manifold-slow'],
  otherwise: 'response-quick',
  needs: ['scan-tool'],
  cautions: ['running-engine'],
  steps: [
    'Hold 2500–3000 rpm until the value stands. Switch the engine off, or let the pedal go at once.',
    'Watch the value come back: an open pipe is back within about half a second of the flow, over 2 s is a restricted pipe.',
    'A value that goes below zero and comes back from there shows the low pipe.',
  ],
  fields: [
    release('dpRelease', 'ΔP after release', 'dpfDeltaP'),
    {
      kind: 'number',
      id: 'dpByEyeS',
      label: 'or ΔP by eye: seconds until it was back',
      unit: 's',
      possible: between(0, 600, 'Seconds?'),
    },
    release('backPressureRelease', 'Pressure before the turbine after release', 'exhaustBackPressure'),
    {
      kind: 'number',
      id: 'backPressureByEyeS',
      label: 'or by eye: seconds until it was back',
      unit: 's',
      possible: between(0, 600, 'Seconds?'),
    },
    release('manifoldRelease', 'Manifold pressure after release', 'manifoldPressure'),
  ],
  judge: (read, context) => {
    const high = pipeOf(read, context, { rows: 'dpRelease', eye: 'dpByEyeS' }, 'ΔP');
    const back = pipeOf(
      read,
      context,
      { rows: 'backPressureRelease', eye: 'backPressureByEyeS' },
      'Before the turbine',
    );
    const manifold = pipeOf(read, context, { rows: 'manifoldRelease' }, 'Manifold');
    const isSlow = high.speed === 'slow';
    return {
      findings: {
        ...(high.speed === 'unknown'
          ? {}
          : { 'high-slow': isSlow && high.falls, 'low-slow': isSlow && !high.falls }),
        ...(back.speed === 'unknown' ? {} : { 'back-pressure-slow': back.speed === 'slow' }),
        ...(manifold.speed === 'unknown' ? {} : { 'manifold-slow': manifold.speed === 'slow' }),
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
        ...(manifold.speed === 'slow' ? ['The pipe of the manifold sensor is restricted.'] : []),
        ...(back.speed === 'slow' ? ['The pipe of the back-pressure sensor is restricted.'] : []),
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
  needs: ['hand-pump'],
  cautions: ['sensor'],
  harm: 'Pump into the pipe, never into a connected sensor.',
  steps: [
    'Engine off and cold enough to touch. Hose off the sensor, pump on the hose: pressure or vacuum, 300–500 mbar.',
    'Note what stands at once and after three seconds.',
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
      label: `${label}: after 3 s`,
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
        against(`${label}: left after 3 s`, share, { unit: 'percent', high: limits.pipeHoldsPercent }),
      );
      findings[finding] = holds;
      if (holds) sentences.push(`${label} holds: it is blocked, wholly or nearly.`);
      if (part) parts[part] = holds ? 'failed' : 'proven-clear';
    }
    return figures.length === 0 ? NOTHING : { findings, figures, sentences, parts };
  },
};

const hoses: CheckCard = {
  id: 'hoses',
  outcomes: ['hoses-crossed', 'hose-off', 'pipe-cracked'],
  otherwise: 'hoses-good',
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
