import { say, type Said } from '../../words/index.ts';
import { against, between, NOTHING, type CheckCard, type Figure } from '../card.ts';
import { itself, seldom, hardly } from '../grades.ts';

const VOLTS_5 = {
  ...between(-0.3, 6.5, say('checks.is-the-probe')),
  // A wire that touches battery voltage does so: measured again, it counts.
  ifSure: [-1, 32],
} as const;
const BATTERY = between(8, 30, say('checks.is-the-meter-on-the'));

/** Supply, ground and signal, with the ground proven from battery positive: an open one also shows 0 V to earth. */
const electrical: CheckCard = {
  id: 'dp-electrical',
  about: ['dp-sensor'],
  outcomes: {
    'supply-bad': {
      why: 'supply or wiring',
      leak: 0.0002,
      shows: { 'sensor-wiring:supply': itself },
    },
    'ground-bad': {
      why: 'wiring',
      leak: 0.0002,
      shows: { 'sensor-wiring:ground': itself, 'sensor-wiring:supply': hardly },
    },
    'signal-dead': {
      why: 'the sensor itself',
      leak: 0.0015,
      shows: {
        'dp-sensor-failed:dead': itself,
        'dp-sensor-failed:stuck': itself,
        'dp-sensor-failed:zero-off': seldom,
        'dp-sensor-failed:low': hardly,
      },
    },
  },
  otherwise: 'volts-good',
  minutes: 8,
  cost: 1,
  by: 'measured',
  needs: ['multimeter'],
  cautions: [],
  harm: say('checks.probe-beside-the-seal-never'),
  steps: [
    say('checks.ignition-on-engine-off-find'),
    say('checks.battery-positive-to-negative'),
    say('checks.ground-from-battery-positive'),
    say('checks.signal-signal-pin-to-battery'),
  ],
  fields: [
    {
      kind: 'number',
      id: 'batteryV',
      label: say('checks.battery'),
      unit: 'V',
      live: 'batteryVoltage',
      possible: BATTERY,
    },
    { kind: 'number', id: 'supplyV', label: say('checks.supply-pin'), unit: 'V', possible: VOLTS_5 },
    {
      kind: 'number',
      id: 'groundFromPlusV',
      label: say('checks.battery-positive-to-ground-pin'),
      unit: 'V',
      possible: between(-0.5, 30, say('checks.is-the-red-lead')),
    },
    {
      kind: 'number',
      id: 'signalV',
      label: say('checks.signal-pin-hoses-off'),
      unit: 'V',
      possible: VOLTS_5,
    },
  ],
  judge: (read, { limits }) => {
    const [battery, supply, fromPlus, signal] = ['batteryV', 'supplyV', 'groundFromPlusV', 'signalV'].map(
      (id) => read.number(id),
    );
    const figures: Figure[] = [];
    const sentences: Said[] = [];
    const findings: Record<string, boolean> = {};
    if (supply !== undefined) {
      const { supplyLowV: low, supplyHighV: high } = limits;
      figures.push(against(say('checks.supply'), supply, { unit: 'V', low, high }));
      findings['supply-bad'] = supply < low || supply > high;
      if (findings['supply-bad'])
        sentences.push(supply < 0.5 ? say('checks.no-supply-an-open-wire') : say('checks.the-supply-is-off'));
    }
    if (battery !== undefined && fromPlus !== undefined) {
      const drop = battery - fromPlus;
      figures.push(against(say('checks.lost-in-the-ground'), drop, { unit: 'V', high: limits.groundDropV }));
      findings['ground-bad'] = drop > limits.groundDropV;
      if (findings['ground-bad'])
        sentences.push(
          fromPlus < 1 ? say('checks.the-ground-is-open') : say('checks.the-ground-loses-voltage-all'),
        );
    } else if (fromPlus !== undefined || battery !== undefined) {
      sentences.push(say('checks.the-ground-needs-both-battery'));
    }
    if (signal !== undefined) {
      const { signalRestLowV: low, signalRestHighV: high } = limits;
      figures.push(against(say('checks.signal-at-rest'), signal, { unit: 'V', low, high }));
      const fed = findings['supply-bad'] === false && findings['ground-bad'] === false;
      if (fed) findings['signal-dead'] = signal < low || signal > high;
      else if (findings['supply-bad'] === true || findings['ground-bad'] === true)
        findings['signal-dead'] = false;
      if (findings['signal-dead']) sentences.push(say('checks.supply-and-ground-good-signal'));
    }
    return {
      findings,
      figures,
      sentences,
      ...(findings['signal-dead'] ? { parts: { 'dp-sensor': 'failed' as const } } : {}),
    };
  },
};

const supply: CheckCard = {
  id: 'supply',
  about: ['dp-sensor', 'back-pressure-sensor'],
  outcomes: {
    'supply-weak': {
      why: 'measured',
      leak: 0.0002,
      shows: { 'sensor-wiring': itself },
    },
  },
  otherwise: 'supply-good',
  minutes: 4,
  cost: 0,
  by: 'measured',
  needs: ['multimeter'],
  cautions: [],
  steps: [say('checks.ignition-on-battery-support'), say('checks.ground-pin-of-each')],
  fields: [
    {
      kind: 'number',
      id: 'batteryV',
      label: say('checks.battery'),
      unit: 'V',
      live: 'batteryVoltage',
      possible: BATTERY,
    },
    { kind: 'number', id: 'firstV', label: say('checks.5-v-at-one-sensor'), unit: 'V', possible: VOLTS_5 },
    { kind: 'number', id: 'secondV', label: say('checks.5-v-at-another'), unit: 'V', possible: VOLTS_5 },
    {
      kind: 'number',
      id: 'groundFromPlusV',
      label: say('checks.battery-positive-to-the-ground'),
      unit: 'V',
      possible: between(-0.5, 30, say('checks.is-the-red-lead')),
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
          : [
              against(say('checks.battery'), battery, {
                unit: 'V',
                low: limits.batteryRestV,
                doubtful: true,
              }),
            ]),
        ...rails.map((volts, i) =>
          against(say('checks.5-v-sensor', { i: i + 1 }), volts, { unit: 'V', low, high }),
        ),
        ...(drop === undefined
          ? []
          : [against(say('checks.lost-in-the-ground'), drop, { unit: 'V', high: groundDropV })]),
      ],
      sentences: [
        railOff
          ? say('checks.the-5-v-is-off')
          : groundOff
            ? say('checks.the-common-ground-loses-voltage')
            : drop === undefined
              ? say('checks.ground-not-yet-proved')
              : say('checks.supply-and-ground-are-good'),
      ],
    };
  },
};

export const ELECTRICAL_CARDS: readonly CheckCard[] = [electrical, supply];
