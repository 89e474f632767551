import { describeFailure, asSentence, say } from '../../words/index.ts';
import { against, between, NOTHING, type CheckCard } from '../card.ts';
import { itself } from '../grades.ts';
import { findPlateau } from '../measuring/plateau.ts';

export const thermostat: CheckCard = {
  id: 'thermostat',
  about: ['engine'],
  outcomes: {
    'coolant-cool': {
      why: 'stuck open',
      leak: 0.0002,
      shows: { 'thermostat-stuck-open': itself },
    },
  },
  otherwise: 'coolant-warm',
  minutes: 12,
  cost: 0,
  by: 'measured',
  needs: ['scan-tool'],
  cautions: ['running-engine'],
  steps: [say('checks.warm-up-by-driving'), say('checks.judge-the-final-temperature-never')],
  fields: [
    {
      kind: 'rows',
      id: 'coolant',
      label: say('checks.coolant'),
      columns: [
        {
          label: say('checks.seconds'),
          unit: 's',
          possible: between(0, 7200, say('checks.seconds-from-the-first-reading')),
        },
        {
          label: say('checks.coolant'),
          unit: 'degC',
          live: 'coolantTemp',
          possible: between(-40, 130, say('checks.is-it-the-coolant')),
        },
      ],
      records: { role: 'coolantTemp', seconds: 180 },
    },
  ],
  judge: (read, { limits }) => {
    const rows = read.rows('coolant');
    if (rows.length === 0) return NOTHING;
    const plateau = findPlateau(
      rows.map(([at = 0]) => at),
      rows.map(([, value = 0]) => value),
    );
    if (!plateau.ok) return { ...NOTHING, sentences: [asSentence(describeFailure(plateau.failure))] };
    const { reached, value, goesTo, perMinute } = plateau.value;
    const low = limits.coolantWarmC;
    const blamed = low + limits.thermostatBlamedAboveC;
    const cleared = Math.max(blamed, low + limits.thermostatClearedAboveC);
    const cool = value < blamed && reached;
    const rising = !reached && value < cleared;
    const between = reached && value >= blamed && value < cleared;
    return {
      findings: rising || between ? {} : { 'coolant-cool': cool },
      figures: [
        against(reached ? say('checks.settles') : say('checks.settled'), value, {
          unit: 'degC',
          low: blamed,
        }),
        { label: say('checks.rises-in-a-minute'), value: perMinute, unit: 'degC', state: 'plain' },
        ...(reached
          ? []
          : [{ label: say('checks.on-its-way'), value: goesTo, unit: 'degC', state: 'plain' } as const]),
      ],
      sentences: [
        rising
          ? say('checks.still-rising-judge-the-thermostat')
          : cool
            ? say('checks.settles-below-c-the-thermostat', { blamed })
            : between
              ? say('checks.between-and-c-inconclusive-repeat', { blamed, cleared })
              : say('checks.warm-enough'),
      ],
    };
  },
};
