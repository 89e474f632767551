import { describe, expect, it } from 'vitest';
import { clockIsBehindMs, learnServerTime, serverNow } from './serverClock.ts';

describe('the time by the server', () => {
  it('is this device’s own where both agree, whatever an answer takes on its way', () => {
    learnServerTime(10_000, 9_000, 10_400);
    expect(clockIsBehindMs()).toBe(0);
    expect(Math.abs(serverNow() - Date.now())).toBeLessThan(50);
  });

  it('is put right by what the device is off, either way, and learnt anew when its clock is set', () => {
    const now = Date.now();
    learnServerTime(now + 600_000, now - 50, now + 50);
    expect(clockIsBehindMs()).toBe(600_000);
    expect(Math.abs(serverNow() - (Date.now() + 600_000))).toBeLessThan(50);
    learnServerTime(now - 90_000, now - 50, now + 50);
    expect(clockIsBehindMs()).toBe(-90_000);
    learnServerTime(now, now - 50, now + 50);
    expect(clockIsBehindMs()).toBe(0);
  });

  it('is not shaken by an answer that took long, or by one that says nothing', () => {
    learnServerTime(600_000, 0, 0);
    const before = clockIsBehindMs();
    learnServerTime(603_000, 0, 9_000);
    expect(clockIsBehindMs()).toBe(before);
    learnServerTime(Number.NaN, 0, 0);
    expect(clockIsBehindMs()).toBe(before);
  });
});
