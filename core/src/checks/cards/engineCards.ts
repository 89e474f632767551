import { say, type Said } from '../../words/index.ts';
import { median } from '../../quantities/index.ts';
import { against, between, NOTHING, type CheckCard, type Figure } from '../card.ts';
import { itself } from '../grades.ts';
import { dilutionByLevel } from '../measuring/oil.ts';
import { USE_CARDS } from './useCards.ts';
import { thermostat } from './thermostatCard.ts';

const dosing: CheckCard = {
  id: 'dosing-injector',
  about: ['catalyst'],
  outcomes: {
    'dosing-blocked': {
      why: 'as seen',
      leak: 0.0002,
      shows: { 'dosing-injector-blocked': itself },
    },
  },
  otherwise: 'dosing-sprays',
  minutes: 35,
  cost: 8,
  by: 'looked',
  needs: ['spanners'],
  cautions: ['hot', 'fuel'],
  harm: say('checks.it-can-seize'),
  steps: [
    say('checks.cold-remove-the-doser'),
    say('checks.where-it-can-be-commanded'),
    say('checks.clean-it-off-the-vehicle'),
  ],
  fields: [
    {
      kind: 'choice',
      id: 'passage',
      label: say('checks.passage-and-spray'),
      options: [
        ['clear', say('checks.clear-it-sprays')],
        ['narrow', say('checks.narrowed-by-carbon-it-drips')],
        ['shut', say('checks.shut')],
      ],
    },
  ],
  judge: (read) => {
    const passage = read.choice('passage');
    if (passage === undefined) return NOTHING;
    const blocked = passage !== 'clear';
    return {
      findings: { 'dosing-blocked': blocked },
      figures: [],
      sentences: [blocked ? say('checks.too-little-fuel-reaches') : say('checks.the-fuel-doser-works')],
    };
  },
};

const CYLINDER = {
  label: say('checks.cylinder'),
  possible: between(1, 16, say('checks.which-cylinder')),
} as const;

const glow: CheckCard = {
  id: 'glow',
  about: ['engine'],
  outcomes: {
    'glow-bad': {
      why: 'measured',
      leak: 0.0002,
      shows: { 'glow-plugs-failed': itself },
    },
  },
  otherwise: 'glow-good',
  minutes: 10,
  cost: 1,
  by: 'measured',
  needs: ['multimeter'],
  cautions: ['turning'],
  steps: [
    say('checks.engine-off-lead-off-each'),
    say('checks.leads-on-ignition-on-cold'),
    say('checks.do-not-force-plugs-warm'),
  ],
  fields: [
    {
      kind: 'rows',
      id: 'plugs',
      label: say('checks.plugs-open-circuit-enter-99999'),
      columns: [
        CYLINDER,
        {
          label: say('checks.resistance'),
          unit: 'ohm',
          possible: between(0, 1e6, say('checks.is-the-meter')),
        },
      ],
      start: [1, 2, 3, 4],
    },
    {
      kind: 'number',
      id: 'preheatV',
      label: say('checks.volts-at-a-plug-while'),
      unit: 'V',
      possible: between(0, 30, say('checks.is-the-meter-on-volts')),
    },
  ],
  judge: (read, { limits }) => {
    const plugs = read.rows('plugs').map(([cylinder = 0, ohm = 0]) => ({ cylinder, ohm }));
    const volts = read.number('preheatV');
    const dead = plugs.filter(({ ohm }) => ohm > limits.glowPlugOhm);
    const relay = volts !== undefined && volts < limits.glowPreheatV;
    if (plugs.length === 0 && volts === undefined) return NOTHING;
    const bad = dead.length > 0 || relay;
    return {
      findings: bad || (plugs.length > 0 && volts !== undefined) ? { 'glow-bad': bad } : {},
      figures: [
        ...plugs.map(({ cylinder, ohm }) =>
          against(say('checks.plug', { cylinder }), ohm, { unit: 'ohm', high: limits.glowPlugOhm }),
        ),
        ...(volts === undefined
          ? []
          : [
              against(say('checks.while-preheating'), volts, {
                unit: 'V' as const,
                low: limits.glowPreheatV,
              }),
            ]),
      ],
      sentences: [
        ...(dead.length > 0
          ? [say('checks.dead-plugs', { cylinders: dead.map(({ cylinder }) => cylinder) })]
          : []),
        ...(relay ? [say('checks.no-voltage-at-the-plugs')] : []),
        ...(bad
          ? [say('checks.on-many-engines-this-inhibits')]
          : plugs.length > 0 && volts !== undefined
            ? [say('checks.plugs-and-relay-work')]
            : [say('checks.measure-the-other-half-plugs')]),
      ],
    };
  },
};

