import { inEnglish, say } from '../words/index.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  codeMeaning,
  compareScans,
  GENERIC,
  holdingOff,
  PARAMETERS,
  readCode,
  readCodeList,
  sortCodes,
} from './index.ts';

describe('a code in any notation', () => {
  it.each([
    ['P2463', { notation: 'j2012', code: 'P2463' }],
    ['p2463-00', { notation: 'j2012', code: 'P2463', failureType: '00' }],
    [' P 2463', { notation: 'unknown' }],
    ['P2453:2A', { notation: 'j2012', code: 'P2453', failureType: '2A' }],
    ['P242F00', { notation: 'j2012', code: 'P242F', failureType: '00' }],
    ['PO4O1', { notation: 'j2012', code: 'P0401' }],
    ['U0100', { notation: 'j2012', code: 'U0100' }],
    ['0x2463', { notation: 'hexadecimal', code: 'P2463' }],
    ['0x246300', { notation: 'hexadecimal', code: 'P2463', failureType: '00' }],
    ['24 2F 11', { notation: 'hexadecimal', code: 'P242F', failureType: '11' }],
    ['242F', { notation: 'hexadecimal', code: 'P242F' }],
    ['C155h', { notation: 'hexadecimal', code: 'U0155' }],
    ['$4040', { notation: 'hexadecimal', code: 'C0040' }],
    ['SPN 3251 FMI 0', { notation: 'spn-fmi', code: 'SPN 3251 FMI 0', spn: 3251, fmi: 0 }],
    ['spn:3719 fmi:16', { notation: 'spn-fmi', code: 'SPN 3719 FMI 16' }],
    ['3251/4', { notation: 'spn-fmi', code: 'SPN 3251 FMI 4' }],
    ['4753', { notation: 'maker', code: '4753', couldBe: say('codes.if-hexadecimal', { code: 'C0753' }) }],
    ['18434', { notation: 'maker', code: '18434' }],
    [
      '009234',
      { notation: 'maker', code: '009234', couldBe: say('codes.if-hexadecimal', { code: 'P0092-34' }) },
    ],
    ['Fault 7 of the panel', { notation: 'unknown', code: 'Fault 7 of the panel' }],
  ])('reads %s', (text, expected) => {
    expect(readCode(text)).toMatchObject(expected);
  });

  it('is the same code by letters and by bytes, for every code that there is', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 0xffff }), fc.integer({ min: 0, max: 255 }), (value, type) => {
        const hex = value.toString(16).padStart(4, '0');
        const failureType = type.toString(16).toUpperCase().padStart(2, '0');
        const byBytes = readCode(`0x${hex}${failureType}`);
        expect(byBytes).toMatchObject({ notation: 'hexadecimal', failureType });
        expect(readCode(`${byBytes.code}-${failureType}`)).toMatchObject({ code: byBytes.code, failureType });
      }),
    );
  });

  it('never fails and never loses the text, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        const known = codeMeaning(text);
        expect(known.text).toBe(text);
        // No code is left without words: then it would be said by its address.
        expect(inEnglish([known.meaning])[0]).toMatch(/^[^.]{4,}$/);
      }),
    );
  });
});

describe('what is known of a code', () => {
  it('stands in tables of 120 generic codes and 30 parameters at least', () => {
    expect(GENERIC.size).toBeGreaterThanOrEqual(120);
    expect(PARAMETERS.size).toBeGreaterThanOrEqual(30);
    for (const code of GENERIC.keys()) expect(readCode(code)).toMatchObject({ notation: 'j2012', code });
  });

  it('is marked exact, by its range, or as nothing', () => {
    expect(codeMeaning('P2463')).toMatchObject({ certainty: 'exact', role: 'consequence' });
    expect(codeMeaning('P2464')).toMatchObject({ certainty: 'by-range', role: 'consequence' });
    expect(inEnglish([codeMeaning('P2464').meaning])[0]).toContain('by its range');
    expect(codeMeaning('C0040')).toMatchObject({ certainty: 'by-range', role: 'bystander' });
    expect(codeMeaning('P0733')).toMatchObject({ certainty: 'by-range', role: 'bystander' });
    expect(codeMeaning('P1457')).toMatchObject({ certainty: 'none', role: 'unknown', checks: [] });
    expect(codeMeaning('18434')).toMatchObject({ certainty: 'none', role: 'unknown' });
  });

  it('goes with the failure mode of a heavy vehicle’s parameter', () => {
    expect(inEnglish(codeMeaning('SPN 3251 FMI 4'))).toMatchObject({
      certainty: 'exact',
      role: 'cause',
      meaning: 'Pressure across the filter: voltage low, or shorted to ground',
    });
    expect(codeMeaning('SPN 3719 FMI 16')).toMatchObject({ role: 'consequence' });
    // A load that comes of a broken circuit is no load.
    expect(codeMeaning('SPN 3719 FMI 2')).toMatchObject({ role: 'cause' });
    expect(codeMeaning('SPN 3251 FMI 25')).toMatchObject({ certainty: 'by-range' });
    expect(codeMeaning('SPN 520200 FMI 3')).toMatchObject({ certainty: 'by-range', role: 'unknown' });
    expect(codeMeaning('SPN 520200 FMI 26')).toMatchObject({ certainty: 'none' });
  });
});

