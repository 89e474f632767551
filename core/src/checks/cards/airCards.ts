import { describeFailure } from '../../quantities/index.ts';
import { speedDensityGPerS } from '../../filter/index.ts';
import { against, between, NOTHING, type CheckCard } from '../card.ts';

const smoke: CheckCard = {
  id: 'intake-smoke',
  outcomes: ['smoke-before', 'smoke-behind'],
  otherwise: 'intake-tight',
  minutes: 12,
  cost: 2,
  by: 'looked',
  needs: ['smoke-generator'],
  cautions: ['turning'],
  steps: [
    'Engine off. Smoke in behind the air meter, at little pressure; look along the duct to the compressor, then the charge pipes and the cooler.',
    'Between meter and compressor the engine gets air that is not counted; behind the compressor counted air is lost.',
    'A duct that is taped is a temporary repair: enter it as one.',
  ],
  fields: [
    {
      kind: 'choice',
      id: 'where',
      label: 'Smoke comes out',
      options: [
        ['nowhere', 'nowhere'],
        ['before', 'between air meter and compressor'],
        ['behind', 'behind the compressor'],
        ['both', 'in both'],
      ],
    },
  ],
  judge: (read) => {
    const where = read.choice('where');
    if (where === undefined) return NOTHING;
    return {
      findings: {
        'smoke-before': where === 'before' || where === 'both',
        'smoke-behind': where === 'behind' || where === 'both',
      },
      figures: [],
      sentences: [where === 'nowhere' ? 'Intake and charge pipes are tight.' : 'It leaks, as seen.'],
    };
  },
};

const ASSUMED_INTAKE_C = 30;

const airMass: CheckCard = {
  id: 'air-mass',
  outcomes: ['air-low', 'air-high'],
  otherwise: 'air-fits',
  minutes: 4,
  cost: 0,
  by: 'measured',
  needs: ['scan-tool'],
  cautions: ['running-engine'],
  steps: [
    'Warm, in a hold of 2500 rpm, recirculation shut (command it, or unplug its valve and clear the code after).',
    'Read engine speed, manifold pressure, intake air and air mass at the same moment.',
  ],
  fields: [
    {
      kind: 'number',
      id: 'rpm',
      label: 'Engine speed',
      unit: 'rpm',
      live: 'engineSpeed',
      possible: between(500, 6000, 'Is the engine running?'),
    },
    {
      kind: 'number',
      id: 'manifoldMbar',
      label: 'Manifold pressure, absolute',
      unit: 'mbar',
      live: 'manifoldPressure',
      possible: between(500, 4500, 'Is it absolute? A gauge pressure wants the barometer added.'),
    },
    {
      kind: 'number',
      id: 'intakeC',
      label: 'Intake air',
      unit: 'degC',
      live: 'intakeAirTemp',
      possible: between(-40, 150, 'Is it the intake air?'),
    },
    {
      kind: 'number',
      id: 'airGPerS',
      label: 'Air mass',
      unit: 'gPerS',
      live: 'massAirFlow',
      possible: between(0, 1500, 'Is it in the unit that is shown?'),
    },
    {
      kind: 'number',
      id: 'egrPercent',
      label: 'Recirculation valve',
      unit: 'percent',
      live: 'egrPosition',
      possible: between(0, 100, 'Is it its position?'),
    },
  ],
  judge: (read, { limits, displacementL }) => {
    const [rpm, manifoldMbar, airGPerS] = ['rpm', 'manifoldMbar', 'airGPerS'].map((id) => read.number(id));
    if (rpm === undefined || manifoldMbar === undefined || airGPerS === undefined) return NOTHING;
    if (displacementL === undefined)
      return { ...NOTHING, sentences: ['The engine’s size is not known: enter it with the vehicle.'] };
    const expected = speedDensityGPerS({
      displacementL,
      rpm,
      manifoldMbar,
      manifoldC: read.number('intakeC') ?? ASSUMED_INTAKE_C,
      volumetricEfficiency: limits.volumetricEfficiency,
    });
    if (!expected.ok) return { ...NOTHING, sentences: [`${describeFailure(expected.failure)}.`] };
    const { mafToSpeedDensityLow: low, mafToSpeedDensityHigh: high } = limits;
    const ratio = airGPerS / expected.value;
    const egr = read.number('egrPercent');
    const open = egr !== undefined && egr > limits.egrShutPercent;
    const undecided = open && ratio < low;
    return {
      findings: undecided ? {} : { 'air-low': ratio < low, 'air-high': ratio > high },
      figures: [
        { label: 'Called for by speed and density', value: expected.value, unit: 'gPerS', state: 'plain' },
        against('Read over called for', ratio, { suffix: '×', low, high }),
      ],
      sentences: [
        ...(undecided
          ? [
              'Recirculation is open: its gas takes the place of air and looks like a leak. Shut it and read again.',
            ]
          : ratio < low
            ? [
                'Less air than the engine takes in: it gets in behind the meter, the meter reads low, or exhaust gas takes its place.',
              ]
            : ratio > high
              ? [
                  'More air than the engine takes in: it is lost behind the compressor, or the meter reads high.',
                ]
              : ['Air mass and manifold pressure agree.']),
        ...(egr === undefined ? ['Whether recirculation was shut is not said.'] : []),
      ],
    };
  },
};