/** Oil that stands at its full mark and smells of fuel has fuel in it: what was burnt or lost was made up by it. */
const AT_THE_MARK = 0.97;

const oil: CheckCard = {
  id: 'oil',
  about: ['engine'],
  outcomes: {
    'oil-diluted': {
      why: 'fuel in it',
      leak: 0.0002,
      shows: { 'oil-counter:diluted': itself },
    },
    'counter-zero': {
      why: 'not reset',
      leak: 0.0002,
      shows: { 'oil-counter:counter': itself },
    },
  },
  otherwise: 'oil-good',
  minutes: 4,
  cost: 0,
  by: 'looked',
  needs: [],
  cautions: [],
  steps: [
    say('checks.level-ground-engine-off-five'),
    say('checks.read-the-oil-life-counter'),
    say('checks.reset-the-counter-only-after'),
  ],
  fields: [
    {
      kind: 'number',
      id: 'level',
      label: say('checks.dipstick-level'),
      suffix: say('checks.of-the-way-from-min'),
      hint: say('checks.0-is-min-1'),
      possible: between(-1, 4, say('checks.0-is-the-min-mark')),
    },
    {
      kind: 'number',
      id: 'sumpL',
      label: say('checks.oil-fill-to-max'),
      suffix: 'L',
      possible: between(1, 80, say('checks.litres-to-the-max-mark')),
    },
    {
      kind: 'number',
      id: 'spanL',
      label: say('checks.between-the-marks'),
      suffix: 'L',
      hint: say('checks.1-l-if-the-maker'),
      possible: between(0.2, 20, say('checks.litres-from-min-to-max')),
    },
    {
      kind: 'number',
      id: 'dilutionPercent',
      label: say('checks.fuel-in-the-oil-if'),
      unit: 'percent',
      live: 'oilDilution',
      possible: between(0, 60, say('checks.is-it-per-cent')),
    },
    {
      kind: 'number',
      id: 'lifePercent',
      label: say('checks.oil-life-counter'),
      unit: 'percent',
      possible: between(-200, 110, say('checks.is-it-per-cent')),
    },
    {
      kind: 'choice',
      id: 'smell',
      label: say('checks.it-smells'),
      options: [
        ['oil', say('checks.of-oil')],
        ['fuel', say('checks.of-fuel')],
      ],
    },
    {
      kind: 'choice',
      id: 'lowAsh',
      label: say('checks.low-ash-oil'),
      options: [
        ['yes', say('checks.yes')],
        ['no', say('checks.no')],
        ['unknown', say('checks.not-known')],
      ],
    },
  ],
  judge: (read, { limits }) => {
    const level = read.number('level');
    const stated = read.number('dilutionPercent');
    const life = read.number('lifePercent');
    const figures: Figure[] = [];
    const sentences: Said[] = [];
    const findings: Record<string, boolean> = {};
    const byLevel =
      level === undefined
        ? undefined
        : dilutionByLevel(level, read.number('sumpL') ?? 5, read.number('spanL') ?? 1);
    const levelPercent = byLevel?.ok ? byLevel.value : undefined;
    if (level !== undefined)
      figures.push(
        against(say('checks.level'), level, {
          suffix: say('checks.of-min-to-max'),
          low: 0,
          high: limits.oilLevelHigh,
        }),
      );
    if (levelPercent !== undefined && levelPercent > 0)
      figures.push(
        against(say('checks.fuel-in-the-oil'), levelPercent, {
          unit: 'percent',
          high: limits.dilutionPercent,
        }),
      );
    if (stated !== undefined)
      figures.push(
        against(say('checks.fuel-in-the-oil-2'), stated, { unit: 'percent', high: limits.dilutionPercent }),
      );
    const most = Math.max(levelPercent ?? 0, stated ?? 0);
    const smells = read.choice('smell') === 'fuel';
    if (level !== undefined || stated !== undefined) {
      findings['oil-diluted'] = most > limits.dilutionPercent || (smells && (level ?? 0) >= AT_THE_MARK);
      if (findings['oil-diluted']) sentences.push(say('checks.fuel-from-failed-regenerations'));
    }
    if (level !== undefined && level < 0) sentences.push(say('checks.below-min-no-regeneration'));
    if (life !== undefined) {
      figures.push(
        against(say('checks.oil-life-counter'), life, {
          unit: 'percent',
          low: limits.oilLifeEndPercent + 1e-9,
        }),
      );
      findings['counter-zero'] = life <= limits.oilLifeEndPercent;
      if (findings['counter-zero']) sentences.push(say('checks.oil-life-is-used-up'));
    }
    if (read.choice('lowAsh') === 'no') sentences.push(say('checks.oil-that-is-not-low'));
    if (sentences.length === 0 && figures.length > 0)
      sentences.push(say('checks.level-and-counter-are-good'));
    return { findings, figures, sentences };
  },
};

