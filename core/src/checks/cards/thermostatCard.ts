import { against, between, NOTHING, type CheckCard } from '../card.ts';
import { findPlateau } from '../measuring/plateau.ts';

export const thermostat: CheckCard = {
  id: 'thermostat',
  outcomes: ['coolant-cool'],
  otherwise: 'coolant-warm',
  minutes: 12,
  cost: 0,
  by: 'measured',
  needs: ['scan-tool'],
  cautions: ['running-engine'],
  steps: [
    'Warm up by driving or raised revs, heater off, until the coolant stops rising; then record two minutes or more.',
    'Judge the final temperature, never the warm-up.',
  ],
  fields: [
    {
      kind: 'rows',
      id: 'coolant',
      label: 'Coolant',
      columns: [
        { label: 'Seconds', unit: 's', possible: between(0, 7200, 'Seconds from the first reading on?') },
        {
          label: 'Coolant',
          unit: 'degC',
          live: 'coolantTemp',
          possible: between(-40, 130, 'Is it the coolant?'),
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
    if (!plateau.ok)
      return { ...NOTHING, sentences: [`${plateau.failure.field} ${plateau.failure.requirement}.`] };
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
        against(reached ? 'Settles at' : 'Settled at', value, { unit: 'degC', low: blamed }),
        { label: 'Rises in a minute by', value: perMinute, unit: 'degC', state: 'plain' },
        ...(reached
          ? []
          : [{ label: 'On its way to', value: goesTo, unit: 'degC', state: 'plain' } as const]),
      ],
      sentences: [
        rising
          ? 'Still rising: judge the thermostat at its final temperature. Continue.'
          : cool
            ? `Settles below ${blamed} °C: the thermostat does not close, and regeneration is inhibited.`
            : between
              ? `Between ${blamed} and ${cleared} °C: inconclusive; repeat after a drive under load.`
              : 'Warm enough.',
      ],
    };
  },
};
