import { pressureText } from '../../quantities/index.ts';
import { against, between, NOTHING, type CheckCard, type Figure } from '../card.ts';
import { readLadder } from '../measuring/pumpLadder.ts';

const VOLTS_5 = {
  ...between(-0.3, 6.5, 'Is the probe on the right pin? 12 V on a 5 V line destroys the sensor.'),
  // A wire that touches battery voltage does so: measured again, it counts.
  ifSure: [-1, 32],
} as const;
const BATTERY = between(8, 30, 'Is the meter on the battery, and on volts of direct current?');

/** Zero of the sensor with nothing on it. */
const zero: CheckCard = {
  id: 'dp-zero',
  outcomes: ['zero-off'],
  otherwise: 'zero-good',
  minutes: 2,
  cost: 0,
  by: 'looked',
  needs: ['scan-tool'],
  cautions: [],
  steps: [
    'Ignition on, engine off for a minute, so that no gas is left in the pipes.',
    'Read ΔP. If not near zero, pull both hoses and read again: that separates sensor from pipe.',
  ],
  fields: [
    {
      kind: 'number',
      id: 'restMbar',
      label: 'ΔP at rest',
      unit: 'mbar',
      live: 'dpfDeltaP',
      possible: between(-1500, 1500, 'Is it another pressure, or an absolute one?'),
    },
    {
      kind: 'number',
      id: 'hosesOffMbar',
      label: 'With both hoses off, if it was not near zero',
      unit: 'mbar',
      live: 'dpfDeltaP',
      possible: between(-1500, 1500, 'Is it another pressure, or an absolute one?'),
    },
  ],
  judge: (read, { limits, pressureUnit }) => {
    const rest = read.number('restMbar');
    if (rest === undefined) return NOTHING;
    const off = read.number('hosesOffMbar');
    const limit = limits.dpZeroOffsetMbar;
    const isOff = Math.abs(rest) > limit;
    const inPipe = isOff && off !== undefined && Math.abs(off) <= limit;
    return {
      findings: { 'zero-off': isOff },
      figures: [
        against('ΔP at rest', rest, { unit: 'mbar', low: -limit, high: limit }),
        ...(off === undefined
          ? []
          : [against('With the hoses off', off, { unit: 'mbar', low: -limit, high: limit })]),
      ],
      sentences: [
        !isOff
          ? `At rest ${pressureText(rest, pressureUnit)}, within ±${pressureText(limit, pressureUnit)}: removed from every reading.`
          : inPipe
            ? 'Zero with the hoses off: gas is trapped in a pipe.'
            : off !== undefined
              ? 'Wrong with the hoses off too: sensor, supply or ground.'
              : 'Wrong at rest: pull the hoses to separate sensor from pipe.',
      ],
      ...(isOff && off !== undefined && !inPipe ? { parts: { 'dp-sensor': 'doubtful' as const } } : {}),
    };
  },
};

