import { inEnglish, spoken } from '../words/index.ts';
import { describe, expect, it } from 'vitest';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { filterOfFamily, filterVolumeL, type FilterGeometry } from '../filter/index.ts';
import {
  familyFilter,
  judgeJob as judgeJobInCodes,
  type JobJudgement,
  type ProvedVehicle,
} from '../job/index.ts';
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

  it('is to hand a sound vehicle over: what nothing points to comes after that', () => {
    const sound = judged(
      { kind: 'code-scan', when: 'before', codes: [] },
      madeReading('before', { sootG: 3 }),
      {
        kind: 'check',
        check: 'dp-swap',
        values: {},
        outcome: 'swap-same',
      },
    );
    expect(sound.next?.do).toBe('hand-over');
    expect(
      steps(sound)
        .slice(1)
        .every((step) => step.startsWith('check')),
    ).toBe(true);
  });

  it('is the reset of a counter that counts what another filter had, not a question', () => {
    const changed = judged(
      { kind: 'code-scan', when: 'before', codes: [{ code: 'P2463' }] },
      {
        kind: 'part-changed',
        where: 'elsewhere',
        what: 'Filter',
        part: 'filter',
        condition: 'new',
        effect: 'none',
      },
      { ...madeReading('before', { sootG: 1 }), sootCounterG: 52 },
      ...PROVEN_PATH,
    );
    expect(changed.standsOut?.cause).toBe('counter-not-reset');
    expect(steps(changed)[0]).toBe('prove reset-soot');
    expect(changed.drive.verdict).not.toBe('no');
  });
});

const CODE: EntryBody = { kind: 'code-scan', when: 'before', codes: [{ code: 'P2463' }] };

describe('soot that a burn may take', () => {
  const due = { ...madeReading('before', { sootG: 8 }), sootPercent: 95 };

  it('is no reason to clean: the way of its pressure is proven first, then it is burnt', () => {
    const unproven = judged(CODE, due);
    const cleans = unproven.choice.filter(({ treatment }) => treatment === 'chemical');
    expect(cleans.map(({ allowed, heldBy }) => [allowed, heldBy.map(({ id }) => id)])).toEqual([
      [false, ['burns-off']],
    ]);
    expect(unproven.next?.do).toBe('check');
    expect(unproven.choice.filter(({ allowed }) => allowed)).toEqual([]);
    expect(unproven.notJudged?.text).toMatch(
      /^Up to \d+ g of soot .*: a burn takes up to \d+ g\/L\. Prove sensor and pipes/,
    );
    expect(['drive', 'standing']).toContain(unproven.choice[0]?.treatment);
    const proven = judged(CODE, due, ...PROVEN_PATH);
    expect(proven.choice[0]?.treatment).toBe('drive');
  });
});

describe('a filter that was cleaned off the vehicle', () => {
  const OFF: readonly EntryBody[] = [
    { ...madeReading('before', { sootG: 40 }) },
    ...PROVEN_PATH,
    { kind: 'part-off', what: 'Front pipe', torqueNm: 45 },
    { kind: 'work', work: 'off-vehicle-clean', what: 'Soaked and rinsed' },
  ];

  it('goes together again before anything is read or driven', () => {
    const stripped = judged(CODE, ...OFF);
    expect(steps(stripped)[0]).toBe('treat refit');
    expect(stripped.next?.why).toMatch(/^One part is still off/);
    const off = stripped.derived.entries.find(({ body }) => body.kind === 'part-off');
    const together = judged(CODE, ...OFF, { kind: 'part-back', off: off?.id ?? '', torqueNm: 45 });
    expect(steps(together)[0]).toBe('prove after');
  });
});

describe('a new filter', () => {
  const registered = (after: EntryBody): readonly string[] | undefined =>
    judged(
      CODE,
      madeReading('before', { sootG: 45 }),
      { kind: 'work', work: 'filter-exchanged', what: 'New' },
      after,
    )
      .resets.find(({ reset }) => reset === 'new-filter')
      ?.held.map(String);

  it('is registered though nobody has proven the sensor: there is nothing in it to release', () => {
    expect(registered(madeReading('after', { sootG: 1 }))).toEqual([]);
  });

  it('is not where what it reads is not that of a new one', () => {
    expect(registered(madeReading('after', { sootG: 40 }))).not.toEqual([]);
  });
});

