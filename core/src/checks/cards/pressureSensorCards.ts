import { describeFailure, asSentence, say } from '../../words/index.ts';
import { against, between, NOTHING, type CheckCard } from '../card.ts';
import { itself, surely, mostly, often, sometimes, seldom, hardly } from '../grades.ts';
import { readLadder } from '../measuring/pumpLadder.ts';

/** Zero of the sensor with nothing on it. */
const zero: CheckCard = {
  id: 'dp-zero',
  about: ['dp-sensor'],
  outcomes: {
    'zero-off': {
      why: 'drift, ground, or trapped gas',
      leak: 0.0015,
      shows: {
        'dp-sensor-failed:stuck': itself,
        'sensor-wiring': itself,
        'dp-sensor-failed:zero-off': surely,
        'high-pipe-blocked': hardly,
      },
    },
  },
  otherwise: 'zero-good',
  minutes: 2,
  cost: 0,
  by: 'looked',
  needs: ['scan-tool'],
  cautions: [],
  steps: [say('checks.ignition-on-engine-off-for'), say('checks.read-dp-if-not-near')],
  fields: [
    {
      kind: 'number',
      id: 'restMbar',
      label: say('checks.dp-at-rest'),
      unit: 'mbar',
      live: 'dpfDeltaP',
      possible: between(-1500, 1500, say('checks.is-it-another-pressure')),
    },
    {
      kind: 'number',
      id: 'hosesOffMbar',
      label: say('checks.with-both-hoses-off-if'),
      unit: 'mbar',
      live: 'dpfDeltaP',
      possible: between(-1500, 1500, say('checks.is-it-another-pressure')),
    },
  ],
  judge: (read, { limits }) => {
    const rest = read.number('restMbar');
    if (rest === undefined) return NOTHING;
    const off = read.number('hosesOffMbar');
    const limit = limits.dpZeroOffsetMbar;
    const isOff = Math.abs(rest) > limit;
    const inPipe = isOff && off !== undefined && Math.abs(off) <= limit;
    return {
      findings: { 'zero-off': isOff },
      figures: [
        against(say('checks.dp-at-rest'), rest, { unit: 'mbar', low: -limit, high: limit }),
        ...(off === undefined
          ? []
          : [against(say('checks.with-the-hoses-off'), off, { unit: 'mbar', low: -limit, high: limit })]),
      ],
      sentences: [
        !isOff
          ? say('checks.at-rest-within-removed', { rest, limit })
          : inPipe
            ? say('checks.zero-with-the-hoses-off')
            : off !== undefined
              ? say('checks.wrong-with-the-hoses-off')
              : say('checks.wrong-at-rest-pull'),
      ],
      ...(isOff && off !== undefined && !inPipe ? { parts: { 'dp-sensor': 'doubtful' as const } } : {}),
    };
  },
};

const LADDER_POSSIBLE = between(0, 4500, say('checks.the-pump-test-uses-pressure'));

