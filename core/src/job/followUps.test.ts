import { spoken } from '../words/index.ts';
import { describe, expect, it } from 'vitest';
import type { EntryBody } from '../ledger/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { madeEntry, madeId, PROVEN_PATH } from '../testing/madeEntries.ts';
import { DISPLACEMENT_L, FILTER, madeReading } from '../testing/madeReadings.ts';
import {
  deriveJob as deriveJobInCodes,
  followUpsOf as followUpsOfInCodes,
  vehicleHistory as vehicleHistoryInCodes,
} from './index.ts';

const deriveJob = spoken(deriveJobInCodes);
const followUpsOf = spoken(followUpsOfInCodes);
const vehicleHistory = spoken(vehicleHistoryInCodes);

const of = (bodies: readonly EntryBody[], corrects: Readonly<Record<number, number>> = {}) =>
  followUpsOf(
    deriveJob({
      limits: DEFAULT_LIMITS,
      displacementL: DISPLACEMENT_L,
      geometry: FILTER,
      fitted: ['dp-sensor', 'egt3'],
      entries: bodies.map((body, i) => madeEntry(i + 1, body, i + 1, corrects[i + 1])),
    }),
    DEFAULT_LIMITS,
  );

const cleaned: readonly EntryBody[] = [
  { kind: 'complaint', text: 'Lamp on', distanceKm: 142_300, oilChangedKm: 138_000 },
  madeReading('before', { sootG: 35 }),
  { kind: 'work', work: 'chemical-clean', what: 'One fill' },
  madeReading('after', { sootG: 3 }),
];
const proved: readonly EntryBody[] = [
  ...cleaned,
  ...PROVEN_PATH,
  {
    kind: 'drive',
    distanceKm: 14,
    powerLimitGone: true,
    reportedBy: 'technician',
    sootStartG: 0,
    sootEndG: 1,
  },
  { kind: 'code-scan', when: 'after-drive', codes: [] },
];
const cause = (state: 'confirmed' | 'put-right'): EntryBody => ({
  kind: 'cause',
  cause: 'injector-over-fuelling',
  state,
  why: 'Leak-off',
});
const temporary: EntryBody = {
  kind: 'temporary-repair',
  what: 'Hose clamped',
  order: { name: 'the pressure hose', due: '2026-05-20' },
};

