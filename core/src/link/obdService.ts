export const OBD_FUNCTIONAL_ID = 0x7df;
export const OBD_REQUEST_ID = 0x7e0;
export const OBD_ANSWER_ID = 0x7e8;

/** Two bytes of a trouble code (SAE J2012): P2463 → 24 63. Undefined for other notations. */
export function codeBytes(code: string): [number, number] | undefined {
  const match = /^([PCBU])([0-3])([0-9A-F])([0-9A-F]{2})$/.exec(code);
  if (!match) return undefined;
  const system = 'PCBU'.indexOf(match[1] as string);
  return [
    (system << 6) | (Number(match[2]) << 4) | Number.parseInt(match[3] as string, 16),
    Number.parseInt(match[4] as string, 16),
  ];
}

/** The reverse of {@link codeBytes}. Worked value: 24 63 → P2463. */
export const codeOfBytes = (high: number, low: number): string =>
  `${'PCBU'[high >> 6]}${(high >> 4) & 3}${(high & 15).toString(16).toUpperCase()}${low.toString(16).toUpperCase().padStart(2, '0')}`;