/** Applied by pump against indicated: zero, gain, linearity, hysteresis, worst point. */
const ladder: CheckCard = {
  id: 'dp-ladder',
  about: ['dp-sensor'],
  outcomes: {
    'ladder-dead': {
      why: 'dead',
      leak: 0.0015,
      shows: {
        'dp-sensor-failed:dead': itself,
        'dp-sensor-failed:stuck': itself,
        'dp-sensor-failed:zero-off': hardly,
        'dp-sensor-failed:low': hardly,
      },
    },
    'ladder-gain': {
      why: 'another range, or worn',
      leak: 0.0015,
      shows: {
        'dp-sensor-wrong': itself,
        'sensor-wiring:supply': itself,
        'dp-sensor-failed:low': itself,
        'dp-sensor-failed:high': itself,
        'dp-sensor-failed:zero-off': seldom,
        'sensor-wiring:ground': hardly,
      },
    },
    'ladder-offset': {
      why: 'zero',
      leak: 0.0015,
      shows: {
        'sensor-wiring:ground': itself,
        'dp-sensor-failed:zero-off': often,
        'sensor-wiring:supply': hardly,
      },
    },
  },
  otherwise: 'ladder-good',
  minutes: 15,
  cost: 2,
  by: 'measured',
  needs: ['hand-pump', 'scan-tool'],
  cautions: ['sensor'],
  harm: say('checks.above-full-scale-the-membrane'),
  steps: [
    say('checks.engine-off-ignition-on-note'),
    say('checks.high-hose-off-the-sensor'),
    say('checks.pump-up-in-steps'),
    say('checks.pump-on-the-low-port'),
  ],
  fields: [
    {
      kind: 'number',
      id: 'fullScaleMbar',
      label: say('checks.full-scale-of-the-sensor'),
      unit: 'mbar',
      hint: say('checks.on-its-label-100-kpa'),
      possible: between(20, 5000, say('checks.is-the-unit-right')),
    },
    {
      kind: 'number',
      id: 'gaugeZeroMbar',
      label: say('checks.pump-gauge-at-no-pressure'),
      unit: 'mbar',
      possible: between(-150, 150, say('checks.this-gauge-is-too-far')),
    },
    {
      kind: 'rows',
      id: 'rungs',
      label: say('checks.ladder'),
      columns: [
        { label: say('checks.pump'), unit: 'mbar', possible: LADDER_POSSIBLE },
        {
          label: say('checks.value-going-up'),
          unit: 'mbar',
          live: 'dpfDeltaP',
          possible: between(-300, 5500, say('checks.is-it-this-sensors-value')),
        },
        {
          label: say('checks.value-going-down'),
          unit: 'mbar',
          live: 'dpfDeltaP',
          possible: between(-300, 5500, say('checks.is-it-this-sensors-value')),
        },
      ],
      start: [0, 100, 200, 400, 600, 800, 1000],
    },
    {
      kind: 'number',
      id: 'lowPortMbar',
      label: say('checks.value-with-the-pump'),
      unit: 'mbar',
      live: 'dpfDeltaP',
      possible: between(-5500, 5500, say('checks.is-it-this-sensors-value')),
    },
  ],
  judge: (read, { limits }) => {
    const rungs = read.rows('rungs', [2]).map(([applied = 0, up = 0, down]) => ({
      appliedMbar: applied,
      upMbar: up,
      ...(down === undefined ? {} : { downMbar: down }),
    }));
    const fullScaleMbar = read.number('fullScaleMbar') ?? 1000;
    const gaugeZeroMbar = read.number('gaugeZeroMbar') ?? 0;
    if (rungs.length === 0) return NOTHING;
    const result = readLadder(rungs, { fullScaleMbar, gaugeZeroMbar });
    if (!result.ok) return { ...NOTHING, sentences: [asSentence(describeFailure(result.failure))] };
    const { zeroMbar, gain, linearityPercent, hysteresisPercent, worst, saturated } = result.value;
    const percent = limits.ladderPercent;
    const allowed = (percent / 100) * fullScaleMbar;
    const low = read.number('lowPortMbar');
    const span = Math.max(...rungs.map(({ appliedMbar }) => appliedMbar)) - gaugeZeroMbar;
    // The most that a slope within the tolerance at the highest rung can be off.
    const gainOff = (100 * allowed) / Math.max(span, 1);
    const dead = Math.abs(gain) < 0.05;
    const lowWrong = low !== undefined && low > limits.ladderZeroMbar;
    const wrongGain = !dead && (Math.abs(gain - 1) * 100 > gainOff || linearityPercent > percent || lowWrong);
    const offset = !dead && !wrongGain && Math.abs(zeroMbar) > limits.ladderZeroMbar;
    const good = !dead && !wrongGain && !offset;
    return {
      findings: { 'ladder-dead': dead, 'ladder-gain': wrongGain, 'ladder-offset': offset },
      figures: [
        against(say('checks.zero'), zeroMbar, {
          unit: 'mbar',
          low: -limits.ladderZeroMbar,
          high: limits.ladderZeroMbar,
        }),
        against(say('checks.slope'), 100 * gain, {
          unit: 'percent',
          low: 100 - gainOff,
          high: 100 + gainOff,
        }),
        against(say('checks.off-a-straight-line'), linearityPercent, { unit: 'percent', high: percent }),
        ...(hysteresisPercent === undefined
          ? []
          : [
              against(say('checks.up-against-down'), hysteresisPercent, {
                unit: 'percent',
                high: limits.ladderHysteresisPercent,
                doubtful: true,
              }),
            ]),
        against(say('checks.worst-rung', { appliedMbar: worst.appliedMbar }), worst.offMbar, {
          unit: 'mbar',
          low: -Math.max(allowed, limits.ladderZeroMbar),
          high: Math.max(allowed, limits.ladderZeroMbar),
        }),
        ...(low === undefined
          ? []
          : [against(say('checks.low-port-pumped'), low, { unit: 'mbar', high: limits.ladderZeroMbar })]),
      ],
      sentences: [
        dead
          ? say('checks.it-does-not-follow')
          : lowWrong
            ? say('checks.pressure-on-the-low-port')
            : wrongGain
              ? say('checks.it-follows', { gain: 100 * gain })
              : offset
                ? say('checks.constant-offset-its-zero')
                : say('checks.within-tolerance-at-every-rung'),
        ...(gaugeZeroMbar === 0 ? [] : [say('checks.the-gauges-zero', { gaugeZeroMbar })]),
        ...(saturated.length === 0 ? [] : [say('checks.rungs-above-full-scale')]),
      ],
      parts: { 'dp-sensor': good ? 'sound' : dead || wrongGain ? 'failed' : 'doubtful' },
    };
  },
};

