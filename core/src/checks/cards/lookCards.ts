import { against, between, NOTHING, type CheckCard } from '../card.ts';

/** Looks of a minute or two that need no tool: they come first where a code or a reading points to them. */
const intakeLook: CheckCard = {
  id: 'intake-look',
  outcomes: ['duct-split', 'charge-split'],
  otherwise: 'duct-whole',
  minutes: 2,
  cost: 0,
  by: 'looked',
  needs: [],
  cautions: [],
  steps: [
    'Engine off. Follow the duct from MAF sensor to compressor: bend each fold, check under clips and the underside.',
    'Follow the charge hoses after the compressor: wet with oil at a clip, a split, a hose that slips?',
  ],
  fields: [
    {
      kind: 'choice',
      id: 'duct',
      label: 'Duct from MAF sensor to compressor',
      options: [
        ['whole', 'whole and tight'],
        ['split', 'split, loose or off'],
      ],
    },
    {
      kind: 'choice',
      id: 'charge',
      label: 'Charge hoses after the compressor',
      options: [
        ['whole', 'whole and dry'],
        ['split', 'split, off, or wet with oil at a clip'],
      ],
    },
  ],
  judge: (read) => {
    const [duct, charge] = [read.choice('duct'), read.choice('charge')];
    return {
      findings: {
        ...(duct === undefined ? {} : { 'duct-split': duct === 'split' }),
        ...(charge === undefined ? {} : { 'charge-split': charge === 'split' }),
      },
      figures: [],
      sentences: [
        ...(duct === 'split' ? ['Uncounted air enters here.'] : []),
        ...(charge === 'split' ? ['Counted air is lost here: little boost, much smoke.'] : []),
        ...(duct === 'whole' || charge === 'whole'
          ? ['Smoke finds what the eye misses, such as a crack in a fold.']
          : []),
      ],
    };
  },
};

const fuses: CheckCard = {
  id: 'fuses',
  outcomes: ['relay-burnt', 'fuse-blown'],
  otherwise: 'fuses-good',
  minutes: 3,
  cost: 0,
  by: 'looked',
  needs: [],
  cautions: [],
  steps: [
    'Find the box and its plan in the maker’s data: fuses of ECU, sensors, glow plugs and fuel doser.',
    'Pull the glow plug relay: pins or socket burnt, brown, melted?',
    'A blown fuse has a reason: find it before fitting a new one.',
  ],
  fields: [
    {
      kind: 'choice',
      id: 'fuses',
      label: 'Fuses',
      options: [
        ['whole', 'all whole'],
        ['blown', 'one is blown or loose'],
      ],
    },
    {
      kind: 'choice',
      id: 'relay',
      label: 'Glow plug relay and socket',
      options: [
        ['sound', 'sound'],
        ['burnt', 'burnt, brown or melted'],
      ],
    },
  ],
  judge: (read) => {
    const [fuse, relay] = [read.choice('fuses'), read.choice('relay')];
    return {
      findings: {
        ...(fuse === undefined ? {} : { 'fuse-blown': fuse === 'blown' }),
        ...(relay === undefined ? {} : { 'relay-burnt': relay === 'burnt' }),
      },
      figures: [],
      sentences: [
        ...(relay === 'burnt' ? ['No preheating, and no regeneration while the fault is present.'] : []),
        ...(fuse === 'blown' ? ['Find what it feeds and where the wire chafes.'] : []),
        ...(fuse === 'whole' && relay !== 'burnt' ? ['Fuse box good.'] : []),
      ],
    };
  },
};

const tailpipe: CheckCard = {
  id: 'tailpipe',
  outcomes: ['tailpipe-sooty', 'tailpipe-oily'],
  otherwise: 'tailpipe-clean',
  minutes: 1,
  cost: 0,
  by: 'looked',
  needs: [],
  cautions: ['hot'],
  steps: [
    'Cold. Wipe the inside of the tailpipe with a white cloth: grey dust, black soot, or wet with oil?',
  ],
  fields: [
    {
      kind: 'choice',
      id: 'inside',
      label: 'Inside of the tailpipe',
      options: [
        ['clean', 'clean or grey dust'],
        ['sooty', 'black soot'],
        ['oily', 'wet, oily'],
      ],
    },
  ],
  judge: (read) => {
    const inside = read.choice('inside');
    if (inside === undefined) return NOTHING;
    return {
      findings: { 'tailpipe-sooty': inside === 'sooty', 'tailpipe-oily': inside === 'oily' },
      figures: [],
      sentences: [
        inside === 'sooty'
          ? 'Soot passes the filter, or did before it was replaced.'
          : inside === 'oily'
            ? 'Oil passes the whole line: no regeneration before its source is found.'
            : 'Clean, as with a sound filter.',
      ],
    };
  },
};

const oilFilm: CheckCard = {
  id: 'oil-film',
  outcomes: ['turbine-oily'],
  otherwise: 'turbine-dry',
  minutes: 3,
  cost: 1,
  by: 'looked',
  needs: ['spanners'],
  cautions: ['hot'],
  steps: [
    'Cold. Look into the turbo outlet, through a temperature sensor port or at the loosened joint.',
    'Wipe it: dry soot, or a film of oil?',
  ],
  fields: [
    {
      kind: 'choice',
      id: 'film',
      label: 'Turbo outlet',
      options: [
        ['dry', 'dry soot'],
        ['wet', 'a film of oil'],
      ],
    },
  ],
  judge: (read) => {
    const film = read.choice('film');
    if (film === undefined) return NOTHING;
    return {
      findings: { 'turbine-oily': film === 'wet' },
      figures: [],
      sentences: [
        film === 'wet'
          ? 'Oil is entering before the filter: no held revs or regeneration until stopped.'
          : 'No oil from the turbo.',
      ],
    };
  },
};

