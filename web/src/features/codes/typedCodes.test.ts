import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { asTyped, codesIn, type ScannedCode } from './typedCodes.ts';

describe('a scan as it is typed', () => {
  it('keeps what is no code as it is, so that nothing that a tool printed is swallowed', () => {
    const { codes, leftOver } = codesIn(
      'Engine\nP2463 confirmed\n12.4 V at the start of it all, with the fan running',
    );
    expect(codes).toEqual([
      { code: 'P2463', status: 'confirmed', module: 'Engine' },
      { code: '12.4 V at the start of it all' },
      { code: 'with the fan running' },
    ]);
    expect(leftOver).toHaveLength(2);
  });

  it('is shortened to what the ledger takes', () => {
    const [code] = codesIn(`0.${'1'.repeat(90)}`).codes;
    expect(code?.code).toHaveLength(40);
  });

  it('comes back the same when an entry is corrected', () => {
    const scan: readonly ScannedCode[] = [
      { code: 'P2463-00', status: 'confirmed, present', module: 'Engine' },
      { code: 'P0101', module: 'Engine' },
      { code: 'C0040', status: 'stored', module: 'Brakes' },
    ];
    expect(codesIn(asTyped(scan)).codes).toEqual(scan);
  });

  it('comes back the same for any codes, modules and words of status', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record(
            {
              code: fc.constantFrom('P2463', 'P2453-2A', 'SPN 3251 FMI 4', '18434', '0x246300'),
              status: fc.constantFrom('confirmed', 'stored, not present', 'pending'),
              module: fc.constantFrom('Engine', 'Brakes', 'Body 2'),
            },
            { requiredKeys: ['code', 'module'] },
          ),
          { maxLength: 8 },
        ),
        (scan) => {
          expect(codesIn(asTyped(scan)).codes).toEqual(scan);
        },
      ),
    );
  });
});
