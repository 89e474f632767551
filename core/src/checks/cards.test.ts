import { CASES } from './testing/cardCases.ts';
import { ENGLISH, inEnglish, spoken } from '../words/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import {
  CAUTIONS,
  CHECK_CARDS,
  CHECK_IDS,
  judgeCheck as judgeCheckInCodes,
  type CheckValues,
} from './index.ts';

const judgeCheck = spoken(judgeCheckInCodes);

const context = {
  limits: DEFAULT_LIMITS,
  displacementL: 2,
  sootByPressureG: { lowG: 20, highG: 34 },
};

const judge = (id: string, values: CheckValues) => judgeCheck(id, values, context);

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
