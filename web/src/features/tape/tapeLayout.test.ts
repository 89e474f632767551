import { PLAIN_WORDS } from '@white-ember/core/words';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { EntryBody } from '@white-ember/core/ledger';
import { madeEntry, note } from '@white-ember/core/testing';
import { layTape, type TapeLayout } from './tapeLayout.ts';

const bodies: EntryBody[] = [
  { kind: 'complaint', text: 'x' },
  { kind: 'code-scan', when: 'before', codes: [{ code: 'P2463' }] },
  { kind: 'work', work: 'chemical-clean', what: 'x', dwellMin: 30 },
  { kind: 'part-state', part: 'high-pipe', state: 'sound', why: 'x' },
  {
    kind: 'reading',
    purpose: 'before',
    origin: { type: 'hand' },
    samples: [{ kind: 'hold', rpm: 3000, dpMbar: 120 }],
  },
  note('x'),
];
const minutes = fc.array(fc.record({ minute: fc.integer({ min: 0, max: 9000 }), kind: fc.nat(5) }), {
  minLength: 1,
  maxLength: 40,
});

const lay = (made: readonly { minute: number; kind: number }[], closed = false, width = 1100): TapeLayout => {
  const entries = made
    .map(({ minute, kind }, i) => madeEntry(i + 1, bodies[kind] as EntryBody, minute))
    .sort((a, b) => Date.parse(a.deviceTime) - Date.parse(b.deviceTime));
  const nowMs = Date.parse(entries.at(-1)?.deviceTime ?? '') + 5 * 60_000;
  return layTape({
    entries,
    clocks: [],
    nowMs,
    closed,
    width,
    rows: 2,
    say: PLAIN_WORDS.say,
    clockAt: PLAIN_WORDS.clock,
  });
};

describe('the tape', () => {
  it('lets no label touch another, and no stem run through a label', () => {
    fc.assert(
      fc.property(minutes, fc.integer({ min: 640, max: 1700 }), (made, width) => {
        const tape = lay(made, false, width);
        const labelled = tape.pins.flatMap((pin) => (pin.label ? [{ x: pin.x, ...pin.label }] : []));
        for (const a of labelled) {
          expect(a.from).toBeGreaterThanOrEqual(0);
          expect(a.to).toBeLessThanOrEqual(width);
          const nowX = tape.nowX ?? 0;
          expect(a.from < nowX && a.to > nowX).toBe(false);
          for (const b of labelled) {
            if (a === b) continue;
            if (a.row === b.row) expect(a.from < b.to && b.from < a.to).toBe(false);
            if (b.row > a.row) expect(b.x > a.from && b.x < a.to).toBe(false);
          }
        }
      }),
    );
  });

  it('keeps the order of time, and time and place undo each other', () => {
    fc.assert(
      fc.property(minutes, (made) => {
        const tape = lay(made);
        const xs = tape.pins.map((pin) => pin.x);
        expect([...xs].sort((a, b) => a - b)).toEqual(xs);
        for (const pin of tape.pins) {
          const ms = Date.parse(pin.entry.deviceTime);
          expect(Math.abs(tape.msAt(tape.xOf(ms)) - ms)).toBeLessThan(2);
        }
      }),
    );
  });

  it('cuts a night short and says how long it was', () => {
    const tape = lay([
      { minute: 0, kind: 0 },
      { minute: 20, kind: 4 },
      { minute: 2 * 24 * 60, kind: 5 },
    ]);
    expect(tape.breaks.map(({ text }) => text)).toEqual(['2 days']);
    const [first, second, third] = tape.pins.map((pin) => pin.x) as [number, number, number];
    expect(third - second).toBeLessThan(2 * (second - first));
  });

  it('marks now while the job is open, and ends with its last entry when it is closed', () => {
    const made = [
      { minute: 0, kind: 0 },
      { minute: 30, kind: 4 },
    ];
    expect(lay(made).nowX).toBeGreaterThan(lay(made).pins.at(-1)?.x ?? 0);
    expect(lay(made, true).nowX).toBeUndefined();
  });

  it('labels a reading before a remark where there is room for one', () => {
    const made = [
      { minute: 0, kind: 0 },
      { minute: 400, kind: 0 },
      ...Array.from({ length: 9 }, () => ({ minute: 401, kind: 5 })),
      { minute: 401, kind: 4 },
    ];
    const { pins } = lay(made, true, 640);
    expect(pins.find((pin) => pin.entry.body.kind === 'reading')?.label?.side).toBe('left');
    expect(pins.filter((pin) => pin.entry.body.kind === 'note').some((pin) => pin.label === undefined)).toBe(
      true,
    );
  });
});