describe('a list of codes', () => {
  it('is read as tools print it: modules above, status behind, bullets before', () => {
    const { codes, leftOver } = readCodeList(
      'Engine:\n1. P2463-00 confirmed, present\n- P0401 [stored]\nBrakes\nC0040\nSPN 3251 FMI 0 active\n12.4 V at the start',
    );
    expect(codes).toEqual([
      { code: 'P2463-00', status: 'confirmed, present', module: 'Engine' },
      { code: 'P0401', status: 'stored', module: 'Engine' },
      { code: 'C0040', module: 'Brakes' },
      { code: 'SPN 3251 FMI 0', status: 'active', module: 'Brakes' },
    ]);
    expect(leftOver).toEqual(['12.4 V at the start']);
  });

  it('may be typed in a row, and may be empty', () => {
    expect(readCodeList('p2463, P0101;U0100').codes.map(({ code }) => code)).toEqual([
      'p2463',
      'P0101',
      'U0100',
    ]);
    expect(readCodeList(' \n ')).toEqual({ codes: [], leftOver: [] });
    expect(readCodeList('Engine: \nNo codes\nBrakes\nC0040')).toEqual({
      codes: [{ code: 'C0040', module: 'Brakes' }],
      leftOver: [],
    });
  });

  it('swallows nothing: every piece is a code, a module or left over', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.constantFrom('P2463', '3251/0', 'what is this 123?', '0x2463', '!!', 'Lamp flickers', 'Engine:'),
        ),
        (pieces) => {
          const { codes, leftOver } = readCodeList(pieces.join('\n'));
          const modules = new Set(codes.flatMap(({ module }) => module ?? []));
          const headings = pieces.filter((piece) => /^(Lamp|Engine)/.test(piece)).length;
          expect(codes.length + leftOver.length).toBeGreaterThanOrEqual(pieces.length - headings);
          if (headings > 0) expect(modules.size + leftOver.length).toBeGreaterThan(0);
        },
      ),
    );
  });
});

describe('a scan', () => {
  const scan = [
    { code: 'P2463' },
    { code: 'C0040' },
    { code: 'P0562' },
    { code: 'P0101', status: 'stored, not present' },
    { code: 'P1457' },
    { code: 'P2453' },
  ];

  it('is sorted into cause, what holds a regeneration off, consequence and bystander, each with its reason', () => {
    const sorted = sortCodes(scan);
    expect(sorted.map(({ code, group }) => [code, group])).toEqual([
      ['P2453', 'cause'],
      ['P0101', 'cause'],
      ['P0562', 'holds-regeneration-off'],
      ['P2463', 'consequence'],
      ['C0040', 'bystander'],
      ['P1457', 'unknown'],
    ]);
    expect(inEnglish(sorted.find(({ code }) => code === 'P2463')?.reason)).toContain(
      'look at P0101 and P2453 first',
    );
    expect(inEnglish(sortCodes([{ code: 'P2463' }])[0]?.reason)).toContain('use live values');
  });

  it('holds a regeneration off by what is active alone', () => {
    expect(holdingOff(sortCodes(scan)).map(({ code }) => code)).toEqual(['P2453', 'P0562']);
  });

  it('is compared with an earlier one, whatever the notation', () => {
    expect(
      compareScans([{ code: 'P2463-00' }, { code: 'P0101' }], [{ code: '0x2463' }, { code: 'P2454' }]),
    ).toEqual({ gone: ['P0101'], stayed: ['P2463'], came: ['P2454'] });
  });
});
