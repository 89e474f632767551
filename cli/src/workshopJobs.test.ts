import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { useCommandLine } from './testing/commandLine.ts';

const { file, json } = useCommandLine();

interface Judged {
  readonly likely: readonly { readonly id: string; readonly probability: number }[];
  readonly inhibitors: readonly string[];
  readonly next?: { readonly do: string; readonly id?: string };
  readonly choice: readonly { readonly treatment: string; readonly allowed: boolean }[];
  readonly drive: { readonly verdict: string };
  readonly resets: readonly { readonly id: string; readonly allowed: boolean }[];
  readonly proof: { readonly verdict: string };
}

/** What a good practitioner would say of a job; what is absent is left open. */
interface Expected {
  /** Of each group one stands among the three likeliest. */
  readonly causes?: readonly (readonly string[])[];
  /** Not blamed: not among the two likeliest with more than a quarter. */
  readonly not?: readonly string[];
  readonly least?: Readonly<Record<string, number>>;
  readonly most?: Readonly<Record<string, number>>;
  /** Nothing likelier than this. */
  readonly mostAny?: number;
  /** The next step: what is done, what it is about, or both. */
  readonly next?: readonly string[];
  readonly nextNot?: readonly string[];
  readonly inhibitors?: readonly string[];
  /** What is offered first; `none` where nothing may be offered yet. */
  readonly choiceFirst?: readonly string[] | 'none';
  readonly choiceNot?: readonly string[];
  readonly drive?: readonly string[];
  readonly resetAllowed?: readonly string[];
  readonly proof?: string;
}

/** Jobs as they come to a workshop, told from the trade: what is known, and what should be made of it. */
const JOBS = JSON.parse(
  readFileSync(join(import.meta.dirname, 'testing/workshopJobs.json'), 'utf8'),
) as readonly { readonly name: string; readonly job: object; readonly expect: Expected }[];

/** What falls short of what is expected, in words. */
function shortOf(wanted: Expected, judged: Judged): string[] {
  const chance = (id: string): number => judged.likely.find((one) => one.id === id)?.probability ?? 0;
  const first = (count: number): string[] => judged.likely.slice(0, count).map(({ id }) => id);
  const { next } = judged;
  const steps = next ? [next.do, next.id, `${next.do}:${next.id}`] : [];
  const free = judged.choice.filter(({ allowed }) => allowed).map(({ treatment }) => treatment);
  const { choiceFirst } = wanted;
  return [
    ...(wanted.causes ?? [])
      .filter((group) => !group.some((id) => first(3).includes(id) && chance(id) >= 0.1))
      .map((group) => `${group.join(' or ')} is not among the likeliest`),
    ...(wanted.not ?? [])
      .filter((id) => first(2).includes(id) && chance(id) > 0.25)
      .map((id) => `${id} is blamed`),
    ...Object.entries(wanted.least ?? {})
      .filter(([id, least]) => chance(id) < least)
      .map(([id, least]) => `${id} stands at ${chance(id).toFixed(2)}, at least ${least}`),
    ...Object.entries(wanted.most ?? {})
      .filter(([id, most]) => chance(id) > most)
      .map(([id, most]) => `${id} stands at ${chance(id).toFixed(2)}, at most ${most}`),
    ...judged.likely
      .filter(({ probability }) => probability > (wanted.mostAny ?? 1))
      .map(({ id }) => `${id} has nothing to show for it`),
    ...(wanted.next && !wanted.next.some((id) => steps.includes(id)) ? [`next is ${steps.at(-1)}`] : []),
    ...(wanted.nextNot ?? []).filter((id) => steps.includes(id)).map((id) => `next is ${id}`),
    ...(wanted.inhibitors ?? [])
      .filter((words) => !judged.inhibitors.some((one) => new RegExp(words).test(one)))
      .map((words) => `nothing holds it off by ${words}`),
    ...(choiceFirst === undefined ||
    (choiceFirst === 'none' ? free.length === 0 : choiceFirst.includes(free[0] ?? ''))
      ? []
      : [`${free[0]} is offered first`]),
    ...(wanted.choiceNot ?? [])
      .filter((id) => (id === 'nothing' ? free[0] === id : free.includes(id)))
      .map((id) => `${id} is offered`),
    ...(wanted.drive && !wanted.drive.includes(judged.drive.verdict)
      ? [`driving: ${judged.drive.verdict}`]
      : []),
    ...(wanted.resetAllowed ?? [])
      .filter((id) => !judged.resets.some((one) => one.id === id && one.allowed))
      .map((id) => `the reset of ${id} is refused`),
    ...(wanted.proof !== undefined && wanted.proof !== judged.proof.verdict
      ? [`proof: ${judged.proof.verdict}`]
      : []),
  ];
}

/** A third while somebody waits for them, all in the benchmark (ALL_SEEDS=1). */
const TOLD = process.env['ALL_SEEDS'] === '1' ? JOBS : JOBS.filter((_, i) => i % 3 === 0);

interface Told {
  readonly vehicle?: { readonly distanceKm?: number; readonly use?: string; readonly parts?: unknown };
  readonly family?: unknown;
  readonly readings?: { readonly samples?: unknown; readonly sootPercent?: unknown };
  readonly entries?: unknown;
}

/** What `diagnose` can be asked as well: nothing that has size, and no work yet. */
const inShort = ({ vehicle, family, readings, entries, ...rest }: Told): object | undefined => {
  if (family || entries || vehicle?.parts || readings?.samples || readings?.sootPercent !== undefined)
    return undefined;
  const { distanceKm, use } = vehicle ?? {};
  return { ...rest, vehicle: { distanceKm, use }, ...(readings ? { readings } : {}) };
};

describe('diagnose and judge', () => {
  const shared = JOBS.flatMap(({ name, job }) => {
    const short = inShort(job);
    return short ? [[name, short] as const] : [];
  }).filter((_, i) => i % 6 === 0);

  it.each(shared)('say the same of %s', async (_, told) => {
    type Likely = readonly { readonly id: string; readonly probability: number }[];
    const { causes } = await json<{ causes: Likely }>('diagnose', file('case.json', told));
    const { likely } = await json<{ likely: Likely }>('judge', file('job.json', told));
    expect(likely.length).toBeGreaterThan(20);
    for (const { id, probability } of likely)
      expect(causes.find((one) => one.id === id)?.probability, id).toBeCloseTo(probability, 9);
  });
});

describe('a job from a workshop', () => {
  it.each(TOLD.map(({ name, job, expect: wanted }) => [name, job, wanted] as const))(
    '%s',
    async (_, job, wanted) => {
      expect(shortOf(wanted, await json<Judged>('judge', file('job.json', job)))).toEqual([]);
    },
  );
});
