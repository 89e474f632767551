import { describe, expect, it } from 'vitest';
import type { EntryBody } from '../ledger/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { madeEntry } from '../testing/madeEntries.ts';
import { DISPLACEMENT_L, FILTER, madeReading } from '../testing/madeReadings.ts';
import { judgeJob } from './index.ts';

const judged = (bodies: readonly EntryBody[]) =>
  judgeJob(
    {
      limits: DEFAULT_LIMITS,
      displacementL: DISPLACEMENT_L,
      geometry: FILTER,
      fitted: ['engine', 'filter', 'dp-sensor', 'high-pipe', 'egt3'],
      entries: bodies.map((body, i) => madeEntry(i + 1, body)),
    },
    () => undefined,
  );

const FOUND: readonly EntryBody[] = [
  { kind: 'complaint', text: 'Black smoke, lamp on' },
  { kind: 'code-scan', when: 'before', codes: [{ code: 'P2463' }] },
  madeReading('before', { sootG: 30 }),
  { kind: 'check', check: 'intake-smoke', values: {}, outcome: 'smoke-behind' },
  { kind: 'cause', cause: 'charge-leak', state: 'confirmed', why: 'Smoke at the cooler' },
];
const TAPED: EntryBody = {
  kind: 'temporary-repair',
  what: 'Taped over, hose on order',
  cause: 'charge-leak',
  order: { name: 'Charge hose' },
};

describe('a temporary repair that names its cause', () => {
  it('puts it right for now, so that work goes on, and stays open with a limit on the road', () => {
    const before = judged(FOUND);
    expect(before.next).toMatchObject({ do: 'repair', id: 'charge-leak' });
    const after = judged([...FOUND, TAPED]);
    expect(after.derived.causes).toMatchObject([{ cause: 'charge-leak', state: 'put-right', forNow: true }]);
    expect(after.next?.id).not.toBe('charge-leak');
    expect(after.derived.open.map(({ waitsFor }) => waitsFor)).toEqual(['Charge hose']);
    expect(after.drive.verdict).toBe('limited');
    const held = (of: ReturnType<typeof judged>) =>
      of.choice.some(({ heldBy }) => heldBy.some(({ cause }) => cause === 'charge-leak'));
    expect([held(before), held(after)]).toEqual([true, false]);
  });

  it('gives way to what is said of the cause later', () => {
    const again = judged([
      ...FOUND,
      TAPED,
      { kind: 'cause', cause: 'charge-leak', state: 'confirmed', why: 'The tape came off' },
    ]);
    expect(again.next).toMatchObject({ do: 'repair', id: 'charge-leak' });
    expect(again.derived.causes[0]).not.toHaveProperty('forNow');
  });
});
