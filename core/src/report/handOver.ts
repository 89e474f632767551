import { z } from 'zod';
import { idSchema, timeSchema } from '../ledger/index.ts';
import type { Unit } from '../quantities/index.ts';
import { freeText } from '../text/index.ts';
import { REPORT_VERSIONS, type Report } from './report.ts';

const PRESSURES = ['mbar', 'hPa', 'kPa', 'psi', 'inHg', 'bar'] as const satisfies readonly Unit[];

/** Whether this machine knows a zone of time. */
function isTimeZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return true;
  } catch {
    return false;
  }
}

/** How a report is told: for whom, in which units, in the times of which place. */
export const reportChoiceSchema = z.object({
  version: z.enum(REPORT_VERSIONS).default('technical'),
  pressure: z.enum(PRESSURES).default('mbar'),
  temperature: z.enum(['degC', 'degF']).default('degC'),
  distance: z.enum(['km', 'mi']).default('km'),
  timeZone: z.string().max(60).refine(isTimeZone, 'must be a time zone, as Europe/London').optional(),
});
export type ReportChoice = z.infer<typeof reportChoiceSchema>;

/** How long a link to a report may be open, days. */
export const SHARE_DAYS = [7, 30, 90] as const;
const days = z.literal(SHARE_DAYS, `A link is open for ${SHARE_DAYS.join(', ')} days`);

export const newShareSchema = reportChoiceSchema.extend({ id: idSchema, days });
export type NewShare = z.infer<typeof newShareSchema>;

export const shareSchema = z.object({
  id: idSchema,
  version: z.enum(REPORT_VERSIONS),
  /** Where the report is seen without signing in: who has it can read the report. */
  path: z.string(),
  madeAt: timeSchema,
  madeBy: z.string(),
  expiresAt: timeSchema,
  state: z.enum(['open', 'expired', 'revoked']),
  revokedBy: z.string().optional(),
  opened: z.number().int(),
  lastOpenedAt: timeSchema.optional(),
});
export type Share = z.infer<typeof shareSchema>;

export const newMailSchema = newShareSchema.extend({
  to: z.email('This is no mail address').max(200, 'A mail address has at most 200 characters'),
  message: freeText('The message', 2000).optional(),
});
export type NewMail = z.infer<typeof newMailSchema>;

/** A mail that went into the outbox. It has the id of the link that it carries. */
export const mailSchema = z.object({
  id: idSchema,
  to: z.string(),
  version: z.enum(REPORT_VERSIONS),
  sentAt: timeSchema,
  sentBy: z.string(),
});
export type Mail = z.infer<typeof mailSchema>;

/** What left the workshop of a job, and what holds it back. */
export const handOverSchema = z.object({
  shares: z.array(shareSchema),
  mails: z.array(mailSchema),
  /** Why no link or mail may be made at present. */
  heldOff: z.string().optional(),
});
export type HandOver = z.infer<typeof handOverSchema>;

/** A report as a link shows it. */
export const sharedReportSchema = z.object({
  /** Core’s own document of a report. */
  report: z.record(z.string(), z.unknown()),
  pressure: z.enum(PRESSURES),
  expiresAt: timeSchema,
});
export interface SharedReport {
  readonly report: Report;
  readonly pressure: ReportChoice['pressure'];
  readonly expiresAt: string;
}