/** Supply, ground and signal, with the ground proven from battery positive: an open one also shows 0 V to earth. */
const electrical: CheckCard = {
  id: 'dp-electrical',
  outcomes: ['supply-bad', 'ground-bad', 'signal-dead'],
  otherwise: 'volts-good',
  minutes: 8,
  cost: 1,
  by: 'measured',
  needs: ['multimeter'],
  cautions: [],
  harm: 'Probe beside the seal, never through the wire: a pierced one lets water in.',
  steps: [
    'Ignition on, engine off. Find the supply at the plug: the pin with about 5 V to battery negative.',
    'Battery: positive to negative.',
    'Ground: from battery POSITIVE to the ground pin, plug on. It must show battery voltage; an open ground shows 0 V to earth as well as a good one.',
    'Signal: signal pin to battery negative, hoses off.',
  ],
  fields: [
    {
      kind: 'number',
      id: 'batteryV',
      label: 'Battery',
      unit: 'V',
      live: 'batteryVoltage',
      possible: BATTERY,
    },
    { kind: 'number', id: 'supplyV', label: 'Supply pin', unit: 'V', possible: VOLTS_5 },
    {
      kind: 'number',
      id: 'groundFromPlusV',
      label: 'Battery positive to ground pin',
      unit: 'V',
      possible: between(-0.5, 30, 'Is the red lead on battery positive?'),
    },
    { kind: 'number', id: 'signalV', label: 'Signal pin, hoses off', unit: 'V', possible: VOLTS_5 },
  ],
  judge: (read, { limits }) => {
    const [battery, supply, fromPlus, signal] = ['batteryV', 'supplyV', 'groundFromPlusV', 'signalV'].map(
      (id) => read.number(id),
    );
    const figures: Figure[] = [];
    const sentences: string[] = [];
    const findings: Record<string, boolean> = {};
    if (supply !== undefined) {
      const { supplyLowV: low, supplyHighV: high } = limits;
      figures.push(against('Supply', supply, { unit: 'V', low, high }));
      findings['supply-bad'] = supply < low || supply > high;
      if (findings['supply-bad'])
        sentences.push(
          supply < 0.5
            ? 'No supply: an open wire, or another sensor on the same 5 V pulls it down. Unplug them one by one.'
            : 'The supply is off: this sensor and others on the line read wrong in proportion.',
        );
    }
    if (battery !== undefined && fromPlus !== undefined) {
      const drop = battery - fromPlus;
      figures.push(against('Lost in the ground', drop, { unit: 'V', high: limits.groundDropV }));
      findings['ground-bad'] = drop > limits.groundDropV;
      if (findings['ground-bad'])
        sentences.push(
          fromPlus < 1
            ? 'The ground is open: to earth it would show 0 V and look good.'
            : 'The ground loses voltage: all readings are too high.',
        );
    } else if (fromPlus !== undefined || battery !== undefined) {
      sentences.push('The ground needs both: battery voltage, and battery positive to ground pin.');
    }
    if (signal !== undefined) {
      const { signalRestLowV: low, signalRestHighV: high } = limits;
      figures.push(against('Signal at rest', signal, { unit: 'V', low, high }));
      const fed = findings['supply-bad'] === false && findings['ground-bad'] === false;
      if (fed) findings['signal-dead'] = signal < low || signal > high;
      else if (findings['supply-bad'] === true || findings['ground-bad'] === true)
        findings['signal-dead'] = false;
      if (findings['signal-dead'])
        sentences.push('Supply and ground good, signal wrong with no pressure: the sensor itself.');
    }
    return {
      findings,
      figures,
      sentences,
      ...(findings['signal-dead'] ? { parts: { 'dp-sensor': 'failed' as const } } : {}),
    };
  },
};

const LADDER_POSSIBLE = between(
  0,
  4500,
  'The pump test uses pressure, not vacuum: read the gauge again, with its sign.',
);

