import { median } from '../../quantities/index.ts';
import { against, between, NOTHING, type CheckCard, type Figure } from '../card.ts';
import { dilutionByLevel } from '../measuring/oil.ts';
import { thermostat } from './thermostatCard.ts';

const dosing: CheckCard = {
  id: 'dosing-injector',
  outcomes: ['dosing-blocked'],
  otherwise: 'dosing-sprays',
  minutes: 35,
  cost: 8,
  by: 'looked',
  needs: ['spanners'],
  cautions: ['hot', 'fuel'],
  harm: 'It can seize in its seat: use penetrating fluid and time.',
  steps: [
    'Cold. Remove the doser and look into its passage: a drill of bore size must pass by hand.',
    'Where it can be commanded: spray into a glass, away from anything hot.',
    'Clean it off the vehicle by solvent or ultrasonic bath, never by flame.',
  ],
  fields: [
    {
      kind: 'choice',
      id: 'passage',
      label: 'Passage and spray',
      options: [
        ['clear', 'clear, it sprays'],
        ['narrow', 'narrowed by carbon, it drips'],
        ['shut', 'shut'],
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
      sentences: [
        blocked
          ? 'Too little fuel reaches the exhaust: a regeneration cannot get hot.'
          : 'The fuel doser works.',
      ],
    };
  },
};

const CYLINDER = {
  label: 'Cylinder',
  possible: between(1, 16, 'Which cylinder?'),
} as const;

const glow: CheckCard = {
  id: 'glow',
  outcomes: ['glow-bad'],
  otherwise: 'glow-good',
  minutes: 10,
  cost: 1,
  by: 'measured',
  needs: ['multimeter'],
  cautions: ['turning'],
  steps: [
    'Engine off. Lead off each plug, Ω to engine ground.',
    'Leads on, ignition on, cold engine: volts at the plugs while it preheats. Nothing: the relay, its fuse, or no command.',
    'Do not force plugs: warm engine, penetrating fluid, maker’s torque.',
  ],
  fields: [
    {
      kind: 'rows',
      id: 'plugs',
      label: 'Plugs; open circuit: enter 99999',
      columns: [
        CYLINDER,
        { label: 'Resistance', unit: 'ohm', possible: between(0, 1e6, 'Is the meter on Ω?') },
      ],
      start: [1, 2, 3, 4],
    },
    {
      kind: 'number',
      id: 'preheatV',
      label: 'Volts at a plug while it preheats',
      unit: 'V',
      possible: between(0, 30, 'Is the meter on volts?'),
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
          against(`Plug ${cylinder}`, ohm, { unit: 'ohm', high: limits.glowPlugOhm }),
        ),
        ...(volts === undefined
          ? []
          : [against('While preheating', volts, { unit: 'V' as const, low: limits.glowPreheatV })]),
      ],
      sentences: [
        ...(dead.length > 0 ? [`Dead: ${dead.map(({ cylinder }) => `plug ${cylinder}`).join(', ')}.`] : []),
        ...(relay ? ['No voltage at the plugs: relay, fuse, or not commanded.'] : []),
        ...(bad
          ? ['On many engines this inhibits regeneration, even if the engine starts.']
          : plugs.length > 0 && volts !== undefined
            ? ['Plugs and relay work.']
            : ['Measure the other half: plugs, or the voltage arriving.']),
      ],
    };
  },
};

/** Oil that stands at its full mark and smells of fuel has fuel in it: what was burnt or lost was made up by it. */
const AT_THE_MARK = 0.97;

const oil: CheckCard = {
  id: 'oil',
  outcomes: ['oil-diluted', 'counter-zero'],
  otherwise: 'oil-good',
  minutes: 4,
  cost: 0,
  by: 'looked',
  needs: [],
  cautions: [],
  steps: [
    'Level ground, engine off five minutes: read the dipstick and smell it.',
    'Read the oil-life counter, the last change, and whether the oil is low-ash.',
    'Reset the counter only after a real oil change.',
  ],
  fields: [
    {
      kind: 'number',
      id: 'level',
      label: 'Dipstick level',
      suffix: 'of the way from min to max',
      hint: '0 is min, 1 is max, 1.5 is half as much again',
      possible: between(-1, 4, '0 is the min mark and 1 the max mark.'),
    },
    {
      kind: 'number',
      id: 'sumpL',
      label: 'Oil fill to max',
      suffix: 'L',
      possible: between(1, 80, 'Litres to the max mark?'),
    },
    {
      kind: 'number',
      id: 'spanL',
      label: 'Between the marks',
      suffix: 'L',
      hint: '1 L if the maker gives none',
      possible: between(0.2, 20, 'Litres from min to max?'),
    },
    {
      kind: 'number',
      id: 'dilutionPercent',
      label: 'Fuel in the oil, if a channel or test gives it',
      unit: 'percent',
      live: 'oilDilution',
      possible: between(0, 60, 'Is it per cent?'),
    },
    {
      kind: 'number',
      id: 'lifePercent',
      label: 'Oil-life counter',
      unit: 'percent',
      possible: between(-200, 110, 'Is it per cent?'),
    },
    {
      kind: 'choice',
      id: 'smell',
      label: 'It smells',
      options: [
        ['oil', 'of oil'],
        ['fuel', 'of fuel'],
      ],
    },
    {
      kind: 'choice',
      id: 'lowAsh',
      label: 'Low-ash oil of the maker’s specification',
      options: [
        ['yes', 'yes'],
        ['no', 'no'],
        ['unknown', 'not known'],
      ],
    },
  ],
  judge: (read, { limits }) => {
    const level = read.number('level');
    const stated = read.number('dilutionPercent');
    const life = read.number('lifePercent');
    const figures: Figure[] = [];
    const sentences: string[] = [];
    const findings: Record<string, boolean> = {};
    const byLevel =
      level === undefined
        ? undefined
        : dilutionByLevel(level, read.number('sumpL') ?? 5, read.number('spanL') ?? 1);
    const levelPercent = byLevel?.ok ? byLevel.value : undefined;
    if (level !== undefined)
      figures.push(against('Level', level, { suffix: 'of min to max', low: 0, high: limits.oilLevelHigh }));
    if (levelPercent !== undefined && levelPercent > 0)
      figures.push(
        against('Fuel in the oil by the level, at least', levelPercent, {
          unit: 'percent',
          high: limits.dilutionPercent,
        }),
      );
    if (stated !== undefined)
      figures.push(against('Fuel in the oil', stated, { unit: 'percent', high: limits.dilutionPercent }));
    const most = Math.max(levelPercent ?? 0, stated ?? 0);
    const smells = read.choice('smell') === 'fuel';
    if (level !== undefined || stated !== undefined) {
      findings['oil-diluted'] = most > limits.dilutionPercent || (smells && (level ?? 0) >= AT_THE_MARK);
      if (findings['oil-diluted'])
        sentences.push('Fuel from failed regenerations is in the oil: no regeneration before an oil change.');
    }
    if (level !== undefined && level < 0)
      sentences.push('Below min: no regeneration or high revs before topping up.');
    if (life !== undefined) {
      figures.push(
        against('Oil-life counter', life, { unit: 'percent', low: limits.oilLifeEndPercent + 1e-9 }),
      );
      findings['counter-zero'] = life <= limits.oilLifeEndPercent;
      if (findings['counter-zero']) sentences.push('Oil life is used up: some ECUs inhibit regeneration.');
    }
    if (read.choice('lowAsh') === 'no')
      sentences.push('Oil that is not low-ash fills the filter with ash: change it.');
    if (sentences.length === 0 && figures.length > 0) sentences.push('Level and counter are good.');
    return { findings, figures, sentences };
  },
};

