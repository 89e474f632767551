import { ENGLISH, inEnglish, spoken } from '../words/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import {
  CAUTIONS,
  CHECK_CARDS,
  CHECK_IDS,
  judgeCheck as judgeCheckInCodes,
  meterShows,
  type CheckValues,
} from './index.ts';

const judgeCheck = spoken(judgeCheckInCodes);

const context = {
  limits: DEFAULT_LIMITS,
  displacementL: 2,
  sootByPressureG: { lowG: 20, highG: 34 },
};
const judge = (id: string, values: CheckValues) => judgeCheck(id, values, context);

const falling = (timeS: number): number[][] =>
  Array.from({ length: 40 }, (_, i) => [0.2 * i, 80 * Math.exp((-0.2 * i) / timeS)]);
const LADDER = [0, 250, 500, 750, 1000];

/** What is entered, and the outcome that it must have. */
const CASES: readonly (readonly [check: string, outcome: string, values: CheckValues])[] = [
  ['dp-zero', 'zero-good', { restMbar: 3 }],
  ['dp-zero', 'zero-off', { restMbar: -14 }],
  ['dp-electrical', 'volts-good', { batteryV: 12.6, supplyV: 5, groundFromPlusV: 12.58, signalV: 0.5 }],
  ['dp-electrical', 'supply-bad', { batteryV: 12.6, supplyV: 4.2, groundFromPlusV: 12.6, signalV: 0.4 }],
  ['dp-electrical', 'ground-bad', { batteryV: 12.6, supplyV: 5, groundFromPlusV: 0, signalV: 4.9 }],
  ['dp-electrical', 'signal-dead', { batteryV: 12.6, supplyV: 5, groundFromPlusV: 12.6, signalV: 0.04 }],
  ['dp-ladder', 'ladder-good', { fullScaleMbar: 1000, rungs: LADDER.map((p) => [p, p + 5, p + 8]) }],
  ['dp-ladder', 'ladder-dead', { fullScaleMbar: 1000, rungs: LADDER.map((p) => [p, 12]) }],
  ['dp-ladder', 'ladder-gain', { fullScaleMbar: 1000, rungs: LADDER.map((p) => [p, 0.6 * p]) }],
  ['dp-ladder', 'ladder-offset', { fullScaleMbar: 1000, rungs: LADDER.map((p) => [p, p + 32]) }],
  ['dp-ladder', 'ladder-gain', { fullScaleMbar: 1000, rungs: LADDER.map((p) => [p, p]), lowPortMbar: 60 }],
  [
    'dp-swap',
    'swap-same',
    {
      pairs: [
        [0, 1, 0],
        [2500, 61, 60],
      ],
    },
  ],
  [
    'dp-swap',
    'swap-differs',
    {
      pairs: [
        [0, 0, 0],
        [2500, 12, 60],
      ],
    },
  ],
  ['hoses', 'hoses-good', { order: 'high', state: 'whole', backPipe: 'whole' }],
  ['hoses', 'hoses-crossed', { order: 'low', state: 'whole' }],
  ['hoses', 'hose-off', { order: 'high', state: 'split' }],
  ['hoses', 'pipe-cracked', { order: 'high', state: 'whole', backPipe: 'cracked' }],
  ['supply', 'supply-good', { batteryV: 12.4, firstV: 5.01, secondV: 5, groundFromPlusV: 12.38 }],
  ['supply', 'supply-weak', { batteryV: 12.4, firstV: 4.1, secondV: 4.1, groundFromPlusV: 12.38 }],
  [
    'pipe-response',
    'response-quick',
    { dpRelease: falling(0.3), backPressureRelease: falling(0.2), manifoldRelease: falling(0.3) },
  ],
  [
    'pipe-response',
    'manifold-still',
    {
      dpHoldMbar: 60,
      dpRelease: falling(0.3),
      manifoldHoldMbar: 1012,
      manifoldRelease: Array.from({ length: 8 }, (_, i) => [0.2 * i, 1012]),
    },
  ],
  [
    'pipe-response',
    'back-pressure-still',
    {
      dpHoldMbar: 60,
      dpRelease: falling(0.3),
      backPressureHoldMbar: 1000,
      backPressureRelease: Array.from({ length: 8 }, (_, i) => [0.2 * i, 1000]),
    },
  ],
  [
    'pipe-response',
    'manifold-slow',
    { dpRelease: falling(0.3), backPressureRelease: falling(0.2), manifoldRelease: falling(6) },
  ],
  ['pipe-response', 'high-slow', { dpRelease: falling(4), backPressureRelease: falling(0.2) }],
  ['pipe-response', 'back-pressure-slow', { dpRelease: falling(0.3), backPressureRelease: falling(5) }],
  [
    'pipe-response',
    'low-slow',
    { dpRelease: falling(4).map(([t = 0, v = 0]) => [t, -v]), backPressureRelease: falling(0.2) },
  ],
  [
    'pipe-pump',
    'pipes-open',
    {
      highStartMbar: 20,
      highLeftMbar: 0,
      lowStartMbar: 10,
      lowLeftMbar: 0,
      backStartMbar: 400,
      backLeftMbar: 0,
    },
  ],
  ['pipe-pump', 'high-holds', { highStartMbar: 400, highLeftMbar: 390 }],
  ['pipe-pump', 'low-holds', { highStartMbar: 20, highLeftMbar: 0, lowStartMbar: -400, lowLeftMbar: -350 }],
  ['absolute-agree', 'absolutes-agree', { barometerMbar: 1009, manifoldMbar: 1012, backPressureMbar: 1001 }],
  [
    'absolute-agree',
    'back-pressure-off',
    { barometerMbar: 1009, manifoldMbar: 1012, backPressureMbar: 1290 },
  ],
  ['absolute-agree', 'manifold-off', { barometerMbar: 1009, manifoldMbar: 760, backPressureMbar: 1001 }],
  ['absolute-agree', 'all-off', { barometerMbar: 1009, manifoldMbar: 1260, backPressureMbar: 1255 }],
  [
    'sensor-compare',
    'back-pressure-differs',
    {
      pairs: [
        [0, 1010, 1010],
        [2500, 1500, 1240],
      ],
    },
  ],
  [
    'sensor-compare',
    'compare-same',
    {
      pairs: [
        [0, 1010, 1010],
        [2500, 1252, 1240],
      ],
    },
  ],
  [
    'egt-cold-soak',
    'soak-alike',
    { hours: 9, egt1C: 12, egt2C: 13, egt3C: 12, egt4C: 12, coolantC: 12, intakeC: 12, ambientC: 11 },
  ],
  [
    'egt-cold-soak',
    'soak-egt3',
    { hours: 9, egt1C: 12, egt2C: 13, egt3C: 58, egt4C: 12, coolantC: 12, intakeC: 12, ambientC: 11 },
  ],
  [
    'egt-resistance',
    'egt3-bad',
    {
      kind: 'platinum',
      ambientC: 20,
      readings: [1, 2, 3, 4].map((n) => [n, meterShows('platinum', n === 3 ? 90 : 20, 20), 20]),
    },
  ],
  [
    'egt-resistance',
    'egt-good',
    {
      kind: 'thermocouple',
      ambientC: 20,
      readings: [1, 2, 3, 4].map((n) => [n, meterShows('thermocouple', 60, 20), 62]),
    },
  ],
  ['intake-smoke', 'smoke-before', { where: 'before' }],
  ['intake-smoke', 'smoke-behind', { where: 'behind' }],
  ['intake-smoke', 'intake-tight', { where: 'nowhere' }],
  ['air-mass', 'air-fits', { rpm: 2500, manifoldMbar: 1150, intakeC: 30, airGPerS: 47, egrPercent: 0 }],
  ['air-mass', 'air-low', { rpm: 2500, manifoldMbar: 1150, intakeC: 30, airGPerS: 26, egrPercent: 0 }],
  ['air-mass', 'air-high', { rpm: 2500, manifoldMbar: 1150, intakeC: 30, airGPerS: 72, egrPercent: 0 }],
  ['turbo', 'shaft-worn', { turns: 'wobbles', oil: 'wet' }],
  ['turbo', 'shaft-good', { turns: 'free' }],
  ['vane-sweep', 'vanes-move', { leastPercent: 3, mostPercent: 97 }],
  ['vane-sweep', 'vanes-still', { leastPercent: 8, mostPercent: 12 }],
  ['vane-sweep', 'vanes-still', { seen: 'sticks' }],
  ['egr', 'egr-good', { shutPercent: 2, openPercent: 92, behindC: 130, coolantC: 85, gasC: 265 }],
  ['egr', 'egr-open', { shutPercent: 40, behindC: 130, coolantC: 85, gasC: 265 }],
  ['egr', 'egr-shut', { shutPercent: 2, openPercent: 8 }],
  ['egr', 'egr-hot', { shutPercent: 2, openPercent: 92, behindC: 240, coolantC: 85, gasC: 320 }],
  ['dosing-injector', 'dosing-blocked', { passage: 'narrow' }],
  ['dosing-injector', 'dosing-sprays', { passage: 'clear' }],
  [
    'glow',
    'glow-good',
    {
      plugs: [
        [1, 0.6],
        [2, 0.7],
        [3, 0.6],
        [4, 0.7],
      ],
      preheatV: 11.4,
    },
  ],
  [
    'glow',
    'glow-bad',
    {
      plugs: [
        [1, 0.6],
        [2, 99999],
        [3, 0.6],
        [4, 0.7],
      ],
      preheatV: 11.4,
    },
  ],
  ['glow', 'glow-bad', { preheatV: 0 }],
  ['oil', 'oil-good', { level: 0.8, sumpL: 5, lifePercent: 60, smell: 'oil' }],
  ['oil', 'oil-diluted', { level: 1.6, sumpL: 5, lifePercent: 60 }],
  ['oil', 'counter-zero', { level: 0.8, sumpL: 5, lifePercent: 0 }],
  [
    'thermostat',
    'coolant-warm',
    {
      coolant: [
        [0, 86],
        [60, 86],
        [120, 87],
        [180, 86],
      ],
    },
  ],
  [
    'thermostat',
    'coolant-cool',
    {
      coolant: [
        [0, 70],
        [60, 70],
        [120, 70],
        [180, 70],
      ],
    },
  ],
  [
    'injectors',
    'injector-leaks',
    {
      quantities: [
        [1, 20],
        [2, 21],
        [3, 34],
        [4, 20],
      ],
    },
  ],
  [
    'injectors',
    'injectors-good',
    {
      quantities: [
        [1, 20],
        [2, 21],
        [3, 20],
        [4, 19],
      ],
    },
  ],
  ['fuel-level', 'fuel-under', { fuelPercent: 8 }],
  ['fuel-level', 'fuel-enough', { fuelPercent: 40 }],
  ['use-history', 'use-slow', { distanceKm: 90_000, hours: 4100 }],
  ['use-history', 'use-fits', { distanceKm: 90_000, hours: 2100 }],
  ['gauge', 'gauge-high', { port: 'before-filter', rpm: 2500, meanMbar: 420 }],
  ['gauge', 'gauge-low', { port: 'before-filter', rpm: 2500, lowMbar: 30, highMbar: 90 }],
  [
    'sections',
    'section-catalyst',
    { rpm: 2500, closedMbar: 420, afterFilterMbar: 400, beforeFilterMbar: 360 },
  ],
  ['sections', 'section-behind', { rpm: 2500, closedMbar: 420, afterFilterMbar: 90, beforeFilterMbar: 20 }],
  ['sections', 'section-filter', { rpm: 2500, closedMbar: 420, afterFilterMbar: 400, beforeFilterMbar: 20 }],
  ['sections', 'no-section', { rpm: 2500, closedMbar: 50, afterFilterMbar: 40, beforeFilterMbar: 12 }],
  ['filter-look', 'outlet-sooty', { outlet: 'sooty', inlet: 'dry', powder: 'little' }],
  ['filter-look', 'inlet-oily', { outlet: 'clean', inlet: 'oily', powder: 'little' }],
  ['filter-look', 'inlet-ash', { outlet: 'clean', inlet: 'dry', powder: 'much' }],
  ['filter-look', 'faces-good', { outlet: 'clean', inlet: 'dry', powder: 'little' }],
  ['counter', 'counter-low', { counterG: 2 }],
  ['counter', 'counter-reset', { counterG: 0.2, sinceRegenKm: 240 }],
  ['counter', 'counter-reset', { counterG: 5, sinceRegenKm: 240, sinceResetKm: 12 }],
  ['counter', 'counter-high', { counterG: 80 }],
  ['counter', 'counter-fits', { counterG: 26 }],
  ['intake-look', 'duct-split', { duct: 'split', charge: 'whole' }],
  ['intake-look', 'charge-split', { duct: 'whole', charge: 'split' }],
  ['intake-look', 'duct-whole', { duct: 'whole', charge: 'whole' }],
  ['fuses', 'relay-burnt', { fuses: 'whole', relay: 'burnt' }],
  ['fuses', 'fuse-blown', { fuses: 'blown', relay: 'sound' }],
  ['fuses', 'fuses-good', { fuses: 'whole', relay: 'sound' }],
  ['tailpipe', 'tailpipe-sooty', { inside: 'sooty' }],
  ['tailpipe', 'tailpipe-oily', { inside: 'oily' }],
  ['tailpipe', 'tailpipe-clean', { inside: 'clean' }],
  ['oil-film', 'turbine-oily', { film: 'wet' }],
  ['oil-film', 'turbine-dry', { film: 'dry' }],
  [
    'running-comparison',
    'back-pressure-blind',
    { manifoldRestMbar: 1008, backRestMbar: 1009, manifoldHoldMbar: 1160, backHoldMbar: 1014 },
  ],
  [
    'running-comparison',
    'comparison-fits',
    { manifoldRestMbar: 1008, backRestMbar: 1009, manifoldHoldMbar: 1160, backHoldMbar: 1290 },
  ],
  ['single-piece', 'piece-high-shut', { high: 'shut', low: 'open', 'back-pressure': 'open' }],
  ['single-piece', 'piece-low-shut', { high: 'open', low: 'shut', 'back-pressure': 'open' }],
  ['single-piece', 'piece-back-pressure-shut', { high: 'open', low: 'open', 'back-pressure': 'shut' }],
  ['single-piece', 'piece-open', { high: 'open', low: 'open', 'back-pressure': 'open' }],
];