/** Applied by pump against indicated: zero, gain, linearity, hysteresis, worst point. */
const ladder: CheckCard = {
  id: 'dp-ladder',
  outcomes: ['ladder-dead', 'ladder-gain', 'ladder-offset'],
  otherwise: 'ladder-good',
  minutes: 15,
  cost: 2,
  by: 'measured',
  needs: ['hand-pump', 'scan-tool'],
  cautions: ['sensor'],
  harm: 'Above full scale the membrane tears.',
  steps: [
    'Engine off, ignition on. Note the pump gauge’s reading at no pressure.',
    'High hose off the sensor, pump on its high port, low port open to the air.',
    'Pump up in steps to full scale; note pump and value at each. Then down over the same steps.',
    'Pump on the low port: it must read 0 or below. Above 0 is a fault.',
  ],
  fields: [
    {
      kind: 'number',
      id: 'fullScaleMbar',
      label: 'Full scale of the sensor',
      unit: 'mbar',
      hint: 'On its label; 100 kPa is common',
      possible: between(20, 5000, 'Is the unit right?'),
    },
    {
      kind: 'number',
      id: 'gaugeZeroMbar',
      label: 'Pump gauge at no pressure',
      unit: 'mbar',
      possible: between(-150, 150, 'This gauge is too far off: use another.'),
    },
    {
      kind: 'rows',
      id: 'rungs',
      label: 'Ladder',
      columns: [
        { label: 'Pump', unit: 'mbar', possible: LADDER_POSSIBLE },
        {
          label: 'Value, going up',
          unit: 'mbar',
          live: 'dpfDeltaP',
          possible: between(-300, 5500, 'Is it this sensor’s value?'),
        },
        {
          label: 'Value, going down',
          unit: 'mbar',
          live: 'dpfDeltaP',
          possible: between(-300, 5500, 'Is it this sensor’s value?'),
        },
      ],
      start: [0, 100, 200, 400, 600, 800, 1000],
    },
    {
      kind: 'number',
      id: 'lowPortMbar',
      label: 'Value with the pump on the low port',
      unit: 'mbar',
      live: 'dpfDeltaP',
      possible: between(-5500, 5500, 'Is it this sensor’s value?'),
    },
  ],
  judge: (read, { limits, pressureUnit }) => {
    const rungs = read.rows('rungs', [2]).map(([applied = 0, up = 0, down]) => ({
      appliedMbar: applied,
      upMbar: up,
      ...(down === undefined ? {} : { downMbar: down }),
    }));
    const fullScaleMbar = read.number('fullScaleMbar') ?? 1000;
    const gaugeZeroMbar = read.number('gaugeZeroMbar') ?? 0;
    if (rungs.length === 0) return NOTHING;
    const result = readLadder(rungs, { fullScaleMbar, gaugeZeroMbar });
    if (!result.ok)
      return { ...NOTHING, sentences: [`${result.failure.field} ${result.failure.requirement}.`] };
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
        against('Zero', zeroMbar, { unit: 'mbar', low: -limits.ladderZeroMbar, high: limits.ladderZeroMbar }),
        against('Slope', 100 * gain, { unit: 'percent', low: 100 - gainOff, high: 100 + gainOff }),
        against('Off a straight line', linearityPercent, { unit: 'percent', high: percent }),
        ...(hysteresisPercent === undefined
          ? []
          : [
              against('Up against down', hysteresisPercent, {
                unit: 'percent',
                high: limits.ladderHysteresisPercent,
                doubtful: true,
              }),
            ]),
        against(`Worst rung, at ${pressureText(worst.appliedMbar, pressureUnit)}`, worst.offMbar, {
          unit: 'mbar',
          low: -Math.max(allowed, limits.ladderZeroMbar),
          high: Math.max(allowed, limits.ladderZeroMbar),
        }),
        ...(low === undefined
          ? []
          : [against('Low port pumped', low, { unit: 'mbar', high: limits.ladderZeroMbar })]),
      ],
      sentences: [
        dead
          ? 'It does not follow the pump: with supply and ground good, the sensor is dead.'
          : lowWrong
            ? 'Pressure on the low port reads above zero: the sensor is wrong inside.'
            : wrongGain
              ? `It follows with ${(100 * gain).toFixed(0)} % of the slope: worn, or a sensor of another range.`
              : offset
                ? 'Constant offset: its zero, or the ground.'
                : 'Within tolerance at every rung: the sensor is sound.',
        ...(gaugeZeroMbar === 0
          ? []
          : [`The gauge’s zero of ${pressureText(gaugeZeroMbar, pressureUnit)} is removed.`]),
        ...(saturated.length === 0
          ? []
          : ['Rungs above full scale are limited, as they should be, and left out.']),
      ],
      parts: { 'dp-sensor': good ? 'sound' : dead || wrongGain ? 'failed' : 'doubtful' },
    };
  },
};

