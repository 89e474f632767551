import { describeFailure, asSentence, say } from '../../words/index.ts';
import { speedDensityGPerS } from '../../filter/index.ts';
import { against, between, NOTHING, type CheckCard } from '../card.ts';
import { egr } from './egrCard.ts';
import { itself, surely, mostly, often, hardly } from '../grades.ts';

const smoke: CheckCard = {
  id: 'intake-smoke',
  about: ['engine'],
  outcomes: {
    'smoke-before': {
      why: 'leak',
      leak: 0.0002,
      shows: { 'intake-leak': itself },
    },
    'smoke-behind': {
      why: 'leak',
      leak: 0.0002,
      shows: { 'charge-leak': itself },
    },
  },
  otherwise: 'intake-tight',
  minutes: 12,
  cost: 2,
  by: 'looked',
  needs: ['smoke-generator'],
  cautions: ['turning'],
  steps: [
    say('checks.engine-off-blow-smoke'),
    say('checks.between-maf-sensor-and-compressor'),
    say('checks.a-taped-duct'),
  ],
  fields: [
    {
      kind: 'choice',
      id: 'where',
      label: say('checks.smoke-comes-out'),
      options: [
        ['nowhere', say('checks.nowhere')],
        ['before', say('checks.between-maf-sensor-and-compressor-2')],
        ['behind', say('checks.after-the-compressor')],
        ['both', say('checks.in-both')],
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
      sentences: [
        where === 'nowhere' ? say('checks.intake-and-charge-pipes') : say('checks.it-leaks-as-seen'),
      ],
    };
  },
};

const ASSUMED_INTAKE_C = 30;

const airMass: CheckCard = {
  id: 'air-mass',
  about: ['engine'],
  outcomes: {
    'air-low': {
      why: 'not counted, or displaced by EGR',
      leak: 0.0002,
      shows: { 'intake-leak': itself, 'air-meter-failed:low': itself, 'egr-stuck-open': often },
    },
    'air-high': {
      why: 'lost downstream, or reads high',
      leak: 0.0015,
      shows: {
        'charge-leak': itself,
        'air-meter-failed:high': itself,
        'sensor-wiring:supply': mostly,
        'air-meter-failed:low': hardly,
      },
      hides: { 'intake-leak': surely },
    },
  },
  otherwise: 'air-fits',
  minutes: 4,
  cost: 0,
  by: 'measured',
  needs: ['scan-tool'],
  cautions: ['running-engine'],
  steps: [say('checks.warm-hold-2500-rpm-egr'), say('checks.read-engine-speed-manifold-pressure')],
  fields: [
    {
      kind: 'number',
      id: 'rpm',
      label: say('checks.engine-speed'),
      unit: 'rpm',
      live: 'engineSpeed',
      possible: between(500, 6000, say('checks.is-the-engine-running')),
    },
    {
      kind: 'number',
      id: 'manifoldMbar',
      label: say('checks.manifold-pressure-absolute'),
      unit: 'mbar',
      live: 'manifoldPressure',
      possible: between(500, 4500, say('checks.is-it-absolute-add')),
    },
    {
      kind: 'number',
      id: 'intakeC',
      label: say('checks.intake-air'),
      unit: 'degC',
      live: 'intakeAirTemp',
      possible: between(-40, 150, say('checks.is-it-the-intake-air')),
    },
    {
      kind: 'number',
      id: 'airGPerS',
      label: say('checks.air-mass'),
      unit: 'gPerS',
      live: 'massAirFlow',
      possible: between(0, 1500, say('checks.is-it-in-the-unit')),
    },
    {
      kind: 'number',
      id: 'egrPercent',
      label: say('checks.egr-valve'),
      unit: 'percent',
      live: 'egrPosition',
      possible: between(0, 100, say('checks.is-it-its-position')),
    },
  ],
  judge: (read, { limits, displacementL }) => {
    const [rpm, manifoldMbar, airGPerS] = ['rpm', 'manifoldMbar', 'airGPerS'].map((id) => read.number(id));
    if (rpm === undefined || manifoldMbar === undefined || airGPerS === undefined) return NOTHING;
    if (displacementL === undefined)
      return { ...NOTHING, sentences: [say('checks.engine-size-unknown-enter')] };
    const expected = speedDensityGPerS({
      displacementL,
      rpm,
      manifoldMbar,
      manifoldC: read.number('intakeC') ?? ASSUMED_INTAKE_C,
      volumetricEfficiency: limits.volumetricEfficiency,
    });
    if (!expected.ok) return { ...NOTHING, sentences: [asSentence(describeFailure(expected.failure))] };
    const { mafToSpeedDensityLow: low, mafToSpeedDensityHigh: high } = limits;
    const ratio = airGPerS / expected.value;
    const egr = read.number('egrPercent');
    const open = egr !== undefined && egr > limits.egrShutPercent;
    const undecided = open && ratio < low;
    return {
      findings: undecided ? {} : { 'air-low': ratio < low, 'air-high': ratio > high },
      figures: [
        {
          label: say('checks.expected-by-speed-and-density'),
          value: expected.value,
          unit: 'gPerS',
          state: 'plain',
        },
        against(say('checks.read-expected'), ratio, { suffix: '×', low, high }),
      ],
      sentences: [
        ...(undecided
          ? [say('checks.egr-is-open-its-gas')]
          : ratio < low
            ? [say('checks.less-air-than-the-engine')]
            : ratio > high
              ? [say('checks.more-air-than-the-engine')]
              : [say('checks.air-mass-and-manifold-pressure')]),
        ...(egr === undefined ? [say('checks.not-stated-whether-egr')] : []),
      ],
    };
  },
};

const turbo: CheckCard = {
  id: 'turbo',
  about: ['turbine'],
  outcomes: {
    'shaft-worn': {
      why: 'worn',
      leak: 0.0002,
      shows: { 'turbocharger-worn': itself },
    },
  },
  otherwise: 'shaft-good',
  minutes: 12,
  cost: 3,
  by: 'looked',
  needs: ['spanners'],
  cautions: ['turning'],
  steps: [say('checks.engine-off-cold-duct-off'), say('checks.feel-for-play-slight-sideways')],
  fields: [
    {
      kind: 'choice',
      id: 'turns',
      label: say('checks.the-shaft'),
      options: [
        ['free', say('checks.turns-freely-no-wobble')],
        ['wobbles', say('checks.wobbles-or-touches')],
        ['drags', say('checks.drags')],
      ],
    },
    {
      kind: 'choice',
      id: 'oil',
      label: say('checks.oil-in-the-duct'),
      options: [
        ['dry', say('checks.a-film-at-most')],
        ['wet', say('checks.wet')],
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
        worn ? say('checks.worn-less-boost') : say('checks.the-shaft-is-sound'),
        ...(read.choice('oil') === 'wet' ? [say('checks.oil-in-the-duct-find')] : []),
      ],
      parts: { turbine: worn ? 'failed' : 'sound' },
    };
  },
};

const vanes: CheckCard = {
  id: 'vane-sweep',
  about: ['turbine'],
  outcomes: {
    'vanes-still': {
      why: 'stuck',
      leak: 0.0002,
      shows: { 'vanes-stuck': itself },
    },
  },
  otherwise: 'vanes-move',
  minutes: 6,
  cost: 1,
  by: 'looked',
  needs: ['scan-tool'],
  cautions: ['turning'],
  steps: [say('checks.ignition-on-engine-off-command'), say('checks.no-position-offered-watch')],
  fields: [
    {
      kind: 'number',
      id: 'leastPercent',
      label: say('checks.lowest-position-in-the-sweep'),
      unit: 'percent',
      live: 'turboVanePosition',
      possible: between(-5, 105, say('checks.is-it-in-per-cent')),
    },
    {
      kind: 'number',
      id: 'mostPercent',
      label: say('checks.most'),
      unit: 'percent',
      live: 'turboVanePosition',
      possible: between(-5, 105, say('checks.is-it-in-per-cent')),
    },
    {
      kind: 'choice',
      id: 'seen',
      label: say('checks.or-seen-and-heard'),
      options: [
        ['moves', say('checks.full-rod-travel-note-changes')],
        ['sticks', say('checks.sticks-or-moves-partly')],
        ['still', say('checks.nothing-moves')],
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
        figures: [against(say('checks.travel'), travel, { unit: 'percent', low: limit })],
        sentences: [
          !still
            ? say('checks.vanes-move-from-stop')
            : at < 50
              ? say('checks.vanes-stuck-open-slow')
              : say('checks.vanes-stuck-shut-early-boost'),
        ],
        parts: { turbine: still ? 'failed' : 'sound' },
      };
    }
    if (seen === undefined) return NOTHING;
    return {
      findings: { 'vanes-still': seen !== 'moves' },
      figures: [],
      sentences: [
        seen === 'moves' ? say('checks.vanes-move-as-seen') : say('checks.vanes-do-not-reach-full'),
      ],
      parts: { turbine: seen === 'moves' ? 'sound' : 'failed' },
    };
  },
};

export const AIR_CARDS: readonly CheckCard[] = [smoke, airMass, turbo, vanes, egr];
