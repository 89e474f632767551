import { pressureText, standardBarometerMbar } from '../../quantities/index.ts';
import { against, between, NOTHING, type CheckCard, type Figure } from '../card.ts';

const ABSOLUTE = between(
  200,
  // A broken element shows its end of scale, which is far above what any line holds.
  10_000,
  'Absolute pressures are near 1000 at rest: is this a gauge pressure? Add the barometer.',
);
const AIR = between(500, 1100, 'Outside air is 500 to 1100 mbar: which channel is this?');

/** Key on, engine off: all absolute sensors show the air outside; again hot, or cold. */
const agree: CheckCard = {
  id: 'absolute-agree',
  outcomes: ['all-off', 'back-pressure-off', 'manifold-off'],
  otherwise: 'absolutes-agree',
  minutes: 3,
  cost: 0,
  by: 'looked',
  needs: ['scan-tool'],
  cautions: [],
  steps: [
    'Ignition on, engine off for a minute. Read manifold, back-pressure and barometer together.',
    'If only volts are offered, note the sensor’s characteristic and convert.',
    'Repeat hot, or cold the next morning: drift may show in only one.',
  ],
  fields: [
    {
      kind: 'number',
      id: 'barometerMbar',
      label: 'Barometer',
      unit: 'mbar',
      live: 'barometricPressure',
      possible: AIR,
    },
    {
      kind: 'number',
      id: 'altitudeM',
      label: 'Altitude',
      suffix: 'm',
      hint: 'Checks the barometer itself',
      possible: between(-450, 5500, 'Is it in metres?'),
    },
    {
      kind: 'number',
      id: 'manifoldMbar',
      label: 'Manifold pressure',
      unit: 'mbar',
      live: 'manifoldPressure',
      possible: ABSOLUTE,
    },
    {
      kind: 'number',
      id: 'backPressureMbar',
      label: 'Pressure before the turbo',
      unit: 'mbar',
      live: 'exhaustBackPressure',
      possible: ABSOLUTE,
    },
    {
      kind: 'number',
      id: 'manifoldAgainMbar',
      label: 'Manifold pressure, again hot or cold',
      unit: 'mbar',
      live: 'manifoldPressure',
      possible: ABSOLUTE,
    },
    {
      kind: 'number',
      id: 'backPressureAgainMbar',
      label: 'Before the turbo, again hot or cold',
      unit: 'mbar',
      live: 'exhaustBackPressure',
      possible: ABSOLUTE,
    },
  ],
  judge: (read, { limits, pressureUnit }) => {
    const barometer = read.number('barometerMbar');
    if (barometer === undefined) return NOTHING;
    const percent = limits.keyOnPercent;
    const off = (value: number): number => (100 * (value - barometer)) / barometer;
    const figures: Figure[] = [];
    const sentences: string[] = [];
    const altitude = read.number('altitudeM');
    if (altitude !== undefined) {
      const standard = standardBarometerMbar(altitude);
      const room = limits.weatherMbar;
      const strange = Math.abs(barometer - standard) > room;
      figures.push(
        against('Barometer', barometer, {
          unit: 'mbar',
          low: standard - room,
          high: standard + room,
          doubtful: true,
        }),
      );
      if (strange)
        sentences.push(
          `At ${altitude.toFixed(0)} m the air is about ${pressureText(standard, pressureUnit)}: the barometer itself is doubtful.`,
        );
    }
    const offOf = (ids: readonly string[], label: string): boolean | undefined => {
      const read_ = ids.flatMap((id) => read.number(id) ?? []);
      if (read_.length === 0) return undefined;
      for (const value of read_)
        figures.push(
          against(`${label} off the barometer`, off(value), {
            unit: 'percent',
            low: -percent,
            high: percent,
          }),
        );
      const worst = read_.reduce((a, b) => (Math.abs(off(b)) > Math.abs(off(a)) ? b : a));
      const wrong = Math.abs(off(worst)) > percent;
      const first = read_[0];
      if (wrong && read_.length > 1 && first !== undefined && Math.abs(off(first)) <= percent)
        sentences.push(`${label}: right once, wrong once: it drifts with heat.`);
      return wrong;
    };
    const manifold = offOf(['manifoldMbar', 'manifoldAgainMbar'], 'Manifold');
    const back = offOf(['backPressureMbar', 'backPressureAgainMbar'], 'Before the turbo');
    const all = manifold === true && back === true;
    if (all) sentences.push('All are off alike: check their supply and ground first.');
    else if (back)
      sentences.push('Only the one before the turbo is off: the sensor, or gas trapped in its pipe.');
    else if (manifold) sentences.push('Only the manifold sensor is off.');
    return {
      findings: {
        ...(manifold === undefined || back === undefined ? {} : { 'all-off': all }),
        ...(back === undefined ? {} : { 'back-pressure-off': back && !all }),
        ...(manifold === undefined ? {} : { 'manifold-off': manifold && !all }),
      },
      notAsked: back === undefined && manifold !== undefined ? ['all-off', 'back-pressure-off'] : [],
      figures,
      sentences,
      ...(back && !all ? { parts: { 'back-pressure-sensor': 'doubtful' as const } } : {}),
    };
  },
};

