import { say, type Said } from '../../words/index.ts';
import { mean } from '../../quantities/index.ts';
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
import { itself, surely, mostly, often, atTimes, sometimes, hardly } from '../grades.ts';
import { fitDecay } from '../measuring/decay.ts';

const held = (
  id: string,
  label: Said,
  live: 'dpfDeltaP' | 'exhaustBackPressure' | 'manifoldPressure',
): NumberField => ({
  kind: 'number',
  id,
  label,
  unit: 'mbar',
  live,
  possible: between(-1500, 6000, say('checks.is-it-this-channel')),
});

const SECONDS = {
  label: say('checks.seconds'),
  unit: 's',
  possible: between(0, 600, say('checks.seconds-from-the-release')),
} as const;

const release = (
  id: string,
  label: Said,
  role: 'dpfDeltaP' | 'exhaustBackPressure' | 'manifoldPressure',
): RowsField => ({
  kind: 'rows',
  id,
  label,
  columns: [
    SECONDS,
    {
      label: say('checks.value'),
      unit: 'mbar',
      live: role,
      possible: between(-1500, 6000, say('checks.is-it-this-channel')),
    },
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
  readonly sentences: Said[];
}

const MARKS = { slow: 'failed', doubtful: 'doubtful', quick: 'sound' } as const;

/** What of the fall may be left when the engine stands, if the pipe is open. */
const LEFT_IF_OPEN = 0.1;

interface PipeFields {
  readonly hold: string;
  readonly rows: string;
  readonly eye?: string;
}

const unknown = (...sentences: Said[]): Pipe => ({ speed: 'unknown', falls: true, figures: [], sentences });

/**
 * How a pipe lets a value back. An open one follows the flow: when the engine stands the value is back. What is left then falls by
 * the pipe alone, and its fitted time constant is the pipe's.
 */
function pipeOf(read: Read, { limits }: CheckContext, ids: PipeFields, name: Said): Pipe {
  const { openPipeS, slowResponseS } = limits;
  const speedOf = (seconds: number): keyof typeof MARKS =>
    seconds > slowResponseS ? 'slow' : seconds > openPipeS ? 'doubtful' : 'quick';
  const figure = (seconds: number): Figure[] => [
    {
      label: say('checks.back-within', { name }),
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
      sentences: [say('checks.by-eye-which-shows-whole', { name })],
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
      ...unknown(say('checks.it-moved-only-too-little', { name, fell: Math.abs(fell) })),
      ...(held === undefined ? {} : { moves: false }),
    };
  if (Math.abs(left) < Math.max(LEAST_MOVE_MBAR, LEFT_IF_OPEN * Math.abs(fell)))
    return {
      speed: 'quick',
      moves: true,
      falls: true,
      figures: figure(0),
      sentences: [say('checks.back-when-the-engine-stopped', { name })],
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
        ? say('checks.readings-every-s-can-only', { name, intervalS })
        : atLeast
          ? say('checks.not-back-at-the-end', { name, timeS })
          : say('checks.fitted-s-from-readings-every', { name, timeS, intervalS }),
    ],
  };
}

/** The live value after release: a restricted pipe responds slowly. */
const response: CheckCard = {
  id: 'pipe-response',
  about: ['high-pipe', 'low-pipe', 'back-pressure-sensor'],
  outcomes: {
    'high-slow': {
      why: 'the high pipe',
      leak: 0.0002,
      shows: { 'high-pipe-blocked': atTimes },
      hides: { 'dp-sensor-failed': mostly, 'dp-hose-off': atTimes },
    },
    'low-slow': {
      why: 'the low pipe',
      leak: 0.0002,
      shows: { 'low-pipe-blocked': atTimes },
      hides: { 'dp-sensor-failed': mostly },
    },
    'back-pressure-slow': {
      why: 'its pipe',
      leak: 0.0002,
      shows: { 'back-pressure-pipe-blocked:blocked': atTimes },
      hides: { 'back-pressure-sensor-failed': often },
    },
    'manifold-slow': {
      why: 'its pipe',
      leak: 0.0002,
      shows: { 'manifold-sensor-failed:slow': surely, 'manifold-sensor-failed:stuck': sometimes },
    },
    'back-pressure-still': {
      why: 'no pressure is',
      leak: 0.0015,
      shows: {
        'back-pressure-sensor-failed:stuck': itself,
        'back-pressure-pipe-blocked:blocked': hardly,
        'back-pressure-sensor-failed:off': hardly,
      },
    },
    'manifold-still': {
      why: 'no pressure is',
      leak: 0.0002,
      shows: { 'manifold-sensor-failed:stuck': itself, 'manifold-sensor-failed:slow': hardly },
    },
  },
  otherwise: 'response-quick',
  minutes: 5,
  cost: 0,
  by: 'looked',
  needs: ['scan-tool'],
  cautions: ['running-engine'],
  steps: [
    say('checks.hold-2500-3000-rpm-until'),
    say('checks.time-from-engine-stop'),
    say('checks.a-value-that-dips-below'),
  ],
  fields: [
    held('dpHoldMbar', say('checks.dp-in-the-hold'), 'dpfDeltaP'),
    release('dpRelease', say('checks.dp-from-engine-stop'), 'dpfDeltaP'),
    {
      kind: 'number',
      id: 'dpByEyeS',
      label: say('checks.or-dp-by-eye-seconds'),
      unit: 's',
      possible: between(0, 600, 'Seconds?'),
    },
    held('backPressureHoldMbar', say('checks.pressure-before-the-turbo-in'), 'exhaustBackPressure'),
    release('backPressureRelease', say('checks.before-the-turbo-from-engine'), 'exhaustBackPressure'),
    {
      kind: 'number',
      id: 'backPressureByEyeS',
      label: say('checks.or-by-eye-seconds'),
      unit: 's',
      possible: between(0, 600, 'Seconds?'),
    },
    held('manifoldHoldMbar', say('checks.manifold-pressure-in-the-hold'), 'manifoldPressure'),
    release('manifoldRelease', say('checks.manifold-from-engine-stop'), 'manifoldPressure'),
  ],
  asRead: ({ dpMbar }) => ({ dpHoldMbar: dpMbar }),
  judge: (read, context) => {
    const high = pipeOf(read, context, { hold: 'dpHoldMbar', rows: 'dpRelease', eye: 'dpByEyeS' }, 'ΔP');
    const back = pipeOf(
      read,
      context,
      { hold: 'backPressureHoldMbar', rows: 'backPressureRelease', eye: 'backPressureByEyeS' },
      say('checks.before-the-turbo'),
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
                ? say('checks.the-high-pipe-is-restricted')
                : say('checks.it-recovers-from-below-zero'),
            ]
          : []),
        ...(back.moves === false ? [say('checks.before-the-turbo-nothing-changes')] : []),
        ...(manifold.moves === false ? [say('checks.the-manifold-sensor-shows')] : []),
        ...(manifold.speed === 'slow' ? [say('checks.the-pipe-of-the-manifold')] : []),
        ...(back.speed === 'slow' ? [say('checks.the-pipe-of-the-back')] : []),
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
  ['high', say('checks.high-pipe'), 'high-holds', 'high-pipe'],
  ['low', say('checks.low-pipe'), 'low-holds', 'low-pipe'],
  ['back', say('checks.pipe-of-the-back-pressure'), 'back-pressure-holds', undefined],
] as const;

/** Hand pump at the sensor's end of a pipe: an open one cannot hold, a blocked one does. */
const pump: CheckCard = {
  id: 'pipe-pump',
  about: ['high-pipe', 'low-pipe', 'back-pressure-sensor'],
  outcomes: {
    'high-holds': { why: 'shut', leak: 0.0002, shows: { 'high-pipe-blocked': itself } },
    'low-holds': { why: 'shut', leak: 0.0002, shows: { 'low-pipe-blocked': itself } },
    'back-pressure-holds': {
      why: 'shut',
      leak: 0.0002,
      shows: { 'back-pressure-pipe-blocked:blocked': itself, 'back-pressure-pipe-blocked:broken': hardly },
    },
  },
  otherwise: 'pipes-open',
  minutes: 8,
  cost: 1,
  by: 'measured',
  needs: ['hand-pump'],
  cautions: ['sensor'],
  harm: say('checks.pump-into-the-pipe-never'),
  steps: [
    say('checks.engine-off-and-cold-enough'),
    say('checks.note-the-pressure-at-once'),
    say('checks.the-other-pipe-likewise-if'),
  ],
  fields: PIPES.flatMap(([id, label]): CheckCard['fields'][number][] => [
    {
      kind: 'number',
      id: `${id}StartMbar`,
      label: say('checks.pumped', { label }),
      unit: 'mbar',
      possible: between(-1000, 4000, say('checks.impossible-vacuum-read-it-again')),
    },
    {
      kind: 'number',
      id: `${id}LeftMbar`,
      label: say('checks.after-2-s', { label }),
      unit: 'mbar',
      possible: between(-1000, 4000, say('checks.impossible-vacuum-read-it-again')),
    },
  ]),
  judge: (read, { limits }) => {
    const findings: Record<string, boolean> = {};
    const figures: Figure[] = [];
    const parts: Record<string, 'failed' | 'proven-clear'> = {};
    const sentences: Said[] = [];
    for (const [id, label, finding, part] of PIPES) {
      const start = read.number(`${id}StartMbar`);
      const left = read.number(`${id}LeftMbar`);
      if (start === undefined || left === undefined) continue;
      if (Math.abs(start) < 50) {
        sentences.push(say('checks.no-pressure-built-up-open', { label }));
      }
      const share = Math.abs(start) < 50 ? 0 : Math.max(0, (100 * left) / start);
      const holds = share > limits.pipeHoldsPercent;
      figures.push(
        against(say('checks.left-after-2-s', { label }), share, {
          unit: 'percent',
          high: limits.pipeHoldsPercent,
        }),
      );
      findings[finding] = holds;
      if (holds) sentences.push(say('checks.holds-blocked-or-nearly', { label }));
      if (part) parts[part] = holds ? 'failed' : 'proven-clear';
    }
    const notAsked = PIPES.map(([, , finding]) => finding).filter((id) => findings[id] === undefined);
    return figures.length === 0 ? NOTHING : { findings, figures, sentences, parts, notAsked };
  },
};

const hoses: CheckCard = {
  id: 'hoses',
  about: ['dp-sensor', 'high-pipe', 'low-pipe'],
  outcomes: {
    'hoses-crossed': {
      why: 'as seen',
      leak: 0.0002,
      shows: { 'dp-hoses-crossed': itself },
    },
    'hose-off': {
      why: 'as seen',
      leak: 0.0002,
      shows: { 'dp-hose-off': itself },
    },
    'pipe-cracked': {
      why: 'as seen',
      leak: 0.0002,
      shows: { 'back-pressure-pipe-blocked:broken': itself },
    },
  },
  otherwise: 'hoses-good',
  minutes: 4,
  cost: 0,
  by: 'looked',
  needs: [],
  cautions: ['hot'],
  steps: [say('checks.follow-each-hose-from-sensor'), say('checks.bend-each-along-its-length')],
  fields: [
    {
      kind: 'choice',
      id: 'order',
      label: say('checks.high-hose'),
      options: [
        ['high', say('checks.the-high-port')],
        ['low', say('checks.the-low-port-crossed')],
      ],
    },
    {
      kind: 'choice',
      id: 'state',
      label: say('checks.hoses'),
      options: [
        ['whole', say('checks.whole-and-tight')],
        ['split', say('checks.split-melted-or-loose')],
        ['off', say('checks.off-or-not-there')],
        ['pinched', say('checks.pinched')],
      ],
    },
    {
      kind: 'choice',
      id: 'backPipe',
      label: say('checks.pipe-of-the-back-pressure'),
      options: [
        ['whole', say('checks.whole')],
        ['cracked', say('checks.cracked-or-broken-soot-beside')],
        ['none', say('checks.there-is-none')],
      ],
    },
  ],
  asItShouldBe: { label: say('checks.hoses-back-on'), values: { order: 'high', state: 'whole' } },
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
        ...(order === 'low' ? [say('checks.crossed-hoses-read-below-zero')] : []),
        ...(state === 'pinched' ? [say('checks.a-pinched-hose')] : []),
        ...(backPipe === 'cracked' ? [say('checks.the-crack-loses-pressure-before')] : []),
        ...(sound ? [say('checks.all-correctly-fitted-and-tight')] : []),
        ...(state === 'split' || state === 'off' ? [say('checks.what-leaks-here-never-reaches')] : []),
      ],
    };
  },
};

export const PIPE_CARDS: readonly CheckCard[] = [hoses, response, pump];
