import { inEnglish, PLAIN_WORDS, spoken } from '../words/index.ts';
import { describe, expect, it } from 'vitest';
import { diagnoseCase } from '../diagnosis/index.ts';
import { entryBodySchema, type EntryBody } from '../ledger/index.ts';
import { DEFAULT_LIMITS } from '../limits/index.ts';
import { reportOf, REPORT_VERSIONS } from '../report/index.ts';
import { madeEntry } from '../testing/madeEntries.ts';
import { DISPLACEMENT_L, FILTER, madeReading } from '../testing/madeReadings.ts';
import {
  deriveJob as deriveJobInCodes,
  entryFigure as entryFigureInCodes,
  followUpsOf,
  questionOfJob,
  summariseJob,
  visitOf,
} from './index.ts';

const deriveJob = spoken(deriveJobInCodes);
const entryFigure = spoken(entryFigureInCodes);

/** Names that every object has without having been given them. */
const INHERITED = ['constructor', '__proto__', 'toString', 'hasOwnProperty', 'valueOf'];

/** Everywhere that a ledger takes a name as text. */
const bodiesWith = (name: string): unknown[] => [
  { kind: 'complaint', text: 'Lamp', seen: { [name]: true, smoke: false }, kit: [name], lamps: [name] },
  { kind: 'check', check: name, values: {} },
  { kind: 'check', check: name, values: {}, outcome: name },
  { kind: 'check', check: 'hoses-look', values: { [name]: name }, outcome: name },
  { kind: 'cause', cause: name, state: 'confirmed', why: 'x' },
  { kind: 'cause', cause: name, state: 'put-right', why: 'x' },
  { kind: 'code-scan', when: 'before', codes: [{ code: name, module: name, status: name }] },
  { kind: 'code-scan', when: 'after-drive', codes: [{ code: name }] },
  {
    kind: 'made-ready',
    treatment: 'standing-regeneration',
    answers: { [name]: 'yes' },
    figures: { [name]: 3 },
  },
  { kind: 'made-ready', treatment: 'drive-regeneration', answers: { site: name } },
  { kind: 'caution-acknowledged', caution: name, act: name },
  { kind: 'follow-up-done', task: name },
  { kind: 'family-note', about: name, text: name },
  { kind: 'settled', matter: name, how: name },
  { kind: 'sign-off' },
];

describe.each(INHERITED)('a ledger that holds the name “%s”', (name) => {
  it('is judged, told and reported like any other', () => {
    // As a ledger from before may hold them: today they are refused at the door.
    const bodies = bodiesWith('stand-in').flatMap((body): EntryBody[] => {
      const read = entryBodySchema.safeParse(body);
      return read.success
        ? [JSON.parse(JSON.stringify(read.data).replaceAll('stand-in', name)) as EntryBody]
        : [];
    });
    expect(bodies.length).toBeGreaterThan(10);
    const entries = [...bodies, madeReading('before', { sootG: 20 })].map((body, i) =>
      madeEntry(i + 1, body),
    );
    const facts = { entries, limits: DEFAULT_LIMITS, displacementL: DISPLACEMENT_L, geometry: FILTER };
    const derived = deriveJob(facts);
    const said: unknown[] = [
      summariseJob(derived),
      visitOf({ id: 'x', number: 1, openedAt: '2026-05-11T08:00:00.000Z' }, derived, facts),
      followUpsOf(derived, DEFAULT_LIMITS),
      entries.map(entryFigure),
    ];
    const question = questionOfJob(derived, DEFAULT_LIMITS, facts);
    if (question) said.push(diagnoseCase(question));
    for (const version of REPORT_VERSIONS)
      said.push(
        reportOf(
          {
            derived,
            job: { number: 1, openedAt: '2026-05-11T08:00:00.000Z' },
            vehicle: { plate: 'P', model: 'M' },
            workshop: 'W',
            limits: DEFAULT_LIMITS,
          },
          version,
          PLAIN_WORDS,
        ),
      );
    expect(JSON.stringify(inEnglish(said))).not.toMatch(/function |\[native code\]|undefined/);
  });
});