/** A back-pressure sensor and a known-good one under the same pressures. */
const compare: CheckCard = {
  id: 'sensor-compare',
  outcomes: ['back-pressure-differs'],
  otherwise: 'compare-same',
  minutes: 12,
  cost: 12,
  by: 'measured',
  needs: ['known-good-sensor', 'scan-tool'],
  cautions: ['running-engine', 'hot'],
  steps: [
    'Read the old sensor with the engine off, at idle and in a hold; then the same with the known-good one.',
    'Once cold and once hot: some drift only in one.',
  ],
  fields: [
    {
      kind: 'rows',
      id: 'pairs',
      label: 'Old and known-good, before the turbo',
      columns: [
        {
          label: 'Engine speed',
          unit: 'rpm',
          live: 'engineSpeed',
          possible: between(0, 8000, 'Is it the speed?'),
        },
        {
          label: 'Old',
          unit: 'mbar',
          live: 'exhaustBackPressure',
          possible: between(0, 6000, 'Is it absolute?'),
        },
        {
          label: 'Known-good',
          unit: 'mbar',
          live: 'exhaustBackPressure',
          possible: between(200, 6000, 'Is it absolute?'),
        },
      ],
      start: [0, 2500],
    },
  ],
  judge: (read, { limits }) => {
    const pairs = read.rows('pairs').map(([rpm = 0, old = 0, good = 0]) => ({ rpm, old, good }));
    if (pairs.length === 0) return NOTHING;
    const share = (one: (typeof pairs)[number]): number => (100 * (one.old - one.good)) / one.good;
    const worst = pairs.reduce((a, b) => (Math.abs(share(b)) > Math.abs(share(a)) ? b : a));
    const limit = limits.sensorDiffersPercent;
    const differs = Math.abs(share(worst)) > limit;
    const held = pairs.some(({ rpm }) => rpm > 1200);
    return {
      findings: differs || held ? { 'back-pressure-differs': differs } : {},
      figures: [
        against(`Old against known-good, at ${Math.round(worst.rpm)} rpm`, share(worst), {
          unit: 'percent',
          low: -limit,
          high: limit,
        }),
      ],
      sentences: [
        differs
          ? 'The known-good one reads differently: the sensor is faulty.'
          : held
            ? 'Both read the same: not the sensor.'
            : 'Equal at rest only: a hold is needed.',
      ],
      ...(differs || held
        ? { parts: { 'back-pressure-sensor': differs ? ('failed' as const) : ('sound' as const) } }
        : {}),
    };
  },
};

export const ABSOLUTE_CARDS: readonly CheckCard[] = [agree, compare];