/** Old sensor against a known-good one at the same moment of the engine. */
const swap: CheckCard = {
  id: 'dp-swap',
  outcomes: ['swap-differs'],
  otherwise: 'swap-same',
  minutes: 10,
  cost: 12,
  by: 'measured',
  needs: ['known-good-sensor', 'scan-tool'],
  cautions: ['running-engine'],
  steps: [
    'Read ΔP at rest and in a hold with the old sensor.',
    'Fit the known-good one, plugged in and hosed; read the same at the same engine speed.',
    'A pattern part may plug in but have another range: note its number.',
  ],
  fields: [
    {
      kind: 'rows',
      id: 'pairs',
      label: 'Old and known-good',
      columns: [
        {
          label: 'Engine speed',
          unit: 'rpm',
          live: 'engineSpeed',
          possible: between(0, 8000, 'Is it the speed?'),
        },
        { label: 'Old', unit: 'mbar', live: 'dpfDeltaP', possible: between(-1500, 5500, 'Is it ΔP?') },
        { label: 'Known-good', unit: 'mbar', live: 'dpfDeltaP', possible: between(-1500, 5500, 'Is it ΔP?') },
      ],
      start: [0, 2500],
    },
  ],
  judge: (read, { limits, pressureUnit }) => {
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
        against(`Old less known-good, at ${Math.round(worst.rpm)} rpm`, worst.old - worst.good, {
          unit: 'mbar',
          low: -limit,
          high: limit,
        }),
      ],
      sentences: [
        differs
          ? `The known-good one shows ${pressureText(worst.good, pressureUnit)} where the old one shows ${pressureText(worst.old, pressureUnit)}: the sensor is faulty.`
          : held
            ? 'Both show the same: not the sensor.'
            : 'Equal at rest only: a hold is needed; without pressure both read zero.',
      ],
      ...(differs || held
        ? { parts: { 'dp-sensor': differs ? ('failed' as const) : ('sound' as const) } }
        : {}),
    };
  },
};

const supply: CheckCard = {
  id: 'supply',
  outcomes: ['supply-weak'],
  otherwise: 'supply-good',
  minutes: 4,
  cost: 0,
  by: 'measured',
  needs: ['multimeter'],
  cautions: [],
  steps: [
    'Ignition on, battery support on. Battery first, then the 5 V at two exhaust sensors, plugs on.',
    'Ground pin of each: from battery positive.',
  ],
  fields: [
    {
      kind: 'number',
      id: 'batteryV',
      label: 'Battery',
      unit: 'V',
      live: 'batteryVoltage',
      possible: BATTERY,
    },
    { kind: 'number', id: 'firstV', label: '5 V at one sensor', unit: 'V', possible: VOLTS_5 },
    { kind: 'number', id: 'secondV', label: '5 V at another', unit: 'V', possible: VOLTS_5 },
    {
      kind: 'number',
      id: 'groundFromPlusV',
      label: 'Battery positive to the ground of one',
      unit: 'V',
      possible: between(-0.5, 30, 'Is the red lead on battery positive?'),
    },
  ],
  judge: (read, { limits }) => {
    const { supplyLowV: low, supplyHighV: high, groundDropV } = limits;
    const rails = ['firstV', 'secondV'].flatMap((id) => read.number(id) ?? []);
    const [battery, fromPlus] = [read.number('batteryV'), read.number('groundFromPlusV')];
    if (rails.length === 0) return NOTHING;
    const drop = battery !== undefined && fromPlus !== undefined ? battery - fromPlus : undefined;
    const railOff = rails.some((volts) => volts < low || volts > high);
    const groundOff = drop !== undefined && drop > groundDropV;
    return {
      findings: railOff || groundOff || drop !== undefined ? { 'supply-weak': railOff || groundOff } : {},
      figures: [
        ...(battery === undefined
          ? []
          : [against('Battery', battery, { unit: 'V', low: limits.batteryRestV, doubtful: true })]),
        ...rails.map((volts, i) => against(`5 V, sensor ${i + 1}`, volts, { unit: 'V', low, high })),
        ...(drop === undefined
          ? []
          : [against('Lost in the ground', drop, { unit: 'V', high: groundDropV })]),
      ],
      sentences: [
        railOff
          ? 'The 5 V is off: one sensor or wire pulls it down. Unplug one by one.'
          : groundOff
            ? 'The common ground loses voltage: every sensor on it reads high.'
            : drop === undefined
              ? 'Ground not yet proved.'
              : 'Supply and ground are good.',
      ],
    };
  },
};

export const PRESSURE_SENSOR_CARDS: readonly CheckCard[] = [zero, electrical, ladder, swap, supply];
