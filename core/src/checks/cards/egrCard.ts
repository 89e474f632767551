import { say } from '../../words/index.ts';
import { against, between, type CheckCard } from '../card.ts';
import { itself } from '../grades.ts';

const LEAST_TO_COOL_C = 30;

export const egr: CheckCard = {
  id: 'egr',
  about: ['engine'],
  outcomes: {
    'egr-open': {
      why: 'stuck',
      leak: 0.0002,
      shows: { 'egr-stuck-open': itself },
    },
    'egr-shut': {
      why: 'stuck, or blocked',
      leak: 0.0002,
      shows: { 'egr-stuck-shut': itself },
    },
    'egr-hot': {
      why: 'fouled',
      leak: 0.0002,
      shows: { 'egr-cooler-fouled': itself },
    },
  },
  otherwise: 'egr-good',
  minutes: 10,
  cost: 2,
  by: 'looked',
  needs: ['scan-tool', 'contact-thermometer'],
  cautions: ['running-engine', 'hot'],
  steps: [
    say('checks.warm-idle-command-the-valve'),
    say('checks.command-it-wide-open'),
    say('checks.then-2000-rpm-for-two'),
  ],
  fields: [
    {
      kind: 'number',
      id: 'shutPercent',
      label: say('checks.position-commanded-shut'),
      unit: 'percent',
      live: 'egrPosition',
      possible: between(-5, 105, say('checks.is-it-in-per-cent')),
    },
    {
      kind: 'number',
      id: 'openPercent',
      label: say('checks.position-commanded-open'),
      unit: 'percent',
      live: 'egrPosition',
      possible: between(-5, 105, say('checks.is-it-in-per-cent')),
    },
    {
      kind: 'number',
      id: 'behindC',
      label: say('checks.gas-after-the-egr-cooler'),
      unit: 'degC',
      possible: between(-40, 700, say('checks.is-it-in-c')),
    },
    {
      kind: 'number',
      id: 'coolantC',
      label: say('checks.coolant-then'),
      unit: 'degC',
      live: 'coolantTemp',
      possible: between(-40, 130, say('checks.is-it-the-coolant')),
    },
    {
      kind: 'number',
      id: 'gasC',
      label: say('checks.gas-before-the-egr-cooler'),
      unit: 'degC',
      live: 'egt1',
      possible: between(-40, 1100, say('checks.is-it-in-c')),
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
          : [
              against(say('checks.commanded-shut'), shut, {
                unit: 'percent' as const,
                high: limits.egrShutPercent,
              }),
            ]),
        ...(left === undefined
          ? []
          : [
              against(say('checks.heat-left-by-the-egr'), left, {
                unit: 'percent' as const,
                high: limits.egrCooledPercent,
              }),
            ]),
      ],
      sentences: [
        ...(open ? [say('checks.the-valve-does-not-shut')] : []),
        ...(stuckShut ? [say('checks.the-valve-does-not-open')] : []),
        ...(hot ? [say('checks.the-egr-cooler-removes-too')] : []),
        ...(open === false && stuckShut !== true && hot === false
          ? [say('checks.egr-valve-and-cooler-work')]
          : []),
      ],
    };
  },
};
