import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ROLE_IDS } from '../channelRoles.ts';
import { ASKED, channelsSaid, leftToSay, saidByHeading, sayWord, type Said } from './facetChoice.ts';
import { spellOut } from './spellOut.ts';

const all = (said: readonly Said[]): readonly Said[] => ASKED.flatMap((asked) => leftToSay(said)[asked]);

describe('saying what a column is, facet by facet', () => {
  it('begins with every channel, and only ever narrows', () => {
    expect(channelsSaid([])).toEqual(ROLE_IDS);
    fc.assert(
      fc.property(fc.array(fc.nat(40), { maxLength: 6 }), (picks) => {
        let said: Said[] = [];
        for (const pick of picks) {
          const left = all(said);
          if (left.length === 0) break;
          const before = channelsSaid(said).length;
          said = [...said, left[pick % left.length] as Said];
          const after = channelsSaid(said).length;
          expect(after).toBeGreaterThan(0);
          expect(after).toBeLessThan(before);
        }
      }),
    );
  });

  it('reaches every channel, or the two or three that only the unit tells apart', () => {
    for (const role of ROLE_IDS) {
      let said: Said[] = [];
      for (;;) {
        const next = all(said)
          .map((one) => [...said, one])
          .filter((more) => channelsSaid(more).includes(role))
          .toSorted((a, b) => channelsSaid(a).length - channelsSaid(b).length)[0];
        if (!next) break;
        said = next;
      }
      expect(channelsSaid(said), role).toContain(role);
      expect(channelsSaid(said).length, role).toBeLessThanOrEqual(3);
    }
  });

  it('starts at what the heading says, whatever the language', () => {
    expect(channelsSaid(saidByHeading('Temp. gaz échap. av. FAP'))).toEqual(['egt3']);
    expect(channelsSaid(saidByHeading('Abgastemperatur 3 Sensor'))).toEqual(['egt3']);
    expect(channelsSaid(saidByHeading('Kanal 7'))).toEqual(ROLE_IDS);
    expect(saidByHeading('Fuel rail pressure').map(sayWord)).toEqual(['pressure']);
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), (heading) => {
        expect(channelsSaid(saidByHeading(heading)).length).toBeGreaterThan(0);
      }),
    );
  });

  it('spells a heading out word by word, of two senses the one that names the channel', () => {
    expect(spellOut('Abgastemp. vor Partikelfilter')).toEqual([
      { word: 'abgastemp', means: 'exhaust, temperature' },
      { word: 'vor', means: 'before' },
      { word: 'partikelfilter', means: 'particles, filter' },
    ]);
    expect(spellOut('Quorbin niveau')[0]).toEqual({ word: 'quorbin', means: '' });
  });
});
