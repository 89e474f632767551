import { spoken } from '../words/index.ts';
import { describe, expect, it } from 'vitest';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { judgeJob as judgeJobInCodes, type JobJudgement } from '../job/index.ts';
import type { EntryBody } from '../ledger/index.ts';
import { madeEntry, PROVEN_PATH } from '../testing/madeEntries.ts';
import { DISPLACEMENT_L, FILTER, madeReading } from '../testing/madeReadings.ts';

const judgeJob = spoken(judgeJobInCodes);

const judged = (...bodies: readonly EntryBody[]): JobJudgement =>
  judgeJob({
    entries: bodies.map((body, i) => madeEntry(i + 1, body)),
    limits: DEFAULT_LIMITS,
    displacementL: DISPLACEMENT_L,
    geometry: FILTER,
  });
const steps = ({ next, then }: JobJudgement): string[] =>
  [...(next ? [next] : []), ...then].map(({ do: what, id }) => (id === undefined ? what : `${what} ${id}`));

const DEAD: EntryBody = {
  kind: 'reading',
  purpose: 'before',
  origin: { type: 'hand' },
  samples: [
    { kind: 'key-off', rpm: 0, dpMbar: 0 },
    { kind: 'idle', rpm: 800, dpMbar: 0 },
    { kind: 'hold', rpm: 3000, dpMbar: 0 },
  ],
};

describe('the next step of a job', () => {
  it('is to scan and to read while nothing is known', () => {
    expect(steps(judged({ kind: 'complaint', text: 'Lamp' }))).toEqual(['scan', 'read']);
  });

  it('is a look at sensor and pipes where the pressure never moves, and nothing is offered for the filter', () => {
    const dead = judged(DEAD);
    expect(dead.next?.do).toBe('check');
    expect([
      'dp-zero',
      'dp-electrical',
      'dp-ladder',
      'dp-swap',
      'hoses',
      'supply',
      'pipe-pump',
      'pipe-response',
    ]).toContain(dead.next?.id);
    expect(dead.notJudged?.text).toMatch(/check sensor and pipes first/);
    expect(dead.choice.filter(({ allowed }) => allowed)).toEqual([]);
  });

  it('is the repair of a cause that a person confirmed', () => {
    const said: EntryBody = { kind: 'cause', cause: 'charge-leak', state: 'confirmed', why: 'Split hose' };
    expect(steps(judged(madeReading('before', { sootG: 3 }), said))[0]).toBe('repair charge-leak');
  });

  it('is, after the work, what still has to be shown: other looks come after it', () => {
    const cleaned = judged(
      madeReading('before', { sootG: 32 }),
      ...PROVEN_PATH,
      { kind: 'work', work: 'chemical-clean', what: 'One fill', dwellMin: 30 },
      madeReading('after', { sootG: 3 }),
    );
    expect(cleaned.next?.do).toBe('prove');
    const [, ...then] = steps(cleaned);
    expect(then.findIndex((step) => step.startsWith('check'))).not.toBe(0);
  });

  it('is the treatment that was chosen once the sensor that hid the filter is put right and it was read anew', () => {
    const repaired: readonly EntryBody[] = [
      DEAD,
      { kind: 'work', work: 'sensor-replaced', what: 'ΔP sensor', part: 'dp-sensor' },
      { kind: 'cause', cause: 'dp-sensor-failed', state: 'put-right', why: 'New sensor' },
      ...PROVEN_PATH,
      madeReading('before', { sootG: 32 }),
    ];
    expect(steps(judged(...repaired))[0]).not.toMatch(/^prove/);
    const chosen = judged(...repaired, { kind: 'treatment-chosen', treatment: 'chemical' });
    expect(steps(chosen)).toContain('treat chemical');
    expect(steps(chosen)[0]).not.toMatch(/^prove/);
  });

  it('never holds revs with fuel in the oil', () => {
    const diluted = judged(madeReading('before', { sootG: 12 }), {
      kind: 'check',
      check: 'oil',
      values: {},
      outcome: 'oil-diluted',
    });
    expect(steps(diluted)).not.toContain('read');
    for (const step of steps(diluted))
      expect(step).not.toMatch(/pipe-response|dp-swap|gauge|sections|air-mass/);
  });
});
