import { say, type Said } from '../../words/index.ts';
import { against, between, NOTHING, type CheckCard } from '../card.ts';
import { surely, mostly, often, atTimes, sometimes, seldom, hardly } from '../grades.ts';

/** Looks of a minute or two that need no tool: they come first where a code or a reading points to them. */
const intakeLook: CheckCard = {
  id: 'intake-look',
  about: ['engine'],
  outcomes: {
    'duct-split': {
      why: 'as seen; a crack in a fold is not',
      leak: 0.0005,
      shows: { 'intake-leak': often },
    },
    'charge-split': {
      why: 'as seen',
      leak: 0.0005,
      shows: { 'charge-leak': often },
    },
  },
  otherwise: 'duct-whole',
  minutes: 2,
  cost: 0,
  by: 'looked',
  needs: [],
  cautions: [],
  steps: [say('checks.engine-off-follow-the-duct'), say('checks.follow-the-charge-hoses-after')],
  fields: [
    {
      kind: 'choice',
      id: 'duct',
      label: say('checks.duct-from-maf-sensor'),
      options: [
        ['whole', say('checks.whole-and-tight')],
        ['split', say('checks.split-loose-or-off')],
      ],
    },
    {
      kind: 'choice',
      id: 'charge',
      label: say('checks.charge-hoses-after-the-compressor'),
      options: [
        ['whole', say('checks.whole-and-dry')],
        ['split', say('checks.split-off-or-wet')],
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
        ...(duct === 'split' ? [say('checks.uncounted-air-enters-here')] : []),
        ...(charge === 'split' ? [say('checks.counted-air-is-lost-here')] : []),
        ...(duct === 'whole' || charge === 'whole' ? [say('checks.smoke-finds-what-the-eye')] : []),
      ],
    };
  },
};

const fuses: CheckCard = {
  id: 'fuses',
  about: ['engine'],
  outcomes: {
    'relay-burnt': {
      why: 'as seen; plugs fail more often',
      leak: 0.0005,
      shows: { 'glow-plugs-failed': atTimes },
    },
    'fuse-blown': {
      why: 'a chafed wire, or the load',
      leak: 0.002,
      shows: {
        'sensor-wiring:supply': sometimes,
        'glow-plugs-failed': seldom,
        'dosing-injector-blocked': hardly,
      },
    },
  },
  otherwise: 'fuses-good',
  minutes: 3,
  cost: 0,
  by: 'looked',
  needs: [],
  cautions: [],
  steps: [say('checks.find-the-box'), say('checks.pull-the-glow-plug-relay'), say('checks.a-blown-fuse')],
  fields: [
    {
      kind: 'choice',
      id: 'fuses',
      label: say('checks.fuses'),
      options: [
        ['whole', say('checks.all-whole')],
        ['blown', say('checks.one-is-blown-or-loose')],
      ],
    },
    {
      kind: 'choice',
      id: 'relay',
      label: say('checks.glow-plug-relay-and-socket'),
      options: [
        ['sound', say('checks.sound')],
        ['burnt', say('checks.burnt-brown-or-melted')],
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
        ...(relay === 'burnt' ? [say('checks.no-preheating-and-no-regeneration')] : []),
        ...(fuse === 'blown' ? [say('checks.find-what-it-feeds')] : []),
        ...(fuse === 'whole' && relay !== 'burnt' ? [say('checks.fuse-box-good')] : []),
      ],
    };
  },
};

const tailpipe: CheckCard = {
  id: 'tailpipe',
  about: ['filter', 'silencer'],
  outcomes: {
    'tailpipe-sooty': {
      why: 'soot passes the filter, or did before it was replaced',
      leak: 0.08,
      shows: { 'filter-cracked': mostly },
    },
    'tailpipe-oily': {
      why: 'oil through the whole line',
      leak: 0.003,
      shows: { 'oil-in-exhaust': sometimes },
    },
  },
  otherwise: 'tailpipe-clean',
  minutes: 1,
  cost: 0,
  by: 'looked',
  needs: [],
  cautions: ['hot'],
  steps: [say('checks.cold-wipe-the-inside')],
  fields: [
    {
      kind: 'choice',
      id: 'inside',
      label: say('checks.inside-of-the-tailpipe'),
      options: [
        ['clean', say('checks.clean-or-grey-dust')],
        ['sooty', say('checks.black-soot')],
        ['oily', say('checks.wet-oily')],
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
          ? say('checks.soot-passes-the-filter')
          : inside === 'oily'
            ? say('checks.oil-passes-the-whole-line')
            : say('checks.clean-as-with-a-sound'),
      ],
    };
  },
};