describe('codes that come back over a good pressure', () => {
  it('are met by the reset that is due, before anybody looks on', () => {
    const back = judged(
      CODE,
      madeReading('before', { sootG: 35 }),
      ...PROVEN_PATH,
      { kind: 'work', work: 'chemical-clean', what: 'One fill', dwellMin: 30 },
      madeReading('after', { sootG: 2 }),
      ...PROVEN_PATH,
      { kind: 'drive', distanceKm: 12, powerLimitGone: true, reportedBy: 'technician' },
      { kind: 'code-scan', when: 'after-drive', codes: [{ code: 'P2463' }] },
    );
    expect(steps(back)[0]).toBe('prove reset-soot');
  });
});

describe('a filter whose size nobody entered', () => {
  const ofUnknownSize = (...bodies: readonly EntryBody[]): JobJudgement =>
    judgeJob({
      entries: bodies.map((body, i) => madeEntry(i + 1, body)),
      limits: DEFAULT_LIMITS,
      displacementL: DISPLACEMENT_L,
    });
  const held = ({ choice }: JobJudgement, treatment: string): string =>
    (choice.find((one) => one.treatment === treatment)?.heldBy ?? [])
      .map(({ text }) => inEnglish(text))
      .join(' ');

  it('is treated by the size that its engine class has, with its doubt, and never held off for the size alone', () => {
    const little = ofUnknownSize(
      { ...madeReading('before', { sootG: 13 }), sootPercent: 95 },
      ...PROVEN_PATH,
    );
    expect(held(little, 'drive')).toBe('');
    const much = ofUnknownSize(madeReading('before', { sootG: 20 }), ...PROVEN_PATH);
    expect(held(much, 'drive')).toMatch(
      /^Up to .* g\/L of soot .*Filter size taken as 2\.5 L, by engine size/,
    );
    expect(much.burn?.plan.filter.diameterMm).toBeGreaterThan(100);
  });

  it('once it is cleaned is free, may be driven and its counter reset: what was read before bounds the size', () => {
    const cleaned = ofUnknownSize(
      { kind: 'code-scan', when: 'before', codes: [{ code: 'P2463' }] },
      madeReading('before', { sootG: 55 }),
      ...PROVEN_PATH,
      { kind: 'work', work: 'chemical-clean', what: 'One fill', dwellMin: 30 },
      madeReading('after', { sootG: 3 }),
      ...PROVEN_PATH,
    );
    expect(cleaned.derived.verdict).toBe('equal-flow');
    expect(cleaned.drive).toMatchObject({ verdict: 'drive' });
    expect(cleaned.choice[0]?.treatment).toBe('nothing');
    expect(cleaned.resets.find(({ reset }) => reset === 'reset-soot')).toMatchObject({
      need: 'due',
      held: [],
    });
  });

  it('goes by what the family has where that is known', () => {
    const entries = [madeReading('before', { sootG: 13 }), ...PROVEN_PATH].map((body, i) =>
      madeEntry(i + 1, body),
    );
    const facts = { entries, limits: DEFAULT_LIMITS, displacementL: DISPLACEMENT_L };
    const family = { jobs: 0, confirmed: {}, filter: filterOfFamily([FILTER]) };
    const [alone, known] = [judgeJob(facts), judgeJob({ ...facts, family })];
    expect(held(alone, 'drive')).toContain('by engine size');
    expect(known.burn?.plan.filter.lengthMm).toBe(FILTER.lengthMm);
    const perLitre = ({ burn }: JobJudgement): number =>
      burn ? burn.plan.sootG / filterVolumeL(burn.plan.filter) : Number.NaN;
    expect(perLitre(known)).toBeLessThan(perLitre(alone));
  });
});

describe('the filter of a family', () => {
  it('is learned from what its proved vehicles showed after the work, the last word on each', () => {
    const large: FilterGeometry = { diameterMm: 190, lengthMm: 190, cpsi: 200, wallMm: 0.305 };
    const after = (id: number): ProvedVehicle => ({
      displacementL: DISPLACEMENT_L,
      entries: [
        madeEntry(id, madeReading('before', { sootG: 60, geometry: large })),
        madeEntry(id + 1, madeReading('after', { sootG: 4, geometry: large })),
      ],
    });
    const learned = familyFilter(DISPLACEMENT_L, [after(1), after(3), after(5)], DEFAULT_LIMITS);
    expect(learned?.size).toMatchObject({ from: 'readings', vehicles: 3 });
    expect(filterVolumeL(learned as FilterGeometry)).toBeGreaterThan(3.2);
    const wrong = after(1);
    const withdrawn = {
      ...wrong,
      entries: [...wrong.entries, madeEntry(9, { kind: 'withdrawn', why: 'typo' }, 9, 2)],
    };
    expect(familyFilter(DISPLACEMENT_L, [withdrawn], DEFAULT_LIMITS)).toBeUndefined();
  });
});
