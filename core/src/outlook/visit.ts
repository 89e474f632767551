import { z } from 'zod';
import type { Interval } from '../proof/index.ts';

/** What became of the filter at a visit. */
export const FILTER_FATES = [
  'as-it-was',
  'regenerated',
  'cleaned-in-place',
  'cleaned-off',
  'exchanged',
] as const;
export type FilterFate = (typeof FILTER_FATES)[number];

/** What a job leaves behind in the memory of its vehicle. */
export interface Visit {
  readonly jobId: string;
  readonly number: number;
  /** When the job was opened, ISO 8601. */
  readonly at: string;
  /** Odometer, km; absent where nobody wrote it down. */
  readonly km?: number;
  /** Restriction before and after the work, × clean, with its 90 % interval. */
  readonly before?: Interval;
  readonly after?: Interval;
  /** Soot by the pressure before and after, g, with its 90 % interval, as if there were no ash. */
  readonly sootBefore?: Interval;
  readonly sootAfter?: Interval;
  readonly filter: FilterFate;
  /** Distance between the last two regenerations, as the vehicle counted it then, km. */
  readonly regenEveryKm?: number;
  /** Causes that were found, whether they are still there, and whether they fill a filter or only seem to. */
  readonly causes: readonly { readonly cause: string; readonly open: boolean; readonly fills: boolean }[];
  /** The filter as it was weighed, kg. */
  readonly weighed?: { readonly beforeKg?: number; readonly afterKg?: number };
}

/** How a filter left a visit, × clean: as it was read last. Undefined where it was not read since it was changed. */
export const leftAt = ({ after, before, filter }: Visit): Interval | undefined =>
  after ?? (filter === 'as-it-was' ? before : undefined);

/** The same of its soot. */
export const sootLeftAt = ({ sootAfter, sootBefore, filter }: Visit): Interval | undefined =>
  sootAfter ?? (filter === 'as-it-was' ? sootBefore : undefined);

export const hasOpenCause = ({ causes }: Visit): boolean => causes.some(({ open, fills }) => open && fills);
export const hasCause = ({ causes }: Visit): boolean => causes.some(({ fills }) => fills);

const interval = z.object({ value: z.number(), low: z.number(), high: z.number() }).optional();
const kilograms = z.number().optional();
export const visitSchema = z.object({
  jobId: z.string(),
  number: z.number(),
  at: z.string(),
  km: z.number().optional(),
  before: interval,
  after: interval,
  sootBefore: interval,
  sootAfter: interval,
  filter: z.enum(FILTER_FATES),
  regenEveryKm: z.number().optional(),
  causes: z.array(z.object({ cause: z.string(), open: z.boolean(), fills: z.boolean() })),
  weighed: z.object({ beforeKg: kilograms, afterKg: kilograms }).optional(),
}) as unknown as z.ZodType<Visit>;
