import { say, type Said } from '../../words/index.ts';
import { standardBarometerMbar } from '../../quantities/index.ts';
import { against, between, NOTHING, type CheckCard, type Figure } from '../card.ts';
import { itself, atTimes, sometimes, seldom, hardly } from '../grades.ts';

const ABSOLUTE = between(
  200,
  // A broken element shows its end of scale, which is far above what any line holds.
  10_000,
  say('checks.absolute-pressures-are-near-1000'),
);
const AIR = between(500, 1100, say('checks.outside-air-is-500'));

/** Key on, engine off: all absolute sensors show the air outside; again hot, or cold. */
const agree: CheckCard = {
  id: 'absolute-agree',
  about: ['back-pressure-sensor', 'engine'],
  outcomes: {
    'all-off': {
      why: 'supply or ground',
      leak: 0.0002,
      shows: { 'sensor-wiring': atTimes },
    },
    'back-pressure-off': {
      why: 'sensor, or trapped gas',
      leak: 0.0015,
      shows: {
        'back-pressure-sensor-failed:off': itself,
        'back-pressure-pipe-blocked:blocked': sometimes,
        'back-pressure-sensor-failed:stuck': hardly,
      },
    },
    'manifold-off': {
      why: 'sensor',
      leak: 0.0015,
      shows: {
        'manifold-sensor-failed:off': itself,
        'sensor-wiring': hardly,
        'manifold-sensor-failed:slow': hardly,
        'manifold-sensor-failed:stuck': hardly,
      },
    },
  },
  otherwise: 'absolutes-agree',
  minutes: 3,
  cost: 0,
  by: 'looked',
  needs: ['scan-tool'],
  cautions: [],
  steps: [
    say('checks.ignition-on-engine-off'),
    say('checks.if-only-volts-are-offered'),
    say('checks.repeat-hot-or-cold'),
  ],
  fields: [
    {
      kind: 'number',
      id: 'barometerMbar',
      label: say('checks.barometer'),
      unit: 'mbar',
      live: 'barometricPressure',
      possible: AIR,
    },
    {
      kind: 'number',
      id: 'altitudeM',
      label: say('checks.altitude'),
      suffix: 'm',
      hint: say('checks.checks-the-barometer-itself'),
      possible: between(-450, 5500, say('checks.is-it-in-metres')),
    },
    {
      kind: 'number',
      id: 'manifoldMbar',
      label: say('checks.manifold-pressure'),
      unit: 'mbar',
      live: 'manifoldPressure',
      possible: ABSOLUTE,
    },
    {
      kind: 'number',
      id: 'backPressureMbar',
      label: say('checks.pressure-before-the-turbo'),
      unit: 'mbar',
      live: 'exhaustBackPressure',
      possible: ABSOLUTE,
    },
    {
      kind: 'number',
      id: 'manifoldAgainMbar',
      label: say('checks.manifold-pressure-again-hot'),
      unit: 'mbar',
      live: 'manifoldPressure',
      possible: ABSOLUTE,
    },
    {
      kind: 'number',
      id: 'backPressureAgainMbar',
      label: say('checks.before-the-turbo-again-hot'),
      unit: 'mbar',
      live: 'exhaustBackPressure',
      possible: ABSOLUTE,
    },
  ],
  judge: (read, { limits }) => {
    const barometer = read.number('barometerMbar');
    if (barometer === undefined) return NOTHING;
    const percent = limits.keyOnPercent;
    const off = (value: number): number => (100 * (value - barometer)) / barometer;
    const figures: Figure[] = [];
    const sentences: Said[] = [];
    const altitude = read.number('altitudeM');
    if (altitude !== undefined) {
      const standard = standardBarometerMbar(altitude);
      const room = limits.weatherMbar;
      const strange = Math.abs(barometer - standard) > room;
      figures.push(
        against(say('checks.barometer'), barometer, {
          unit: 'mbar',
          low: standard - room,
          high: standard + room,
          doubtful: true,
        }),
      );
      if (strange) sentences.push(say('checks.at-m-the-air', { altitude, standard }));
    }
    const offOf = (ids: readonly string[], label: Said): boolean | undefined => {
      const read_ = ids.flatMap((id) => read.number(id) ?? []);
      if (read_.length === 0) return undefined;
      for (const value of read_)
        figures.push(
          against(say('checks.off-the-barometer', { label }), off(value), {
            unit: 'percent',
            low: -percent,
            high: percent,
          }),
        );
      const worst = read_.reduce((a, b) => (Math.abs(off(b)) > Math.abs(off(a)) ? b : a));
      const wrong = Math.abs(off(worst)) > percent;
      const first = read_[0];
      if (wrong && read_.length > 1 && first !== undefined && Math.abs(off(first)) <= percent)
        sentences.push(say('checks.right-once-wrong-once', { label }));
      return wrong;
    };
    const manifold = offOf(['manifoldMbar', 'manifoldAgainMbar'], 'Manifold');
    const back = offOf(['backPressureMbar', 'backPressureAgainMbar'], say('checks.before-the-turbo'));
    const all = manifold === true && back === true;
    if (all) sentences.push(say('checks.all-are-off-alike-check'));
    else if (back) sentences.push(say('checks.only-the-one-before'));
    else if (manifold) sentences.push(say('checks.only-the-manifold-sensor'));
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
  about: ['back-pressure-sensor'],
  outcomes: {
    'back-pressure-differs': {
      why: 'so the sensor is faulty',
      leak: 0.0015,
      shows: { 'back-pressure-sensor-failed': itself, 'back-pressure-pipe-blocked:blocked': seldom },
    },
  },
  otherwise: 'compare-same',
  minutes: 12,
  cost: 12,
  by: 'measured',
  needs: ['known-good-sensor', 'scan-tool'],
  cautions: ['running-engine', 'hot'],
  steps: [say('checks.read-the-old-sensor'), say('checks.once-cold-and-once-hot')],
  fields: [
    {
      kind: 'rows',
      id: 'pairs',
      label: say('checks.old-and-known-good-before'),
      columns: [
        {
          label: say('checks.engine-speed'),
          unit: 'rpm',
          live: 'engineSpeed',
          possible: between(0, 8000, say('checks.is-it-the-speed')),
        },
        {
          label: say('checks.old'),
          unit: 'mbar',
          live: 'exhaustBackPressure',
          possible: between(0, 6000, say('checks.is-it-absolute')),
        },
        {
          label: say('checks.known-good'),
          unit: 'mbar',
          live: 'exhaustBackPressure',
          possible: between(200, 6000, say('checks.is-it-absolute')),
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
        against(say('checks.old-against-known-good', { rpm: worst.rpm }), share(worst), {
          unit: 'percent',
          low: -limit,
          high: limit,
        }),
      ],
      sentences: [
        differs
          ? say('checks.the-known-good-one-reads')
          : held
            ? say('checks.both-read-the-same')
            : say('checks.equal-at-rest-only'),
      ],
      ...(differs || held
        ? { parts: { 'back-pressure-sensor': differs ? ('failed' as const) : ('sound' as const) } }
        : {}),
    };
  },
};

export const ABSOLUTE_CARDS: readonly CheckCard[] = [agree, compare];
