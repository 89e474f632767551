import { against, between, NOTHING, type CheckCard } from '../card.ts';

/** What a gauge in the line can show. */
export const GAUGE = between(
  -1000,
  3000,
  'Is it a gauge pressure, above the air outside, in the unit that is shown?',
);

/** No idle is above this, rpm. */
const WARM_IDLE_RPM = 1100;

export const gauge: CheckCard = {
  id: 'gauge',
  outcomes: ['gauge-high'],
  otherwise: 'gauge-low',
  minutes: 15,
  cost: 6,
  by: 'gauged',
  needs: ['gauge', 'spanners'],
  cautions: ['running-engine', 'hot'],
  harm: 'A seized sensor takes its thread with it: consider first, and have a thread repair kit.',
  steps: [
    'Engine cold: remove an oxygen or temperature sensor before the filter, fit the gauge. Note the port.',
    'Warm, hold 2500–3000 rpm. If the needle pulses, damp it, or note mean and swing.',
    'Stationary readings are lower than on the road. Fuelling changes with an oxygen sensor out.',
  ],
  fields: [
    {
      kind: 'choice',
      id: 'port',
      label: 'Port',
      options: [
        ['after-turbine', 'after turbo, before DOC and DPF'],
        ['before-filter', 'between DOC and DPF'],
        ['before-turbine', 'before the turbo'],
      ],
    },
    {
      kind: 'number',
      id: 'rpm',
      label: 'Engine speed',
      unit: 'rpm',
      live: 'engineSpeed',
      possible: between(400, 6000, 'Is the engine running?'),
    },
    { kind: 'number', id: 'meanMbar', label: 'Needle, mean', unit: 'mbar', possible: GAUGE },
    { kind: 'number', id: 'lowMbar', label: 'Needle, lowest', unit: 'mbar', possible: GAUGE },
    { kind: 'number', id: 'highMbar', label: 'Needle, highest', unit: 'mbar', possible: GAUGE },
    { kind: 'number', id: 'snapMbar', label: 'Needle, peak in a snap', unit: 'mbar', possible: GAUGE },
    {
      kind: 'number',
      id: 'sensorMbar',
      label: 'ΔP by the sensor at the same moment',
      unit: 'mbar',
      live: 'dpfDeltaP',
      possible: between(-1500, 5500, 'Is it ΔP?'),
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
        against(`Before the ${turbine ? 'turbine' : 'filter'} by gauge`, mean, {
          unit: 'mbar',
          ...(limit === undefined ? {} : { high: limit }),
        }),
        ...(snap === undefined
          ? []
          : [
              against('Peak in a snap', snap, {
                unit: 'mbar',
                ...(turbine ? {} : { high: limits.gaugeSnapMbar }),
              }),
            ]),
        ...(swing === undefined
          ? []
          : [{ label: 'Swing', value: swing, unit: 'mbar', state: 'plain' } as const]),
        ...(sensor === undefined || turbine
          ? []
          : [
              {
                label: 'Gauge less ΔP of the sensor',
                value: mean - sensor,
                unit: 'mbar',
                state: 'plain',
              } as const,
            ]),
      ],
      sentences: [
        ...(turbine && limit === undefined
          ? ['Before the turbo it is much higher under load: decide at warm idle.']
          : isHigh
            ? [
                turbine
                  ? 'At idle, this much before the turbo means a restriction after it.'
                  : 'The exhaust is restricted, whatever a sensor says.',
              ]
            : idle && !turbine
              ? [`Below ${limits.gaugeLeastRpm} rpm a low figure proves nothing: hold a higher speed.`]
              : clear
                ? ['The exhaust flows freely.']
                : ['Between a clear line and the limit: inconclusive. Judge by ΔP at the same flow.']),
        ...(swing !== undefined && mean > 0 && swing > mean
          ? ['The needle swings more than its mean: damp it and read again.']
          : []),
        ...(sensor !== undefined && !turbine && mean > high && sensor < 0.4 * mean
          ? ['The sensor shows far less than the gauge: wrong piping, blocked, or failed.']
          : []),
      ],
    };
  },
};
