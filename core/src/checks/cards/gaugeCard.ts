import { say } from '../../words/index.ts';
import { against, between, NOTHING, type CheckCard } from '../card.ts';
import { itself, mostly, sometimes } from '../grades.ts';

/** What a gauge in the line can show. */
export const GAUGE = between(-1000, 3000, say('checks.is-it-a-gauge-pressure'));

/** No idle is above this, rpm. */
const WARM_IDLE_RPM = 1100;

export const gauge: CheckCard = {
  id: 'gauge',
  about: ['catalyst', 'filter', 'silencer'],
  outcomes: {
    'gauge-high': {
      why: 'whatever the sensor says',
      leak: 0.0015,
      shows: {
        'downstream-restricted': itself,
        'soot-loaded': itself,
        'catalyst-restricted': itself,
        'ash-full': mostly,
        'injector-over-fuelling': sometimes,
        'short-trips': sometimes,
      },
    },
  },
  otherwise: 'gauge-low',
  minutes: 15,
  cost: 6,
  by: 'gauged',
  needs: ['gauge', 'spanners'],
  cautions: ['running-engine', 'hot'],
  harm: say('checks.a-seized-sensor-takes'),
  steps: [
    say('checks.engine-cold-remove-an-oxygen'),
    say('checks.warm-hold-2500-3000-rpm'),
    say('checks.stationary-readings-are-lower'),
  ],
  fields: [
    {
      kind: 'choice',
      id: 'port',
      label: say('checks.port'),
      options: [
        ['after-turbine', say('checks.after-turbo-before-doc')],
        ['before-filter', say('checks.between-doc-and-dpf')],
        ['before-turbine', say('checks.before-the-turbo-2')],
      ],
    },
    {
      kind: 'number',
      id: 'rpm',
      label: say('checks.engine-speed'),
      unit: 'rpm',
      live: 'engineSpeed',
      possible: between(400, 6000, say('checks.is-the-engine-running')),
    },
    { kind: 'number', id: 'meanMbar', label: say('checks.needle-mean'), unit: 'mbar', possible: GAUGE },
    { kind: 'number', id: 'lowMbar', label: say('checks.needle-lowest'), unit: 'mbar', possible: GAUGE },
    { kind: 'number', id: 'highMbar', label: say('checks.needle-highest'), unit: 'mbar', possible: GAUGE },
    {
      kind: 'number',
      id: 'snapMbar',
      label: say('checks.needle-peak-in-a-snap'),
      unit: 'mbar',
      possible: GAUGE,
    },
    {
      kind: 'number',
      id: 'sensorMbar',
      label: say('checks.dp-by-the-sensor'),
      unit: 'mbar',
      live: 'dpfDeltaP',
      possible: between(-1500, 5500, say('checks.is-it-dp')),
    },
  ],
  judge: (read, { limits }) => {
    const [least, most] = [read.number('lowMbar'), read.number('highMbar')];
    const mean =
      read.number('meanMbar') ?? (least !== undefined && most !== undefined ? (least + most) / 2 : undefined);
    if (mean === undefined) return NOTHING;
    const port = read.choice('port');
    const rpm = read.number('rpm');
    const high = limits.gaugeHighMbar;
    const swing = least !== undefined && most !== undefined ? most - least : undefined;
    const sensor = read.number('sensorMbar');
    const idle = rpm !== undefined && rpm < limits.gaugeLeastRpm;
    const snap = read.number('snapMbar');
    const turbine = port === 'before-turbine';
    // Before the turbo a warm idle decides; under load it is far more in any engine.
    const limit = turbine
      ? rpm !== undefined && rpm < WARM_IDLE_RPM
        ? limits.gaugeTurbineIdleMbar
        : undefined
      : high;
    const snapHigh = !turbine && snap !== undefined && snap > limits.gaugeSnapMbar;
    const isHigh = (limit !== undefined && mean > limit) || snapHigh;
    // Before the filter the flow of idle is too small to prove that nothing is in its way.
    // A clear line stays well below it: what lies between is neither.
    const clear = limit !== undefined && mean <= (limits.gaugeClearPercent / 100) * limit;
    const decided = isHigh || (clear && (turbine || !idle));
    return {
      findings: decided ? { 'gauge-high': isHigh } : {},
      figures: [
        against(say('checks.before-the-by-gauge', { what: turbine ? 'turbine' : 'filter' }), mean, {
          unit: 'mbar',
          ...(limit === undefined ? {} : { high: limit }),
        }),
        ...(snap === undefined
          ? []
          : [
              against(say('checks.peak-in-a-snap'), snap, {
                unit: 'mbar',
                ...(turbine ? {} : { high: limits.gaugeSnapMbar }),
              }),
            ]),
        ...(swing === undefined
          ? []
          : [{ label: say('checks.swing'), value: swing, unit: 'mbar', state: 'plain' } as const]),
        ...(sensor === undefined || turbine
          ? []
          : [
              {
                label: say('checks.gauge-less-dp'),
                value: mean - sensor,
                unit: 'mbar',
                state: 'plain',
              } as const,
            ]),
      ],
      sentences: [
        ...(turbine && limit === undefined
          ? [say('checks.before-the-turbo-it-is')]
          : isHigh
            ? [
                turbine
                  ? say('checks.at-idle-this-much-before')
                  : say('checks.the-exhaust-is-restricted-whatever'),
              ]
            : idle && !turbine
              ? [say('checks.below-rpm-a-low-figure', { gaugeLeastRpm: limits.gaugeLeastRpm })]
              : clear
                ? [say('checks.the-exhaust-flows-freely')]
                : [say('checks.between-a-clear-line')]),
        ...(swing !== undefined && mean > 0 && swing > mean ? [say('checks.the-needle-swings-more')] : []),
        ...(sensor !== undefined && !turbine && mean > high && sensor < 0.4 * mean
          ? [say('checks.the-sensor-shows-far-less')]
          : []),
      ],
    };
  },
};
