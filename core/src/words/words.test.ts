import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plainEnglish } from './measures.ts';
import {
  distinct,
  ENGLISH,
  GERMAN,
  inEnglish,
  inWords,
  isMessage,
  limitUnit,
  localeOf,
  measuresOf,
  METRIC,
  phrasesOf,
  PLAIN_WORDS,
  say,
  US_CUSTOMARY,
  unitChoiceFrom,
  wordsOf,
} from './index.ts';

const US = wordsOf([ENGLISH], measuresOf({ units: US_CUSTOMARY, locale: 'en-US', currency: 'USD' }));
const GERMAN_FIGURES = measuresOf({ locale: 'de-DE' });

describe('figures', () => {
  it('come in the chosen unit, as finely as they were meant', () => {
    const mixed = measuresOf({ units: { ...METRIC, pressure: 'psi', soot: 'oz' } });
    expect([PLAIN_WORDS.pressure(45.3), mixed.pressure(45.3)]).toEqual(['45 mbar', '0.66 psi']);
    expect([PLAIN_WORDS.soot(12), mixed.soot(12, 0)]).toEqual(['12 g', '0.4 oz']);
    expect(US.temperature(600)).toBe('1112 °F');
    expect(US.temperatureChange(20)).toBe('36 °F');
    expect(US.distance(12_345)).toBe('7671 mi');
    expect(US.speed(70)).toBe('43 mph');
    expect(US.loading(4)).toBe('4 oz/ft³');
    expect(US.sootRate(3)).toBe('0.17 oz/100 mi');
    expect(US.gradient(100)).toBe('457 °F/in');
    expect(US.money(435)).toBe('$435');
  });

  it('follow the locale in decimals, thousands and days', () => {
    expect(GERMAN_FIGURES.number(12_345.67, 1)).toBe('12.345,7');
    expect(GERMAN_FIGURES.distance(142_300)).toBe('142.300 km');
    expect(GERMAN_FIGURES.shortDate('2026-06-01T12:00:00.000Z')).toBe('1. Juni 2026');
    expect(PLAIN_WORDS.shortDate('2026-06-01T12:00:00.000Z')).toBe('1 Jun 2026');
  });

  it('say the unit of a span once', () => {
    expect(PLAIN_WORDS.span('50 km/h', '80 km/h')).toBe('50–80 km/h');
    expect(PLAIN_WORDS.span('3 g/L', '5 g/L')).toBe('3–5 g/L');
  });

  it('with the label of a limit are those of its unit', () => {
    expect([PLAIN_WORDS.figure(96, 'mbar'), US.figure(96, 'mbar')]).toEqual(['96 mbar', '1.39 psi']);
    expect([US.figure(2.5, '× clean'), US.figure(25, '%')]).toEqual(['2.5 × clean', '25 %']);
  });

  it('keep the order of what they write, in every unit', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 5000, noNaN: true }), (value) => {
        for (const of of [US.pressure, US.temperature, US.distance, US.soot, US.volumeFlow, US.weight])
          expect(of(value)).toMatch(/^-?[\d,]+(\.\d+)? \S+$/);
      }),
    );
  });

  it('of a choice that was kept somewhere take only what may be chosen', () => {
    expect(unitChoiceFrom({ pressure: 'psi', temperature: 'stone', other: 1 })).toEqual({
      ...METRIC,
      pressure: 'psi',
    });
  });
});

describe('the unit of a limit', () => {
  it('is the person’s, and what is typed in it comes back as what is held', () => {
    const labels = [
      'mbar',
      '°C',
      '°C/s',
      '°C/cm',
      'km',
      'g/L',
      'g/L on 100 km',
      '× on 1000 km',
      '%',
      '× clean',
    ];
    for (const label of labels)
      for (const words of [PLAIN_WORDS, US]) {
        const { held, shown } = limitUnit(label, false, words);
        expect(held(shown(17))).toBeCloseTo(17, 9);
      }
    expect(limitUnit('mbar', false, US).label).toBe('psi');
    expect(limitUnit('°C', false, US).shown(100)).toBeCloseTo(212, 9);
    expect(limitUnit('°C', true, US).shown(100)).toBeCloseTo(180, 9);
    expect(limitUnit('°C/cm', false, US)).toMatchObject({ label: '°F/in' });
    expect(limitUnit('× on 1000 km', false, US).label).toBe('× on 1000 mi');
    expect(limitUnit('¤/h', false, US).label).toBe('$/h');
    expect(limitUnit('% of nothing known', false, US)).toMatchObject({ label: '% of nothing known' });
  });
});

describe('a message', () => {
  const fell = say('proof.soot-fell-on-the-drive', { fromG: 12, toG: 3 });

  it('is plain JSON and becomes a sentence where somebody reads it', () => {
    const kept: unknown = JSON.parse(JSON.stringify(fell));
    expect(isMessage(kept) && PLAIN_WORDS.say(kept)).toBe(
      'Soot fell on the drive: 12.0 g to 3.0 g by the counter',
    );
    expect(US.say(fell)).toBe('Soot fell on the drive: 0.42 oz to 0.11 oz by the counter');
  });

  it('that nobody knows any more stands as it was put when it was kept', () => {
    expect(PLAIN_WORDS.say({ say: 'proof.gone', text: 'As it was said then' })).toBe('As it was said then');
    expect(PLAIN_WORDS.say({ say: 'proof.gone' })).toBe('proof.gone');
    expect(PLAIN_WORDS.say({ say: '__proto__.constructor' })).toBe('__proto__.constructor');
    expect(PLAIN_WORDS.say({ say: 'proof.codes-after-the-drive', of: {}, text: 'Codes' })).toBe('Codes');
  });

  it('is one with another of the same code and figures', () => {
    expect(distinct([fell, say('proof.idle'), { ...fell }, 'x', 'x'])).toEqual([
      fell,
      say('proof.idle'),
      'x',
    ]);
  });
});

