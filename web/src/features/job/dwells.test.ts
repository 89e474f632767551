import { describe, expect, it } from 'vitest';
import { dwellText } from './useRunningDwells.ts';

describe('a dwell', () => {
  it('is told in minutes and seconds, long ones in hours, and as over once it is', () => {
    expect(dwellText(16 * 60_000 + 7_000)).toBe('16:07');
    expect(dwellText(59_001)).toBe('01:00');
    expect(dwellText(99 * 60_000)).toBe('99:00');
    expect(dwellText(100 * 60_000)).toBe('1 h 40');
    expect(dwellText(12 * 3_600_000 + 5 * 60_000)).toBe('12 h 05');
    expect(dwellText(0)).toBe('over');
    expect(dwellText(-60_000)).toBe('over');
  });
});