describe('guided checks', () => {
  it.each(CASES)('%s: %s', (check, outcome, values) => {
    const judged = judge(check, values);
    expect(judged.questions).toEqual([]);
    expect(judged.outcome).toBe(outcome);
    expect(judged.sentences.length + judged.figures.length).toBeGreaterThan(0);
  });

  it('blames each section that takes more than a clear one, two at once, and none of a hot large engine', () => {
    const both = judge('sections', {
      rpm: 2500,
      closedMbar: 420,
      afterFilterMbar: 250,
      beforeFilterMbar: 200,
      beforeCatalystMbar: 4,
    });
    expect(both.findings).toEqual({
      'section-behind': true,
      'section-filter': false,
      'section-catalyst': true,
    });
    const small = { closedMbar: 92, afterFilterMbar: 34, beforeFilterMbar: 10 };
    const clear = judge('sections', { rpm: 2000, ...small });
    expect(Object.values(clear.findings)).toEqual([false, false, false]);
    // At idle the same proves nothing.
    const idle = judge('sections', { rpm: 800, ...small });
    expect(idle.findings).toEqual({});
    expect(idle.sentences.join()).toMatch(/proves nothing/);
  });

  it('has every outcome of every card among these cases', () => {
    const shown = new Set(CASES.map(([, outcome]) => outcome));
    const wanted = CHECK_CARDS.flatMap(({ outcomes, otherwise }) => [...Object.keys(outcomes), otherwise]);
    // Four cylinders and four EGTs are one case each; the positions are no outcome of the network.
    const alike = /^(soak-egt|egt\d-bad|positions-known|back-pressure-holds)/;
    expect(wanted.filter((id) => !shown.has(id) && !alike.test(id))).toEqual([]);
  });

  it('has one card for each check, with its steps, and cautions where a hand or a filter can come to harm', () => {
    expect([...CHECK_IDS].sort()).toEqual(Object.keys(ENGLISH.checkNames).sort());
    for (const { outcomes } of CHECK_CARDS)
      for (const { shows } of Object.values(outcomes)) expect(Object.keys(shows).length).toBeGreaterThan(0);
    for (const { steps, cautions, fields } of CHECK_CARDS) {
      expect(steps.length).toBeGreaterThan(0);
      expect(fields.length).toBeGreaterThan(0);
      for (const caution of cautions) expect(inEnglish(CAUTIONS[caution].text).length).toBeGreaterThan(40);
    }
  });

  it.each([
    [
      '12 V on a 5 V line',
      'dp-electrical',
      { batteryV: 12.6, supplyV: 12.1, groundFromPlusV: 12.6 },
      /12 V on a 5 V line/,
    ],
    [
      'suction on a ladder that is pumped up',
      'dp-ladder',
      {
        rungs: [
          [-400, 0],
          [0, 0],
          [200, 200],
          [400, 400],
        ],
      },
      /not vacuum/,
    ],
    [
      'a vacuum below nothing',
      'pipe-pump',
      { highStartMbar: -1300, highLeftMbar: -1200 },
      /Impossible vacuum/,
    ],
    [
      'a gauge pressure as an absolute one',
      'absolute-agree',
      { barometerMbar: 1009, manifoldMbar: 4 },
      /gauge pressure/,
    ],
    ['a barometer from no place on earth', 'absolute-agree', { barometerMbar: 1460 }, /Outside air is/],
  ] as const)('asks %s back and does not judge by it', (_what, check, values, text) => {
    const { questions, outcome } = judge(check, values);
    expect(questions.map((question) => question.text).join()).toMatch(text);
    expect(outcome).toBeUndefined();
  });

  it('takes 12 V on a 5 V line for what it is once it was measured again, and a vacuum below nothing never', () => {
    const volts = { batteryV: 12.6, supplyV: 12.1, groundFromPlusV: 12.6 };
    expect(judgeCheck('dp-electrical', volts, context, { sure: true }).outcome).toBe('supply-bad');
    const pump = { highStartMbar: -1300, highLeftMbar: -1200 };
    expect(judgeCheck('pipe-pump', pump, context, { sure: true }).questions).toHaveLength(2);
  });

  it('decides nothing by what cannot decide it', () => {
    expect(
      judge('thermostat', {
        coolant: [
          [0, 40],
          [60, 48],
          [120, 55],
          [180, 61],
        ],
      }).outcome,
    ).toBeUndefined();
    expect(judge('dp-swap', { pairs: [[0, 0, 0]] }).outcome).toBeUndefined();
    expect(judge('egt-cold-soak', { hours: 1, egt1C: 80, egt2C: 30, coolantC: 55 }).outcome).toBeUndefined();
    expect(judge('gauge', { port: 'before-filter', rpm: 800, meanMbar: 12 }).outcome).toBeUndefined();
    expect(judge('gauge', { port: 'before-turbine', rpm: 2500, meanMbar: 700 }).outcome).toBeUndefined();
  });

  it('leaves open what lies between a clear line and its limit, and a coolant just below its mark', () => {
    const gauge = (meanMbar: number) =>
      judge('gauge', { port: 'before-filter', rpm: 2500, meanMbar }).outcome;
    expect([gauge(40), gauge(75), gauge(95)]).toEqual(['gauge-low', undefined, 'gauge-high']);
    const rests = (c: number) =>
      judge('thermostat', { coolant: [0, 60, 120, 180, 240].map((s) => [s, c]) }).outcome;
    expect([rests(75), rests(81), rests(88)]).toEqual(['coolant-cool', undefined, 'coolant-warm']);
  });

  it('judges before the turbo at warm idle only, and a snap before the filter', () => {
    expect(judge('gauge', { port: 'before-turbine', rpm: 820, meanMbar: 390 }).outcome).toBe('gauge-high');
    expect(judge('gauge', { port: 'before-turbine', rpm: 820, meanMbar: 60 }).outcome).toBe('gauge-low');
    expect(judge('gauge', { port: 'before-filter', rpm: 820, meanMbar: 12, snapMbar: 480 }).outcome).toBe(
      'gauge-high',
    );
  });

  it('blames no section for what lies between two joints with a closed one between', () => {
    const { outcome, findings } = judge('sections', { rpm: 2500, closedMbar: 400, afterFilterMbar: 385 });
    expect(outcome).toBeUndefined();
    expect(findings).toEqual({ 'section-behind': false });
  });

  it('takes what a dead sensor shows at rest', () => {
    expect(judge('absolute-agree', { barometerMbar: 1010, backPressureMbar: 5500 }).outcome).toBe(
      'back-pressure-off',
    );
    expect(
      judge('air-mass', { rpm: 2500, manifoldMbar: 1150, airGPerS: 26, egrPercent: 45 }).outcome,
    ).toBeUndefined();
    expect(judgeCheck('counter', { counterG: 4 }, { limits: DEFAULT_LIMITS }).outcome).toBeUndefined();
    // Readings a second and a half apart cannot show half a second.
    const slow = Array.from({ length: 8 }, (_, i) => [3 * i, i === 0 ? 60 : 0]);
    expect(judge('pipe-response', { dpRelease: slow }).findings).toEqual({});
  });

  it('keeps a check that it does not know, without a judgement', () => {
    expect(judge('listen-to-the-exhaust', { note: 'deep' })).toMatchObject({
      outcome: undefined,
      findings: {},
    });
  });

  it('judges whatever is entered without a fall, and never to a figure that is none', () => {
    const cell = fc.oneof(fc.double({ noNaN: true, min: -1e6, max: 1e6 }), fc.constant(null));
    const value = fc.oneof(
      fc.double({ noNaN: true, min: -1e5, max: 1e5 }),
      fc.string(),
      fc.array(fc.array(cell)),
    );
    fc.assert(
      fc.property(fc.constantFrom(...CHECK_CARDS), fc.infiniteStream(value), (card, values) => {
        const entered = Object.fromEntries(
          card.fields.map(({ id }) => [id, values.next().value as number | string | (number | null)[][]]),
        );
        const { figures, outcome } = judge(card.id, entered);
        for (const figure of figures) expect(Number.isFinite(figure.value)).toBe(true);
        if (outcome !== undefined) expect([...Object.keys(card.outcomes), card.otherwise]).toContain(outcome);
      }),
    );
  });
});