/** Old sensor against a known-good one at the same moment of the engine. */
const swap: CheckCard = {
  id: 'dp-swap',
  about: ['dp-sensor'],
  outcomes: {
    'swap-differs': {
      why: 'so the sensor is faulty',
      leak: 0.0015,
      shows: {
        'dp-sensor-failed:stuck': itself,
        'dp-sensor-failed:zero-off': itself,
        'dp-sensor-failed:low': itself,
        'dp-sensor-failed:high': itself,
        'dp-sensor-failed:dead': surely,
        'dp-sensor-wrong': mostly,
        'high-pipe-blocked': sometimes,
        'low-pipe-blocked': sometimes,
      },
    },
  },
  otherwise: 'swap-same',
  minutes: 10,
  cost: 12,
  by: 'measured',
  needs: ['known-good-sensor', 'scan-tool'],
  cautions: ['running-engine'],
  steps: [
    say('checks.read-dp-at-rest'),
    say('checks.fit-the-known-good-one'),
    say('checks.a-pattern-part-may-plug'),
  ],
  fields: [
    {
      kind: 'rows',
      id: 'pairs',
      label: say('checks.old-and-known-good'),
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
          live: 'dpfDeltaP',
          possible: between(-1500, 5500, say('checks.is-it-dp')),
        },
        {
          label: say('checks.known-good'),
          unit: 'mbar',
          live: 'dpfDeltaP',
          possible: between(-1500, 5500, say('checks.is-it-dp')),
        },
      ],
      start: [0, 2500],
    },
  ],
  asRead: ({ rpm, dpMbar }) => ({
    pairs: [
      [0, null, null],
      [rpm, dpMbar, null],
    ],
  }),
  judge: (read, { limits }) => {
    const pairs = read.rows('pairs').map(([rpm = 0, old = 0, good = 0]) => ({ rpm, old, good }));
    if (pairs.length === 0) return NOTHING;
    const allowed = (good: number): number =>
      Math.max(limits.sensorDiffersMbar, (limits.sensorDiffersPercent / 100) * Math.abs(good));
    const worst = pairs.reduce((a, b) =>
      Math.abs(b.old - b.good) / allowed(b.good) > Math.abs(a.old - a.good) / allowed(a.good) ? b : a,
    );
    const limit = allowed(worst.good);
    const differs = Math.abs(worst.old - worst.good) > limit;
    const held = pairs.some(({ rpm }) => rpm > 1200);
    return {
      findings: differs || held ? { 'swap-differs': differs } : {},
      figures: [
        against(say('checks.old-less-known-good', { rpm: worst.rpm }), worst.old - worst.good, {
          unit: 'mbar',
          low: -limit,
          high: limit,
        }),
      ],
      sentences: [
        differs
          ? say('checks.the-known-good-one-shows', { good: worst.good, old: worst.old })
          : held
            ? say('checks.both-show-the-same')
            : say('checks.equal-at-rest-only-a'),
      ],
      ...(differs || held
        ? { parts: { 'dp-sensor': differs ? ('failed' as const) : ('sound' as const) } }
        : {}),
    };
  },
};

export const PRESSURE_SENSOR_CARDS: readonly CheckCard[] = [zero, ladder, swap];