const ABSOLUTE = between(
  200,
  10_000,
  'Absolute pressures are near 1000 at rest: is this a gauge pressure? Add the barometer.',
);

const comparison: CheckCard = {
  id: 'running-comparison',
  outcomes: ['back-pressure-blind'],
  otherwise: 'comparison-fits',
  minutes: 3,
  cost: 0,
  by: 'measured',
  needs: ['scan-tool'],
  cautions: ['running-engine'],
  steps: [
    'Key on, engine off: manifold and pressure before the turbo together.',
    'Warm, no load, a hold high enough that the manifold rises: both again.',
    'Before the turbo it must rise at least as much as in the manifold; if it stays at ambient, it is blind.',
  ],
  fields: [
    {
      kind: 'number',
      id: 'manifoldRestMbar',
      label: 'Manifold, engine off',
      unit: 'mbar',
      live: 'manifoldPressure',
      possible: ABSOLUTE,
    },
    {
      kind: 'number',
      id: 'backRestMbar',
      label: 'Before the turbo, engine off',
      unit: 'mbar',
      live: 'exhaustBackPressure',
      possible: ABSOLUTE,
    },
    {
      kind: 'number',
      id: 'manifoldHoldMbar',
      label: 'Manifold in the hold',
      unit: 'mbar',
      live: 'manifoldPressure',
      possible: ABSOLUTE,
    },
    {
      kind: 'number',
      id: 'backHoldMbar',
      label: 'Before the turbo in the hold',
      unit: 'mbar',
      live: 'exhaustBackPressure',
      possible: ABSOLUTE,
    },
  ],
  judge: (read, { limits: { comparisonRiseMbar, comparisonBlindPercent } }) => {
    const [manifoldRest, backRest, manifoldHold, backHold] = [
      'manifoldRestMbar',
      'backRestMbar',
      'manifoldHoldMbar',
      'backHoldMbar',
    ].map((id) => read.number(id));
    if (
      manifoldRest === undefined ||
      backRest === undefined ||
      manifoldHold === undefined ||
      backHold === undefined
    )
      return NOTHING;
    const [boost, back] = [manifoldHold - manifoldRest, backHold - backRest];
    const least = (comparisonBlindPercent / 100) * boost;
    if (boost < comparisonRiseMbar)
      return {
        ...NOTHING,
        sentences: [
          `The manifold rose by ${boost.toFixed(0)} mbar only; ${comparisonRiseMbar} needed: hold a higher speed.`,
        ],
      };
    const blind = back < least;
    return {
      findings: { 'back-pressure-blind': blind },
      figures: [
        { label: 'Manifold rose by', value: boost, unit: 'mbar', state: 'plain' },
        against('Before the turbo rose by', back, { unit: 'mbar', low: least }),
      ],
      sentences: [
        blind
          ? 'The pressure does not reach it: sensor or pipe. If a new sensor changed nothing, the pipe.'
          : 'Both rise together, as they should.',
      ],
      parts: { 'back-pressure-sensor': blind ? 'doubtful' : 'sound' },
    };
  },
};

const PIECES = {
  high: 'piece-high-shut',
  low: 'piece-low-shut',
  'back-pressure': 'piece-back-pressure-shut',
} as const;
const PIECE_LABELS: readonly (readonly [keyof typeof PIECES, string])[] = [
  ['high', 'High pipe or hose'],
  ['low', 'Low pipe or hose'],
  ['back-pressure', 'Pipe of the sensor before the turbo'],
];

const singlePiece: CheckCard = {
  id: 'single-piece',
  outcomes: Object.values(PIECES),
  otherwise: 'piece-open',
  minutes: 8,
  cost: 1,
  by: 'measured',
  needs: ['spanners'],
  cautions: ['hot'],
  harm: 'A seized pipe nut snaps: soak it first, and do not force it.',
  steps: [
    'Take the piece off at both ends, cold. Blow air through it, or push a soft wire through.',
    'Also into the line: the boss may be blocked.',
    'Each piece alone: if all are open, the path is open.',
  ],
  fields: PIECE_LABELS.map(([id, label]) => ({
    kind: 'choice' as const,
    id,
    label,
    options: [
      ['open', 'air passes freely'],
      ['shut', 'little or none passes'],
    ] as const,
  })),
  judge: (read) => {
    const told = PIECE_LABELS.flatMap(([id, label]) => {
      const state = read.choice(id);
      return state === undefined ? [] : [{ id, label, shut: state === 'shut' }];
    });
    if (told.length === 0) return NOTHING;
    return {
      findings: Object.fromEntries(told.map(({ id, shut }) => [PIECES[id], shut])),
      notAsked: PIECE_LABELS.filter(([id]) => read.choice(id) === undefined).map(([id]) => PIECES[id]),
      figures: [],
      sentences: told.map(({ label, shut }) =>
        shut ? `${label}: shut. Clear it and blow through it again.` : `${label}: open.`,
      ),
      parts: Object.fromEntries(
        told.flatMap(({ id, shut }) =>
          id === 'back-pressure' ? [] : [[`${id}-pipe`, shut ? 'failed' : 'proven-clear']],
        ),
      ),
    };
  },
};

export const LOOK_CARDS: readonly CheckCard[] = [
  intakeLook,
  fuses,
  tailpipe,
  oilFilm,
  comparison,
  singlePiece,
];
