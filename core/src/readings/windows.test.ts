import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seededNoise } from '../testing/madeReadings.ts';
import type { ChannelRole } from './channelRoles.ts';
import { indexAt } from './indexAt.ts';
import { channelBetween, heldAt, type Recording, type Series } from './recording.ts';
import { windowSample } from './windowSample.ts';
import { findWindows } from './windows.ts';

interface Part {
  readonly rpm: number;
  readonly seconds: number;
  readonly speedKmH?: number;
}

/** A recording of parts one after the other, with ramps of a second between and a foot that wanders. */
function drive(parts: readonly Part[], hz = 5, wander = 30): Recording {
  const noise = seededNoise(11);
  const time: number[] = [];
  const rpm: number[] = [];
  const speed: number[] = [];
  let t = 0;
  let at = parts[0]?.rpm ?? 0;
  for (const part of parts) {
    const until = t + part.seconds;
    const from = at;
    const start = t;
    for (; t < until - 1e-9; t += 1 / hz) {
      const share = Math.min((t - start) / 1, 1);
      at = from + (part.rpm - from) * share;
      time.push(Number(t.toFixed(4)));
      rpm.push(at < 50 ? at : at + noise() * (part.rpm > 1000 ? wander : 5));
      speed.push(part.speedKmH ?? 0);
    }
  }
  const timeS = Float64Array.from(time);
  const channels = new Map<ChannelRole, Series>([
    ['engineSpeed', { timeS, values: Float64Array.from(rpm) }],
    ['dpfDeltaP', { timeS, values: Float64Array.from(rpm, (value) => value / 150) }],
    ['vehicleSpeed', { timeS, values: Float64Array.from(speed) }],
  ]);
  return {
    format: 'test',
    durationS: time.at(-1) ?? 0,
    channels,
    mapping: { channels: [], unmapped: [], without: [], questions: [], warnings: [] },
    columns: [],
    facts: {},
    warnings: [],
  };
}

const kinds = (recording: Recording): string[] => findWindows(recording).map((window) => window.kind);

describe('windows', () => {
  it('finds the usual drill: off, idle, two holds, snaps, idle, off', () => {
    const drill = [
      { rpm: 0, seconds: 10 },
      { rpm: 820, seconds: 30 },
      { rpm: 2500, seconds: 25 },
      { rpm: 3000, seconds: 25 },
      { rpm: 820, seconds: 15 },
      { rpm: 2600, seconds: 2 },
      { rpm: 820, seconds: 8 },
      { rpm: 2600, seconds: 2 },
      { rpm: 820, seconds: 20 },
      { rpm: 0, seconds: 8 },
    ];
    const found = kinds(drive(drill));
    expect(found.filter((kind) => kind === 'hold')).toHaveLength(2);
    expect(found.filter((kind) => kind === 'snap')).toHaveLength(2);
    expect(found.filter((kind) => kind === 'engine-off')).toHaveLength(2);
    expect(found[0]).toBe('engine-off');
    expect(found.at(-1)).toBe('engine-off');
  });

  it('takes a hold by foot as one, though it wanders by 100 rpm, at any rate of recording', () => {
    for (const hz of [1, 2, 5, 10]) {
      const holds = findWindows(
        drive(
          [
            { rpm: 820, seconds: 20 },
            { rpm: 2800, seconds: 40 },
            { rpm: 820, seconds: 20 },
          ],
          hz,
          100,
        ),
      ).filter((window) => window.kind === 'hold');
      expect(holds, `${hz} Hz`).toHaveLength(1);
      expect(Math.abs((holds[0]?.rpm.mean ?? 0) - 2800)).toBeLessThan(25);
    }
  });

  it('calls it a drive where the vehicle moves', () => {
    const found = kinds(
      drive([
        { rpm: 820, seconds: 20 },
        { rpm: 2100, seconds: 60, speedKmH: 70 },
        { rpm: 820, seconds: 20 },
      ]),
    );
    expect(found).toContain('drive');
    expect(found).not.toContain('hold');
  });

  it('leaves a stretch that is too short to be steady', () => {
    expect(
      kinds(
        drive([
          { rpm: 820, seconds: 20 },
          { rpm: 2500, seconds: 4 },
          { rpm: 820, seconds: 20 },
        ]),
      ),
    ).not.toContain('hold');
  });

  it('finds nothing where there is no engine speed', () => {
    const recording = drive([{ rpm: 820, seconds: 20 }]);
    expect(findWindows({ ...recording, channels: new Map() })).toEqual([]);
  });

  it('never lets windows of steady kinds overlap or leave the recording', () => {
    const parts = fc.array(
      fc.record({ rpm: fc.constantFrom(0, 800, 1500, 2200, 3000), seconds: fc.integer({ min: 2, max: 40 }) }),
      { minLength: 1, maxLength: 8 },
    );
    fc.assert(
      fc.property(parts, (made) => {
        const recording = drive(made);
        const steady = findWindows(recording).filter((window) => window.kind !== 'snap');
        for (const [i, window] of steady.entries()) {
          expect(window.endS).toBeGreaterThan(window.startS);
          expect(window.startS).toBeGreaterThanOrEqual(0);
          expect(window.endS).toBeLessThanOrEqual(recording.durationS);
          const next = steady[i + 1];
          if (next) expect(next.startS).toBeGreaterThanOrEqual(window.endS);
        }
      }),
    );
  });
});

