import { type Spoken, spoken } from '../../words/index.ts';
import { type BodyOf, type EntryBody } from '../../ledger/index.ts';
import { DEFAULT_LIMITS, type Limits } from '../../limits/index.ts';
import type { Evidence, EvidenceId } from '../../proof/index.ts';
import { madeEntry, PROVEN_PATH } from '../../testing/madeEntries.ts';
import { DISPLACEMENT_L, FILTER, madeReading } from '../../testing/madeReadings.ts';
import { deriveJob as deriveJobInCodes, type DerivedJob } from '../index.ts';

export const deriveJob = spoken(deriveJobInCodes);

export const facts = {
  limits: DEFAULT_LIMITS,
  displacementL: DISPLACEMENT_L,
  geometry: FILTER,
  fitted: ['dp-sensor', 'egt3'] as const,
};

export const derive = (bodies: readonly EntryBody[], limits: Limits = DEFAULT_LIMITS): Spoken<DerivedJob> =>
  deriveJob({ ...facts, limits, entries: bodies.map((body, i) => madeEntry(i + 1, body)) });

export const item = (bodies: readonly EntryBody[], id: EvidenceId): Evidence | undefined =>
  derive(bodies).evidence.find((one) => one.id === id);

export const [swap, hoses] = PROVEN_PATH;

export const complaint: EntryBody = { kind: 'complaint', text: 'Lamp', distanceKm: 120_000 };

export const before = madeReading('before', { sootG: 35 });

export const after = madeReading('after', { sootG: 3 });

export const work = (kind: BodyOf<'work'>['work'], more: Partial<BodyOf<'work'>> = {}): EntryBody => ({
  kind: 'work',
  work: kind,
  what: 'x',
  ...more,
});

export const drive: BodyOf<'drive'> = {
  kind: 'drive',
  distanceKm: 12,
  powerLimitGone: true,
  reportedBy: 'technician',
};

export const scan = (...list: string[]): BodyOf<'code-scan'> => ({
  kind: 'code-scan',
  when: 'after-drive',
  codes: list.map((code) => ({ code })),
});

export const told = [complaint, before, work('chemical-clean'), after];
