import { inEnglish } from '../../words/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plainLabel } from '../../quantities/index.ts';
import { CHANNEL_ROLES, ROLE_IDS, roleName } from '../channelRoles.ts';
import { foldHeading } from '../lexicon/index.ts';
import { mapChannels, column, logOf, USUAL, HEADINGS } from './testing/madeColumns.ts';

describe('a mapping', () => {
  const anyColumn = fc
    .tuple(
      fc.constantFrom(...HEADINGS),
      fc.array(fc.double({ min: -50, max: 4000, noNaN: true }), { minLength: 5, maxLength: 5 }),
    )
    .map(([[name, unit], values]) => column(name, unit, values));

  it('uses a column for one role, a role for one column, and loses none', () => {
    fc.assert(
      fc.property(fc.uniqueArray(anyColumn, { selector: (c) => c.name, maxLength: 20 }), (columns) => {
        const { channels, unmapped } = mapChannels(logOf(...columns));
        const sources = channels.map((channel) => channel.source);
        expect(new Set(sources).size).toBe(sources.length);
        expect(new Set(channels.map((channel) => channel.role)).size).toBe(channels.length);
        expect([...sources, ...unmapped].sort()).toEqual(columns.map((c) => c.name).sort());
        for (const { confidence } of channels) {
          expect(confidence).toBeGreaterThan(0);
          expect(confidence).toBeLessThanOrEqual(1);
        }
      }),
    );
  });

  it('does not depend on capitals, accents or punctuation', () => {
    expect(foldHeading('Pression  DIFFÉRENTIELLE (FAP)')).toBe('pression differentielle fap');
    expect(foldHeading('Rußmasse')).toBe('russmasse');
    expect(foldHeading('EGT_pre-DPF')).toBe('egt pre dpf');
  });

  it('lets a person leave a column out, and give its role to another', () => {
    const two = logOf(
      column('DPF differential pressure', 'mbar', [0, 3, 14, 21, 4]),
      column('Channel 9', 'mbar', [0, 4, 15, 22, 5]),
    );
    const corrected = mapChannels(two, { 'DPF differential pressure': '', 'Channel 9': 'dpfDeltaP' });
    expect(corrected.channels.map((channel) => channel.source)).toEqual(['Channel 9']);
    expect(corrected.unmapped).toEqual(['DPF differential pressure']);
  });

  it('takes what the workshop said before, where it fits, and lets a person overrule it', () => {
    const log = logOf(
      column('Kanal 7', 'mbar', [0, 3, 14, 21, 4]),
      column('Kanal 8', 'mbar', [0, 4, 15, 22, 5]),
      column('Kanal 9', '°C', [80, 81, 82, 83, 84]),
      column('__proto__', 'mbar', [1, 2, 3, 4, 5]),
    );
    const before = { 'Kanal 7': 'dpfDeltaP', 'Kanal 9': 'dpfDeltaP' };
    const mapped = mapChannels(log, {}, before);
    expect(mapped.channels).toMatchObject([
      { role: 'dpfDeltaP', column: 'Kanal 7', reason: 'as your workshop set it before' },
    ]);
    expect(mapped.warnings).toEqual([]);
    const overruled = mapChannels(log, { 'Kanal 8': 'dpfDeltaP' }, before);
    expect(overruled.channels).toMatchObject([{ column: 'Kanal 8', reason: 'set by hand' }]);
    const leftOut = mapChannels(log, { 'Kanal 7': '' }, before);
    expect(leftOut.channels).toEqual([]);
    expect(leftOut.without[0]).toMatchObject({ column: 'Kanal 7', why: 'your workshop left it out' });
    expect(mapChannels(log, {}, { 'Kanal 9': 'dpfDeltaP' })).toMatchObject({ channels: [], warnings: [] });
  });

  it('takes the one of two that moves, and asks where both do', () => {
    const two = (second: readonly number[]) =>
      mapChannels(
        logOf(
          column('DPF differential pressure 1', 'mbar', [0, 3, 14, 21, 4]),
          column('DPF differential pressure 2', 'mbar', second),
        ),
      );
    const still = two([0, 0, 0, 0, 0]);
    expect(still.channels).toMatchObject([{ role: 'dpfDeltaP', column: 'DPF differential pressure 1' }]);
    expect(still.channels[0]?.reason).toMatch(/the other column of that name does not move/);
    expect(still.questions).toEqual([]);
    expect(two([0, 9, 2, 30, 11]).questions).toMatchObject([{ role: 'dpfDeltaP' }]);
  });

  it('takes a channel whose values cannot be less surely, and says so', () => {
    const [dead] = mapChannels(
      logOf(column('DPF differential pressure', 'mbar', [5500, 5500, 5500, 5500, 5500])),
    ).channels;
    const [sound] = mapChannels(
      logOf(column('DPF differential pressure', 'mbar', [0, 3, 14, 21, 4])),
    ).channels;
    expect(dead?.confidence).toBeLessThan((sound?.confidence ?? 0) - 0.1);
    expect(dead?.reason).toMatch(/beyond what it can be/);
  });

  it('learns a word by what the workshop said of a heading, and takes it back where two disagree', () => {
    const log = logOf(
      column('Tlaakcheck DPF', 'mbar', [0, 3, 14, 21, 4]),
      column('TEMP. QUORBIN', '°C', [80, 82, 84, 85, 84]),
      column('quorbin niveau', '%', [1, 2, 3, 4, 5]),
    );
    const before = { 'Tlaakcheck roetfilter': 'dpfDeltaP', 'Quorbin temperatuur': 'coolantTemp' };
    expect(mapChannels(log).channels.map(({ role }) => role)).toEqual([]);
    const { channels } = mapChannels(log, {}, before);
    expect(channels.map(({ role, column: name }) => [role, name])).toEqual([
      ['dpfDeltaP', 'Tlaakcheck DPF'],
      ['coolantTemp', 'TEMP. QUORBIN'],
    ]);
    // A tool’s own name with a number teaches nothing.
    expect(
      mapChannels(logOf(column('Foobar 7', '°C', [80, 82, 84, 85, 84])), {}, { 'Foobar 12': 'egt3' })
        .channels,
    ).toEqual([]);
    const torn = { ...before, 'Quorbin temp': 'oilTemp' };
    expect(mapChannels(log, {}, torn).channels.map(({ role }) => role)).toEqual(['dpfDeltaP']);
  });

  it('knows a heading that was set right however it is written', () => {
    const log = logOf(column('KANAL_SIEBEN', 'mbar', [0, 3, 14, 21, 4]));
    expect(mapChannels(log, {}, { 'Kanal sieben': 'dpfDeltaP' }).channels).toMatchObject([
      { role: 'dpfDeltaP', reason: 'as your workshop set it before' },
    ]);
  });

  it('takes an unmarked unit from the others of its kind', () => {
    const imperial = mapChannels(
      logOf(
        column('Coolant temperature', undefined, [176, 180, 183, 185, 184]),
        column('EGT before DPF', undefined, [180, 420, 610, 640, 300]),
      ),
    );
    expect(imperial.channels.map(({ role, unit }) => [role, unit])).toEqual([
      ['egt3', 'degF'],
      ['coolantTemp', 'degF'],
    ]);
  });

  it('does not believe a stated unit in which the values cannot be, and says so', () => {
    const { channels } = mapChannels(
      logOf(column('Barometric pressure', 'bar', [1013, 1013, 1013, 1013, 1013])),
    );
    expect(channels[0]).toMatchObject({ unit: 'mbar' });
    expect(channels[0]?.reason).toMatch(/stated as bar, in which the values cannot be/);
  });

  it('knows a gauge column by name, by unit, or because it idles near zero', () => {
    const gauge = (name: string, unit: string, values: readonly number[]): boolean | undefined =>
      mapChannels(logOf(column(name, unit, values))).channels[0]?.gauge;
    expect(gauge('Boost pressure gauge', 'mbar', [0, 5, 120, 210, 4])).toBe(true);
    expect(gauge('Boost pressure', 'psig', [0, 0.1, 1.7, 3, 0.1])).toBe(true);
    expect(gauge('Boost pressure', 'mbar', [0, 5, 120, 210, 4])).toBe(true);
    expect(gauge('Boost pressure', 'mbar', [1010, 1015, 1120, 1210, 1012])).toBe(false);
    expect(gauge('Manifold absolute pressure', 'kPa', [10, 10, 10, 10, 10])).toBe(false);
  });
});

describe('our own names', () => {
  it('are recognised with their units, so that what the application writes it can read', () => {
    for (const role of ROLE_IDS) {
      const { unit } = CHANNEL_ROLES[role];
      const label = inEnglish(roleName(role));
      const read = column(
        label,
        role === 'lambda' || role === 'regenActive' ? '' : plainLabel(unit),
        USUAL[role],
      );
      expect(
        mapChannels(logOf(read)).channels.map((channel) => channel.role),
        label,
      ).toEqual([role]);
    }
  });
});
