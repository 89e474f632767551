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
    'Engine off. Follow the duct from the air meter to the compressor: bend each fold, look under clips and at its underside.',
    'Follow the charge hoses behind the compressor: wet with oil at a clip, a split, a hose that slips?',
  ],
  fields: [
    {
      kind: 'choice',
      id: 'duct',
      label: 'Duct from air meter to compressor',
      options: [
        ['whole', 'whole and tight'],
        ['split', 'split, loose or off'],
      ],
    },
    {
      kind: 'choice',
      id: 'charge',
      label: 'Charge hoses behind the compressor',
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
        ...(duct === 'split' ? ['Air comes in here that the meter does not count.'] : []),
        ...(charge === 'split' ? ['Counted air is lost here: little boost, much smoke.'] : []),
        ...(duct === 'whole' || charge === 'whole'
          ? ['What a look misses, a crack in a fold or under a clip, smoke finds.']
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
    'Find the box and its plan in the maker’s data: fuses of the engine computer, sensors, glow plugs and fuel into the exhaust.',
    'Pull the relay of the glow plugs: is its foot or its place burnt, brown, melted?',
    'A fuse that is blown has blown for a reason: find that before a new one goes in.',
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
      label: 'Relay of the glow plugs and its place',
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
        ...(relay === 'burnt' ? ['No preheat, and no regeneration while its fault is there.'] : []),
        ...(fuse === 'blown' ? ['Look for what it feeds and where that wire chafes.'] : []),
        ...(fuse === 'whole' && relay !== 'burnt' ? ['The box is in order.'] : []),
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
          ? 'Soot gets past the filter, or did before it was exchanged.'
          : inside === 'oily'
            ? 'Oil comes through the whole line: no regeneration before it is found.'
            : 'A whole filter keeps it so.',
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
    'Cold. Look into the turbine’s outlet, through the port of a temperature sensor or at the loosened joint.',
    'Wipe it: dry soot, or a film of oil?',
  ],
  fields: [
    {
      kind: 'choice',
      id: 'film',
      label: 'Outlet of the turbine',
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
          ? 'Oil feeds the exhaust ahead of the filter: no held revs and no burn before it is stopped.'
          : 'No oil comes from the turbine.',
      ],
    };
  },
};

const ABSOLUTE = between(
  200,
  10_000,
  'Absolute pressures start near 1000 at rest: is it a gauge pressure? Add the barometer.',
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
    'Key on, engine off: manifold and pressure before the turbine side by side.',
    'Warm, no load, a hold high enough that the manifold rises: both again.',
    'Before the turbine it rises at least as far as in the manifold: what stays at the air’s pressure is blind.',
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
      label: 'Before the turbine, engine off',
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
      label: 'Before the turbine in the hold',
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
          `The manifold rose by ${boost.toFixed(0)} mbar only, and ${comparisonRiseMbar} are needed: hold a higher speed.`,
        ],
      };
    const blind = back < least;
    return {
      findings: { 'back-pressure-blind': blind },
      figures: [
        { label: 'Manifold rose by', value: boost, unit: 'mbar', state: 'plain' },
        against('Before the turbine rose by', back, { unit: 'mbar', low: least }),
      ],
      sentences: [
        blind
          ? 'It does not see the pressure: sensor or pipe. Where a new sensor changed nothing it is the pipe.'
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
  ['back-pressure', 'Pipe of the sensor before the turbine'],
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
    'Into the line too: the boss it stands in may be grown shut.',
    'Each piece alone: a chain that is open in all its pieces is open.',
  ],
  fields: PIECE_LABELS.map(([id, label]) => ({
    kind: 'choice' as const,
    id,
    label,
    options: [
      ['open', 'air passes freely'],
      ['shut', 'hardly any or none passes'],
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