const turbo: CheckCard = {
  id: 'turbo',
  outcomes: ['shaft-worn'],
  otherwise: 'shaft-good',
  minutes: 12,
  cost: 3,
  by: 'looked',
  needs: ['spanners'],
  cautions: ['turning'],
  steps: [
    'Engine off, cold, duct off the compressor. Turn the shaft by hand: it spins on by itself.',
    'Feel for play: a little sideways is oil film, in and out there must be none. Look for oil and rubbed blades.',
  ],
  fields: [
    {
      kind: 'choice',
      id: 'turns',
      label: 'The shaft',
      options: [
        ['free', 'turns freely, no wobble'],
        ['wobbles', 'wobbles or touches'],
        ['drags', 'drags'],
      ],
    },
    {
      kind: 'choice',
      id: 'oil',
      label: 'Oil in the duct',
      options: [
        ['dry', 'a film at most'],
        ['wet', 'wet'],
      ],
    },
  ],
  judge: (read) => {
    const turns = read.choice('turns');
    if (turns === undefined) return NOTHING;
    const worn = turns !== 'free';
    return {
      findings: { 'shaft-worn': worn },
      figures: [],
      sentences: [
        worn ? 'Worn: it makes less boost than it should.' : 'The shaft is sound.',
        ...(read.choice('oil') === 'wet' ? ['Oil stands in the duct: look where it comes from.'] : []),
      ],
      parts: { turbine: worn ? 'failed' : 'sound' },
    };
  },
};

const vanes: CheckCard = {
  id: 'vane-sweep',
  outcomes: ['vanes-still'],
  otherwise: 'vanes-move',
  minutes: 6,
  cost: 1,
  by: 'looked',
  needs: ['scan-tool'],
  cautions: ['turning'],
  steps: [
    'Ignition on, engine off. Command the sweep and read the least and the most that the position shows.',
    'Where no position is offered: watch the rod of the actuator, or listen for the note at a raised idle.',
  ],
  fields: [
    {
      kind: 'number',
      id: 'leastPercent',
      label: 'Least position in the sweep',
      unit: 'percent',
      live: 'turboVanePosition',
      possible: between(-5, 105, 'Is it in per cent?'),
    },
    {
      kind: 'number',
      id: 'mostPercent',
      label: 'Most',
      unit: 'percent',
      live: 'turboVanePosition',
      possible: between(-5, 105, 'Is it in per cent?'),
    },
    {
      kind: 'choice',
      id: 'seen',
      label: 'or seen and heard',
      options: [
        ['moves', 'the rod goes its whole way, the note changes'],
        ['sticks', 'it hangs, or goes part of its way'],
        ['still', 'nothing moves'],
      ],
    },
  ],
  judge: (read, { limits }) => {
    const [least, most] = [read.number('leastPercent'), read.number('mostPercent')];
    const seen = read.choice('seen');
    const limit = limits.vaneTravelPercent;
    if (least !== undefined && most !== undefined) {
      const travel = Math.abs(most - least);
      const still = travel < limit;
      const at = (least + most) / 2;
      return {
        findings: { 'vanes-still': still },
        figures: [against('Travel', travel, { unit: 'percent', low: limit })],
        sentences: [
          !still
            ? 'They move from stop to stop.'
            : at < 50
              ? 'They hang open: slow to pull away, a deep note.'
              : 'They hang shut: boost comes early, choked at high revs.',
        ],
        parts: { turbine: still ? 'failed' : 'sound' },
      };
    }
    if (seen === undefined) return NOTHING;
    return {
      findings: { 'vanes-still': seen !== 'moves' },
      figures: [],
      sentences: [seen === 'moves' ? 'They move, as seen.' : 'They do not go their whole way.'],
      parts: { turbine: seen === 'moves' ? 'sound' : 'failed' },
    };
  },
};