const injectors: CheckCard = {
  id: 'injectors',
  outcomes: ['injector-leaks'],
  otherwise: 'injectors-good',
  minutes: 30,
  cost: 4,
  by: 'looked',
  needs: ['spanners', 'scan-tool'],
  cautions: ['fuel', 'running-engine'],
  steps: [
    'Warm idle. Leak-off of each injector into its own glass for equal time; or the ECU’s correction for each.',
    'Enter one or the other, one unit for all.',
  ],
  fields: [
    {
      kind: 'rows',
      id: 'quantities',
      label: 'Each injector',
      columns: [
        CYLINDER,
        { label: 'Leak-off or quantity', possible: between(0, 10_000, 'A quantity is above zero.') },
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
        sentences: rows.length > 0 ? ['Three injectors or more are needed to find the odd one.'] : [],
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
        against(`Injector ${cylinder} against the median`, percent, { unit: 'percent', high: limit }),
      ),
      sentences: [
        bad.length > 0
          ? `Too much: ${bad.map(({ cylinder }) => `injector ${cylinder}`).join(', ')}. It makes soot.`
          : 'All alike.',
      ],
    };
  },
};

const fuelLevel: CheckCard = {
  id: 'fuel-level',
  outcomes: ['fuel-under'],
  otherwise: 'fuel-enough',
  minutes: 1,
  cost: 0,
  by: 'looked',
  needs: [],
  cautions: [],
  steps: ['Read the gauge, or its channel.'],
  fields: [
    {
      kind: 'number',
      id: 'fuelPercent',
      label: 'Fuel in the tank',
      unit: 'percent',
      live: 'fuelLevel',
      possible: between(0, 105, 'Is it per cent of the tank?'),
    },
  ],
  judge: (read, { limits }) => {
    const fuel = read.number('fuelPercent');
    if (fuel === undefined) return NOTHING;
    const low = limits.fuelLowPercent;
    return {
      findings: { 'fuel-under': fuel < low },
      figures: [against('Fuel', fuel, { unit: 'percent', low })],
      sentences: [fuel < low ? 'Too little: many ECUs will not start a regeneration.' : 'Enough.'],
    };
  },
};

const useHistory: CheckCard = {
  id: 'use-history',
  outcomes: ['use-slow'],
  otherwise: 'use-fits',
  minutes: 2,
  cost: 0,
  by: 'looked',
  needs: ['scan-tool'],
  cautions: [],
  steps: [
    'Read distance and engine hours from the ECU or body module.',
    'Distance over hours is the average speed: below some 28 km/h an engine seldom gets hot enough.',
  ],
  fields: [
    {
      kind: 'number',
      id: 'distanceKm',
      label: 'Distance',
      unit: 'km',
      possible: between(1, 3e6, 'Is it the whole distance?'),
    },
    {
      kind: 'number',
      id: 'hours',
      label: 'Engine hours',
      suffix: 'h',
      possible: between(0.1, 1e5, 'Is it in hours?'),
    },
  ],
  judge: (read, { limits }) => {
    const [distance, hours] = [read.number('distanceKm'), read.number('hours')];
    if (distance === undefined || hours === undefined) return NOTHING;
    const average = distance / hours;
    const low = limits.useAverageKmPerH;
    const slow = average < low;
    return {
      findings: { 'use-slow': slow },
      figures: [against('Average speed', average, { unit: 'kmPerH', low })],
      sentences: [
        slow
          ? 'Short, slow trips or long idling: soot builds up. A clean alone will not last.'
          : 'Driven far and fast enough, on average.',
      ],
    };
  },
};

export const ENGINE_CARDS: readonly CheckCard[] = [
  dosing,
  glow,
  oil,
  thermostat,
  injectors,
  fuelLevel,
  useHistory,
];