const injectors: CheckCard = {
  id: 'injectors',
  about: ['engine'],
  outcomes: {
    'injector-leaks': {
      why: 'measured',
      leak: 0.0002,
      shows: { 'injector-over-fuelling': itself },
    },
  },
  otherwise: 'injectors-good',
  minutes: 30,
  cost: 4,
  by: 'looked',
  needs: ['spanners', 'scan-tool'],
  cautions: ['fuel', 'running-engine'],
  steps: [say('checks.warm-idle-leak-off'), say('checks.enter-one-or-the-other')],
  fields: [
    {
      kind: 'rows',
      id: 'quantities',
      label: say('checks.each-injector'),
      columns: [
        CYLINDER,
        {
          label: say('checks.leak-off-or-quantity'),
          possible: between(0, 10_000, say('checks.a-quantity-is-above-zero')),
        },
      ],
      start: [1, 2, 3, 4],
    },
  ],
  judge: (read, { limits }) => {
    const rows = read.rows('quantities').map(([cylinder = 0, quantity = 0]) => ({ cylinder, quantity }));
    const middle = median(rows.map(({ quantity }) => quantity));
    if (rows.length < 3 || middle === undefined || middle <= 0)
      return {
        ...NOTHING,
        sentences: rows.length > 0 ? [say('checks.three-injectors-or-more')] : [],
      };
    const limit = limits.injectorTrimPercent;
    const off = rows.map(({ cylinder, quantity }) => ({
      cylinder,
      percent: (100 * (quantity - middle)) / middle,
    }));
    const bad = off.filter(({ percent }) => percent > limit);
    return {
      findings: { 'injector-leaks': bad.length > 0 },
      figures: off.map(({ cylinder, percent }) =>
        against(say('checks.injector-against-the-median', { cylinder }), percent, {
          unit: 'percent',
          high: limit,
        }),
      ),
      sentences: [
        bad.length > 0
          ? say('checks.too-much-it-makes-soot', { cylinders: bad.map(({ cylinder }) => cylinder) })
          : say('checks.all-alike'),
      ],
    };
  },
};

export const ENGINE_CARDS: readonly CheckCard[] = [dosing, glow, oil, thermostat, injectors, ...USE_CARDS];
