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
    'Engine off. Blow smoke in after the MAF sensor at low pressure. Follow the duct to the compressor, then charge pipes and intercooler.',
    'Between MAF sensor and compressor, uncounted air gets in; after the compressor, counted air is lost.',
    'A taped duct is a temporary repair: enter it as one.',
  ],
  fields: [
    {
      kind: 'choice',
      id: 'where',
      label: 'Smoke comes out',
      options: [
        ['nowhere', 'nowhere'],
        ['before', 'between MAF sensor and compressor'],
        ['behind', 'after the compressor'],
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
    'Warm, hold 2500 rpm, EGR shut (command it, or unplug the valve and clear the code afterwards).',
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
      possible: between(500, 4500, 'Is it absolute? Add the barometer to a gauge pressure.'),
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
      label: 'EGR valve',
      unit: 'percent',
      live: 'egrPosition',
      possible: between(0, 100, 'Is it its position?'),
    },
  ],
  judge: (read, { limits, displacementL }) => {
    const [rpm, manifoldMbar, airGPerS] = ['rpm', 'manifoldMbar', 'airGPerS'].map((id) => read.number(id));
    if (rpm === undefined || manifoldMbar === undefined || airGPerS === undefined) return NOTHING;
    if (displacementL === undefined)
      return { ...NOTHING, sentences: ['Engine size unknown: enter it with the vehicle.'] };
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
        { label: 'Expected by speed and density', value: expected.value, unit: 'gPerS', state: 'plain' },
        against('Read ÷ expected', ratio, { suffix: '×', low, high }),
      ],
      sentences: [
        ...(undecided
          ? ['EGR is open: its gas displaces air and looks like a leak. Shut it and read again.']
          : ratio < low
            ? [
                'Less air than the engine takes in: a leak after the MAF sensor, a low-reading MAF sensor, or EGR.',
              ]
            : ratio > high
              ? [
                  'More air than the engine takes in: it is lost after the compressor, or the meter reads high.',
                ]
              : ['Air mass and manifold pressure agree.']),
        ...(egr === undefined ? ['Not stated whether EGR was shut.'] : []),
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
    'Engine off, cold, duct off the compressor. Turn the shaft by hand: it must spin freely.',
    'Feel for play: slight sideways is normal, none in and out. Look for oil and rubbed blades.',
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
        worn ? 'Worn: less boost than it should make.' : 'The shaft is sound.',
        ...(read.choice('oil') === 'wet' ? ['Oil in the duct: find its source.'] : []),
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
    'Ignition on, engine off. Command the sweep; read the lowest and highest position.',
    'No position offered: watch the actuator rod, or listen at a raised idle.',
  ],
  fields: [
    {
      kind: 'number',
      id: 'leastPercent',
      label: 'Lowest position in the sweep',
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
        ['moves', 'full rod travel, note changes'],
        ['sticks', 'sticks or moves partly'],
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
            ? 'Vanes move from stop to stop.'
            : at < 50
              ? 'Vanes stuck open: slow to pull away, deep note.'
              : 'Vanes stuck shut: early boost, choked at high revs.',
        ],
        parts: { turbine: still ? 'failed' : 'sound' },
      };
    }
    if (seen === undefined) return NOTHING;
    return {
      findings: { 'vanes-still': seen !== 'moves' },
      figures: [],
      sentences: [seen === 'moves' ? 'Vanes move, as seen.' : 'Vanes do not reach full travel.'],
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
    'Then 2000 rpm for two minutes; contact thermometer on the pipe after the EGR cooler, and coolant.',
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
      label: 'Gas after the EGR cooler, commanded open',
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
      label: 'Gas before the EGR cooler: EGT before the turbo',
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
              against('Heat left by the EGR cooler', left, {
                unit: 'percent' as const,
                high: limits.egrCooledPercent,
              }),
            ]),
      ],
      sentences: [
        ...(open ? ['The valve does not shut: exhaust gas displaces air all the time.'] : []),
        ...(stuckShut ? ['The valve does not open, or stays near its stop.'] : []),
        ...(hot ? ['The EGR cooler removes too little heat: it is fouled.'] : []),
        ...(open === false && stuckShut !== true && hot === false ? ['EGR valve and cooler work.'] : []),
      ],
    };
  },
};

export const AIR_CARDS: readonly CheckCard[] = [smoke, airMass, turbo, vanes, egr];