describe('follow-ups', () => {
  it('ask for the oil by its distance, and for nothing else once it is proved and no cause is left', () => {
    expect(of([cleaned[0] as EntryBody]).map(({ key }) => key)).toEqual(['oil']);
    const [oil, ...others] = of(proved);
    expect(oil).toMatchObject({ kind: 'oil', dueKm: 138_000 + DEFAULT_LIMITS.oilEveryKm });
    expect(others).toEqual([]);
    const changed = of([...proved, { kind: 'work', work: 'oil-changed', what: '5 L' }]);
    expect(changed.find(({ kind }) => kind === 'oil')?.dueKm).toBe(142_300 + DEFAULT_LIMITS.oilEveryKm);
    expect(of([{ kind: 'note', text: 'x' }])).toEqual([]);
  });

  it.each([
    ['it was signed off before it was proved', [...cleaned, { kind: 'sign-off' }], /before it was proved/],
    ['a cause was found and left', [...proved, cause('confirmed')], /not repaired/],
    ['a repair holds for now', [...proved, temporary], /temporary/],
  ] as const)('want it read again after some distance where %s', (_why, bodies, why) => {
    const recheck = of(bodies).find(({ kind }) => kind === 'recheck');
    expect(recheck?.dueKm).toBe(142_300 + DEFAULT_LIMITS.recheckAfterKm);
    expect(recheck?.why).toMatch(why);
  });

  it('do not while the job goes on to prove itself', () => {
    expect(of(cleaned).map(({ kind }) => kind)).not.toContain('recheck');
  });

  it('do not once the cause is put right', () => {
    const bodies = [...proved, cause('confirmed'), cause('put-right')];
    expect(of(bodies).map(({ kind }) => kind)).not.toContain('recheck');
  });

  it('name parts on order with their day, and choices of the customer, until they are settled', () => {
    const offer: EntryBody = {
      kind: 'choice-offered',
      question: 'Clean or exchange?',
      currency: 'EUR',
      options: [{ id: 'a', what: 'Clean', price: 200 }],
    };
    const open = of([temporary, offer]);
    expect(open).toEqual([
      {
        key: `part:${madeId(1)}`,
        kind: 'part',
        what: 'Fit the pressure hose',
        why: 'Hose clamped',
        due: '2026-05-20',
      },
      {
        key: `choice:${madeId(2)}`,
        kind: 'choice',
        what: 'Ask for the customer’s choice: Clean or exchange?',
      },
    ]);
    expect(of([temporary, offer, { kind: 'settled', entry: madeId(1), how: 'Fitted' }])).toHaveLength(1);
  });

  it('take what a person set; a correction keeps its key, and an end is told with who ended it', () => {
    const own: EntryBody = { kind: 'follow-up', what: 'Ring about the idle', due: '2026-06-01' };
    const later: EntryBody = { ...own, due: '2026-06-08' };
    expect(of([own])).toEqual([
      { key: `own:${madeId(1)}`, kind: 'own', what: 'Ring about the idle', due: '2026-06-01' },
    ]);
    const moved = of([own, later], { 2: 1 });
    expect(moved).toHaveLength(1);
    expect(moved[0]).toMatchObject({ key: `own:${madeId(1)}`, due: '2026-06-08' });
    const end: EntryBody = { kind: 'follow-up-done', task: `own:${madeId(1)}`, how: 'Runs well' };
    expect(of([own, end])[0]?.done).toMatchObject({ by: 'Wren Halloran', how: 'Runs well' });
    // Withdrawn, the end is none.
    expect(of([own, end, { kind: 'withdrawn', why: 'Wrong one' }], { 3: 2 })[0]?.done).toBeUndefined();
  });
});

describe('the history of a vehicle', () => {
  it('has parts and notes of all its jobs, the latest first, as they stand after corrections', () => {
    const job = (
      number: number,
      bodies: readonly EntryBody[],
      from: number,
      corrects: Record<number, number> = {},
    ) => ({
      id: madeId(900 + number),
      number,
      entries: bodies.map((body, i) => madeEntry(from + i, body, from + i, corrects[from + i])),
    });
    const { parts, notes } = vehicleHistory([
      job(
        1,
        [
          {
            kind: 'part-changed',
            where: 'elsewhere',
            what: 'ΔP sensor',
            when: 'last spring',
            condition: 'pattern',
            effect: 'none',
            number: 'XK 11',
          },
          temporary,
          { kind: 'note', text: 'Runs rough' },
          { kind: 'note', text: 'Runs rough when cold' },
        ],
        1,
        { 4: 3 },
      ),
      job(
        2,
        [
          { kind: 'work', work: 'filter-exchanged', what: 'New, maker’s own' },
          { kind: 'family-note', topic: 'access', text: 'Undertray first' },
        ],
        10,
      ),
      job(3, [temporary, { kind: 'settled', entry: madeId(20), how: 'Hose fitted' }], 20),
    ]);
    expect(
      parts.map(({ number, what, details, temporary: holds }) => [number, what, details, holds]),
    ).toEqual([
      [3, 'Hose fitted', ['settled'], false],
      [3, 'Hose clamped', ['on order: the pressure hose'], false],
      [2, 'Filter replaced', ['New, maker’s own'], false],
      [1, 'Hose clamped', ['on order: the pressure hose'], true],
      [1, 'ΔP sensor', ['elsewhere (last spring)', 'another maker’s', 'XK 11', 'changed nothing'], false],
    ]);
    expect(notes.map(({ text }) => text)).toEqual(['Undertray first', 'Runs rough when cold']);
  });
});