describe('a result in words', () => {
  it('stays the same object where nothing in it speaks', () => {
    const silent = { a: [1, 2], b: { c: 'x', d: new Map([['k', 1]]) }, e: new Set(['y']) };
    expect(inEnglish(silent)).toBe(silent);
    const half = { silent, said: say('proof.idle') };
    expect(inEnglish(half)).toEqual({ silent, said: 'idle' });
    expect(inEnglish(half).silent).toBe(silent);
  });

  it('holds no message any more, however deep they lie', () => {
    const tree = fc.letrec<{ node: unknown }>((tie) => ({
      node: fc.oneof(
        { maxDepth: 4 },
        fc.constant(say('proof.idle')),
        fc.integer(),
        fc.string(),
        fc.array(tie('node'), { maxLength: 3 }),
        fc.dictionary(fc.constantFrom('a', 'b', 'c'), tie('node')),
      ),
    })).node;
    fc.assert(
      fc.property(tree, (value) => {
        expect(JSON.stringify(inWords(value, PLAIN_WORDS)) ?? '').not.toContain('"say"');
      }),
    );
  });
});

const PHRASES = Object.entries(ENGLISH).flatMap(([subject, phrases]) =>
  Object.entries(phrases as Record<string, unknown>).map(([code, phrase]) => ({
    code: `${subject}.${code}`,
    phrase,
  })),
);

describe('the catalogue', () => {
  it('has a sentence for every code, and no sentence twice under one subject', () => {
    expect(PHRASES.length).toBeGreaterThan(1200);
    for (const { phrase } of PHRASES) expect(['string', 'function']).toContain(typeof phrase);
    // Forms of different causes may be alike, what goes on between two, and what two ranges of codes are about.
    const { causeForms: _forms, chains: _chains, codeRanges: _ranges, ...others } = ENGLISH;
    for (const phrases of Object.values(others)) {
      const texts = Object.values(phrases as Record<string, unknown>).filter(
        (one) => typeof one === 'string',
      );
      expect(texts.filter((one, i) => texts.indexOf(one) !== i)).toEqual([]);
    }
  });

  it('writes no unit by hand: what has one is made from its figure', () => {
    const byHand = /\d\s?(?:°C|mbar|kPa|km|g\/L|kg|mm|m³\/h|N·m)(?![\p{L}/])/u;
    for (const { code, phrase } of PHRASES)
      expect([code, byHand.test(typeof phrase === 'string' ? phrase : String(phrase))]).toEqual([
        code,
        false,
      ]);
  });
});

describe('another language', () => {
  const german = wordsOf(phrasesOf('de'), GERMAN_FIGURES);

  it('says whole what a customer and whoever may be hurt have to read', () => {
    for (const [code, phrase] of Object.entries(ENGLISH.cautions)) {
      const told = GERMAN.cautions[code as keyof typeof GERMAN.cautions];
      expect(typeof told).toBe(typeof phrase);
      expect(told).not.toBe(phrase);
    }
    expect(Object.keys(GERMAN.causes).toSorted()).toEqual(Object.keys(ENGLISH.causes).toSorted());
    expect(german.say(say('cautions.neutral-or-park-brake'))).toMatch(/heißer als 600 °C/);
    expect(german.say(say('report.at-the-same-exhaust-flow', { percent: 78 }))).toBe(
      'Bei gleichem Abgasstrom ist der Widerstand des Filters 78 % kleiner als vorher.',
    );
  });

  it('has no phrase that English has not, and falls back on English for the rest', () => {
    for (const [subject, phrases] of Object.entries(GERMAN))
      for (const code of Object.keys(phrases))
        expect(Object.keys(ENGLISH[subject as keyof typeof ENGLISH])).toContain(code);
    expect(german.say(say('report.limits-used'))).toBe('Limits used');
    expect(german.say({ say: 'shown.lag' })).toBe(ENGLISH.shown.lag);
  });

  it('writes figures as its readers do, unless they chose another way', () => {
    expect(localeOf('de', 'en-GB')).toBe('de');
    expect(localeOf('de', 'de-AT')).toBe('de-AT');
    expect(localeOf('en', 'fr-FR')).toBe('fr-FR');
  });
});

describe('small figures in English', () => {
  it('are written as Intl writes them', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.double({ min: -12_000, max: 12_000, noNaN: true }),
          // Ties are where two ways to round part.
          fc.integer({ min: -200_000, max: 200_000 }).map((n) => n / 200),
        ),
        fc.integer({ min: 0, max: 6 }),
        fc.boolean(),
        (value, decimals, all) => {
          const ours = plainEnglish(value, decimals, all);
          if (ours === undefined) return;
          const theirs = new Intl.NumberFormat('en', {
            minimumFractionDigits: all ? decimals : 0,
            maximumFractionDigits: decimals,
            useGrouping: 'min2',
          });
          expect(ours).toBe(theirs.format(value === 0 ? 0 : value));
        },
      ),
      { numRuns: 2000 },
    );
  });
});
