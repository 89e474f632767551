import { describe, expect, it } from 'vitest';
import type { EntryBody } from '../ledger/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { madeEntry } from '../testing/madeEntries.ts';
import { DISPLACEMENT_L, FILTER, madeReading } from '../testing/madeReadings.ts';
import { judgeJob } from './index.ts';

const soot = (bodies: readonly EntryBody[]) =>
  judgeJob(
    {
      limits: DEFAULT_LIMITS,
      displacementL: DISPLACEMENT_L,
      geometry: FILTER,
      fitted: ['engine', 'filter', 'dp-sensor', 'high-pipe', 'low-pipe', 'egt3'],
      entries: bodies.map((body, i) => madeEntry(i + 1, body)),
    },
    () => undefined,
  ).resets.find(({ reset }) => reset === 'reset-soot');

const STUCK: readonly EntryBody[] = [
  { kind: 'complaint', text: 'Lamp on' },
  { kind: 'code-scan', when: 'before', codes: [{ code: 'P2453' }] },
  {
    kind: 'reading',
    purpose: 'before',
    origin: { type: 'hand' },
    sootCounterG: 60,
    samples: [
      { kind: 'key-off', rpm: 0, dpMbar: 210 },
      { kind: 'idle', rpm: 800, dpMbar: 212 },
      { kind: 'hold', rpm: 2500, dpMbar: 209 },
    ],
  },
  { kind: 'work', work: 'sensor-replaced', what: 'New sensor', part: 'dp-sensor' },
  { kind: 'cause', cause: 'dp-sensor-failed', state: 'put-right', why: 'It stood still' },
];

describe('a counter that counted by a sensor that stood still', () => {
  it('may be set back once the new sensor shows that it is not there, and not before', () => {
    expect(soot(STUCK)).toMatchObject({ need: 'not-due' });
    const read = (grams: number): EntryBody => ({
      ...madeReading('after', { sootG: 3 }),
      sootCounterG: grams,
    });
    expect(soot([...STUCK, read(60)])).toMatchObject({ need: 'due', held: [] });
    expect(soot([...STUCK, read(4)])).toMatchObject({ need: 'not-due' });
  });
});