describe('a window as a sample', () => {
  const recording = drive([
    { rpm: 0, seconds: 10 },
    { rpm: 820, seconds: 30 },
    { rpm: 3000, seconds: 30 },
  ]);
  const samples = findWindows(recording).map((window) => windowSample(recording, window));

  it('has mean, spread, count and blocks of its own readings', () => {
    const hold = samples.find((sample) => sample?.kind === 'hold');
    expect(hold?.dpMbar).toBeCloseTo(20, 0);
    expect(hold?.count).toBeGreaterThan(100);
    expect(hold?.blocks?.length).toBeGreaterThan(8);
    const means = (hold?.blocks ?? []).map(([, , , , dp]) => dp);
    const mean = means.reduce((a, b) => a + b, 0) / means.length;
    expect(Math.abs(mean - (hold?.dpMbar ?? 0))).toBeLessThan(0.2);
  });

  it('has no blocks with the engine off, where nothing flows', () => {
    expect(samples.find((sample) => sample?.kind === 'key-off')).not.toHaveProperty('blocks');
  });

  it('is none where the pressure was not logged, or in a snap', () => {
    const without = {
      ...recording,
      channels: new Map([...recording.channels].filter(([role]) => role !== 'dpfDeltaP')),
    };
    const [window] = findWindows(without);
    expect(window && windowSample(without, window)).toBeUndefined();
    expect(
      windowSample(recording, { kind: 'snap', startS: 12, endS: 14, rpm: { mean: 2000, sd: 300 } }),
    ).toBeUndefined();
  });
});

describe('rows of a time', () => {
  it('are those whose time lies between, ends included', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 0, max: 500 }), { minLength: 1, maxLength: 60 }),
        fc.nat(500),
        fc.nat(500),
        (times, a, b) => {
          const timeS = Float64Array.from([...times].sort((x, y) => x - y));
          const [start, end] = [Math.min(a, b), Math.max(a, b)];
          const found = timeS.subarray(indexAt(timeS, start), indexAt(timeS, end, true));
          expect([...found]).toEqual([...timeS].filter((t) => t >= start && t <= end));
        },
      ),
    );
  });

  it('give the reading that stood at a time, and nothing of a channel that is not there', () => {
    const series = { timeS: Float64Array.from([1, 2, 4]), values: Float64Array.from([10, 20, 40]) };
    expect([0, 1, 1.5, 2, 3.9, 4, 99].map((t) => heldAt(series, t))).toEqual([10, 10, 10, 20, 20, 40, 40]);
    expect(channelBetween(drive([{ rpm: 820, seconds: 3 }]), 'sootMass', 0, 2)).toHaveLength(0);
  });
});