const oilFilm: CheckCard = {
  id: 'oil-film',
  about: ['turbine'],
  outcomes: {
    'turbine-oily': {
      why: 'seals, or oil from the engine',
      leak: 0.004,
      shows: { 'oil-in-exhaust': mostly, 'turbocharger-worn': atTimes },
    },
  },
  otherwise: 'turbine-dry',
  minutes: 3,
  cost: 1,
  by: 'looked',
  needs: ['spanners'],
  cautions: ['hot'],
  steps: [say('checks.cold-look-into-the-turbo'), say('checks.wipe-it-dry-soot')],
  fields: [
    {
      kind: 'choice',
      id: 'film',
      label: say('checks.turbo-outlet'),
      options: [
        ['dry', say('checks.dry-soot')],
        ['wet', say('checks.a-film-of-oil')],
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
        film === 'wet' ? say('checks.oil-is-entering-before') : say('checks.no-oil-from-the-turbo'),
      ],
    };
  },
};

const ABSOLUTE = between(200, 10_000, say('checks.absolute-pressures-are-near-1000'));

const comparison: CheckCard = {
  id: 'running-comparison',
  about: ['back-pressure-sensor'],
  outcomes: {
    'back-pressure-blind': {
      why: 'it does not see the pressure',
      leak: 0.002,
      shows: {
        'back-pressure-sensor-failed:stuck': surely,
        'back-pressure-pipe-blocked:blocked': often,
        'back-pressure-pipe-blocked:broken': atTimes,
      },
    },
  },
  otherwise: 'comparison-fits',
  minutes: 3,
  cost: 0,
  by: 'measured',
  needs: ['scan-tool'],
  cautions: ['running-engine'],
  steps: [
    say('checks.key-on-engine-off-manifold'),
    say('checks.warm-no-load-a-hold'),
    say('checks.before-the-turbo-it-must'),
  ],
  fields: [
    {
      kind: 'number',
      id: 'manifoldRestMbar',
      label: say('checks.manifold-engine-off'),
      unit: 'mbar',
      live: 'manifoldPressure',
      possible: ABSOLUTE,
    },
    {
      kind: 'number',
      id: 'backRestMbar',
      label: say('checks.before-the-turbo-engine-off'),
      unit: 'mbar',
      live: 'exhaustBackPressure',
      possible: ABSOLUTE,
    },
    {
      kind: 'number',
      id: 'manifoldHoldMbar',
      label: say('checks.manifold-in-the-hold'),
      unit: 'mbar',
      live: 'manifoldPressure',
      possible: ABSOLUTE,
    },
    {
      kind: 'number',
      id: 'backHoldMbar',
      label: say('checks.before-the-turbo-in-the'),
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
        sentences: [say('checks.the-manifold-rose-by-mbar', { boost, comparisonRiseMbar })],
      };
    const blind = back < least;
    return {
      findings: { 'back-pressure-blind': blind },
      figures: [
        { label: say('checks.manifold-rose'), value: boost, unit: 'mbar', state: 'plain' },
        against(say('checks.before-the-turbo-rose'), back, { unit: 'mbar', low: least }),
      ],
      sentences: [
        blind ? say('checks.the-pressure-does-not-reach') : say('checks.both-rise-together-as-they'),
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
const PIECE_LABELS: readonly (readonly [keyof typeof PIECES, Said])[] = [
  ['high', say('checks.high-pipe-or-hose')],
  ['low', say('checks.low-pipe-or-hose')],
  ['back-pressure', say('checks.pipe-of-the-sensor-before')],
];

const singlePiece: CheckCard = {
  id: 'single-piece',
  about: ['high-pipe', 'low-pipe', 'back-pressure-sensor'],
  outcomes: {
    'piece-high-shut': { why: 'shut', leak: 0.0002, shows: { 'high-pipe-blocked': surely } },
    'piece-low-shut': { why: 'shut', leak: 0.0002, shows: { 'low-pipe-blocked': surely } },
    'piece-back-pressure-shut': {
      why: 'shut',
      leak: 0.0002,
      shows: { 'back-pressure-pipe-blocked:blocked': surely },
    },
  },
  otherwise: 'piece-open',
  minutes: 8,
  cost: 1,
  by: 'measured',
  needs: ['spanners'],
  cautions: ['hot'],
  harm: say('checks.a-seized-pipe-nut-snaps'),
  steps: [
    say('checks.take-the-piece-off'),
    say('checks.also-into-the-line'),
    say('checks.each-piece-alone-if-all'),
  ],
  fields: PIECE_LABELS.map(([id, label]) => ({
    kind: 'choice' as const,
    id,
    label,
    options: [
      ['open', say('checks.air-passes-freely')],
      ['shut', say('checks.little-or-none-passes')],
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
        shut ? say('checks.shut-clear-it-and-blow', { label }) : say('checks.open', { label }),
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
