import { spoken } from '../../words/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CHANNEL_ROLES, type ChannelRole } from '../channelRoles.ts';
import { randomHeadings } from '../../testing/logHeadings.ts';
import { dice } from '../../testing/drills.ts';
import { splitUnit } from '../reader/columnHeading.ts';
import { explainHeading, LANGUAGES, readAs, readWords, whyNone } from './index.ts';
import { CUT_SHORT, HEADINGS, TRAPS } from './testing/headings.ts';
import { OF_MANY_TOOLS } from './testing/ofManyTools.ts';

/** A load says by its unit only whether it is in grams or per cent. */
const kindOf = (role: ChannelRole): string => role.replace('Percent', 'Mass');
const read = (heading: string): ChannelRole[] =>
  explainHeading(splitUnit(heading).name).roles.map(({ role }) => role);
const isRight = (heading: string, role: ChannelRole): boolean => {
  const [first, ...rest] = read(heading);
  return first === role || (first !== undefined && kindOf(first) === kindOf(role) && rest.includes(role));
};
const pairs = (language: (typeof LANGUAGES)[number]): [string, ChannelRole][] =>
  Object.entries(HEADINGS[language]).flatMap(([role, list]) =>
    list.split('|').map((heading): [string, ChannelRole] => [heading, role as ChannelRole]),
  );

describe('headings in eight languages', () => {
  it.each(LANGUAGES)('are read in %s, and none is taken that is of something else', (language) => {
    const told = pairs(language);
    const wrong = told.filter(([heading, role]) => !isRight(heading, role)).map(([heading]) => heading);
    expect(told.length).toBeGreaterThan(100);
    expect(wrong.length / told.length, wrong.join(', ')).toBeLessThanOrEqual(0.03);
    expect(TRAPS[language].split('|').filter((heading) => read(heading).length > 0)).toEqual([]);
  });

  it.each([
    ['cut short', CUT_SHORT],
    ['of many tools', OF_MANY_TOOLS],
  ])('are read where they are %s', (_, { none = '', ...told }) => {
    const all = Object.entries(told).flatMap(([role, list]) =>
      list.split('|').map((heading): [string, ChannelRole] => [heading, role as ChannelRole]),
    );
    const wrong = all.filter(([heading, role]) => !isRight(heading, role)).map(([heading]) => heading);
    expect(wrong.length / all.length, wrong.join(', ')).toBeLessThanOrEqual(0.03);
    expect(none.split('|').filter((heading) => read(heading).length > 0)).toEqual([]);
  });

  it('are read in the logs of made tools, whatever these put together', () => {
    for (let seed = 0; seed < 300; seed++)
      for (const [role, heading] of Object.entries(randomHeadings(dice(seed))))
        expect(read(heading)[0], `${seed}: ${heading}`).toBe(role);
  });

  it('name every role in every language', () => {
    for (const language of LANGUAGES)
      expect(Object.keys(HEADINGS[language]).sort(), language).toEqual(Object.keys(CHANNEL_ROLES).sort());
  });

  it('are the same however they are written: capitals, accents, underscores, points', () => {
    const all = LANGUAGES.flatMap(pairs);
    fc.assert(
      fc.property(
        fc.constantFrom(...all),
        fc.constantFrom('upper', 'under', 'plain', 'spaced'),
        ([heading], way) => {
          const written = {
            upper: heading.toUpperCase(),
            under: heading.replaceAll(' ', '_'),
            plain: heading.normalize('NFD').replaceAll(/[\u0300-\u036f]/g, ''),
            spaced: `  ${heading.replaceAll(' ', '   ')} `,
          }[way];
          expect(read(written)).toEqual(read(heading));
        },
      ),
      { numRuns: 400 },
    );
  });

  it('mean something else as soon as they say so', () => {
    const targets = {
      en: 'target',
      de: 'Soll',
      fr: 'consigne',
      es: 'deseada',
      it: 'richiesta',
      pl: 'zadana',
      nl: 'gewenste',
      pt: 'desejada',
    };
    for (const language of LANGUAGES)
      for (const [heading] of pairs(language))
        expect(read(`${heading} ${targets[language]}`), `${heading} ${targets[language]}`).toEqual([]);
  });
});

describe('words', () => {
  const meanings = (heading: string): string[] =>
    readWords(heading).map(
      ({ senses, by }) => `${by} ${senses.map((one) => one.meanings.join('+')).join('/')}`,
    );

  it('are taken apart where they are joined, and added to where they are cut off', () => {
    expect(meanings('Saugrohrdr.')).toEqual(['compound place:intake+quantity:pressure']);
    expect(meanings('Abgast. vor')).toEqual([
      'compound medium:exhaust+quantity:temperature',
      'word side:before',
    ]);
    expect(meanings('Turb.').join()).toMatch(/^abbreviation part:turbine/);
    expect(meanings('Luftm.')).toEqual(['compound medium:air+quantity:mass']);
    expect(meanings('uitlaatgastemperatuur')).toEqual(['compound medium:exhaust+quantity:temperature']);
    expect(meanings('différ.')).toEqual(['abbreviation quantity:difference']);
    expect(meanings('Kuehlwassertemperatur')).toEqual(['compound medium:coolant+quantity:temperature']);
    expect(meanings('exhTempPreDPF').length).toBe(4);
  });

  it('of any text are read in time that grows with its length, without a fault', () => {
    fc.assert(fc.property(fc.string({ maxLength: 200 }), (text) => void explainHeading(text)));
    const began = performance.now();
    for (const piece of ['abgas', 'temp ', '. ', 'druckdruck', 'ä'])
      explainHeading(piece.repeat(Math.ceil(4000 / piece.length)));
    expect(performance.now() - began).toBeLessThan(5000);
  });
});

describe('what is said of a heading without a role', () => {
  const why = spoken(whyNone);

  it('names what it was read as, and the word that puts off the nearest role', () => {
    expect(readAs('Ladedruck Soll')).toBe('boost, target');
    expect(why('Ladedruck Soll')).toBe('not Manifold pressure: “soll” (target) is of something else');
    expect(why('Kraftstofffilter Differenzdruck')).toMatch(/^not ΔP across the filter: “kraftstofffilter”/);
    expect(why('Kanal 7')).toBe('none of its words is known');
    expect(why('Engine torque')).toBe('what it says is not judged here');
  });

  it('is there for every trap', () => {
    for (const heading of Object.values(TRAPS).flatMap((list) => list.split('|')))
      expect(why(heading), heading).toMatch(/^(?:not .*: “|what it says is not judged here$)/);
  });
});