const LEAST_TO_COOL_C = 30;

const egr: CheckCard = {
  id: 'egr',
  outcomes: ['egr-open', 'egr-shut', 'egr-hot'],
  otherwise: 'egr-good',
  minutes: 10,
  cost: 2,
  by: 'looked',
  needs: ['scan-tool', 'contact-thermometer'],
  cautions: ['running-engine', 'hot'],
  steps: [
    'Warm idle: command the valve shut and read its position.',
    'Command it wide open and read its position again.',
    'Then at 2000 rpm for two minutes; contact thermometer on the pipe behind the cooler, and coolant.',
  ],
  fields: [
    {
      kind: 'number',
      id: 'shutPercent',
      label: 'Position, commanded shut',
      unit: 'percent',
      live: 'egrPosition',
      possible: between(-5, 105, 'Is it in per cent?'),
    },
    {
      kind: 'number',
      id: 'openPercent',
      label: 'Position, commanded open',
      unit: 'percent',
      live: 'egrPosition',
      possible: between(-5, 105, 'Is it in per cent?'),
    },
    {
      kind: 'number',
      id: 'behindC',
      label: 'Gas behind the cooler, commanded open',
      unit: 'degC',
      possible: between(-40, 700, 'Is it in °C?'),
    },
    {
      kind: 'number',
      id: 'coolantC',
      label: 'Coolant then',
      unit: 'degC',
      live: 'coolantTemp',
      possible: between(-40, 130, 'Is it the coolant?'),
    },
    {
      kind: 'number',
      id: 'gasC',
      label: 'Gas ahead of the cooler: EGT before the turbine',
      unit: 'degC',
      live: 'egt1',
      possible: between(-40, 1100, 'Is it in °C?'),
    },
  ],
  judge: (read, { limits }) => {
    const shut = read.number('shutPercent');
    const [behind, coolant, gas] = [read.number('behindC'), read.number('coolantC'), read.number('gasC')];
    // What the cooler leaves of what the gas was hotter: the same at every load. Little to take out shows nothing.
    const left =
      behind !== undefined && coolant !== undefined && gas !== undefined && gas > coolant + LEAST_TO_COOL_C
        ? (100 * (behind - coolant)) / (gas - coolant)
        : undefined;
    const opened = read.number('openPercent');
    const open = shut === undefined ? undefined : shut > limits.egrShutPercent;
    // What stands open has moved once: it is not shut.
    const stuckShut = opened === undefined ? undefined : open !== true && opened < limits.egrOpenPercent;
    const hot = left === undefined ? undefined : left > limits.egrCooledPercent;
    return {
      findings: {
        ...(open === undefined ? {} : { 'egr-open': open }),
        ...(stuckShut === undefined ? {} : { 'egr-shut': stuckShut }),
        ...(hot === undefined ? {} : { 'egr-hot': hot }),
      },
      figures: [
        ...(shut === undefined
          ? []
          : [against('Commanded shut', shut, { unit: 'percent' as const, high: limits.egrShutPercent })]),
        ...(left === undefined
          ? []
          : [
              against('Heat that the cooler leaves', left, {
                unit: 'percent' as const,
                high: limits.egrCooledPercent,
              }),
            ]),
      ],
      sentences: [
        ...(open ? ['The valve does not shut: exhaust gas takes the place of air all the time.'] : []),
        ...(stuckShut ? ['The valve does not open, or stays near its stop.'] : []),
        ...(hot ? ['The cooler takes too little heat out: it is fouled.'] : []),
        ...(open === false && stuckShut !== true && hot === false
          ? ['Valve and cooler do what they should.']
          : []),
      ],
    };
  },
};

export const AIR_CARDS: readonly CheckCard[] = [smoke, airMass, turbo, vanes, egr];
