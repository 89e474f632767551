import { z } from 'zod';
import { languageSchema, UNIT_CHOICES, fault, say } from '../words/index.ts';
import { idSchema, timeSchema } from '../ledger/index.ts';
import { freeText } from '../fields/index.ts';
import { REPORT_VERSIONS, type Report } from './report.ts';

/** Whether this machine knows a zone of time. */
function isTimeZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return true;
  } catch {
    return false;
  }
}

/** Whether a tag is one by which figures and dates can be written. */
function isLocale(tag: string): boolean {
  try {
    return Intl.getCanonicalLocales(tag).length === 1;
  } catch {
    return false;
  }
}

/** How a report is told: for whom, in which units, in the times of which place. */
export const reportChoiceSchema = z.object({
  version: z.enum(REPORT_VERSIONS).default('technical'),
  pressure: z.enum(UNIT_CHOICES.pressure).default('mbar'),
  temperature: z.enum(UNIT_CHOICES.temperature).default('degC'),
  distance: z.enum(UNIT_CHOICES.distance).default('km'),
  massFlow: z.enum(UNIT_CHOICES.massFlow).default('gPerS'),
  volumeFlow: z.enum(UNIT_CHOICES.volumeFlow).default('m3PerH'),
  soot: z.enum(UNIT_CHOICES.soot).default('g'),
  weight: z.enum(UNIT_CHOICES.weight).default('kg'),
  volume: z.enum(UNIT_CHOICES.volume).default('L'),
  engineSize: z.enum(UNIT_CHOICES.engineSize).default('L'),
  length: z.enum(UNIT_CHOICES.length).default('mm'),
  torque: z.enum(UNIT_CHOICES.torque).default('Nm'),
  /** Of the customer’s version; the other one is English. */
  language: languageSchema.optional(),
  locale: z
    .string()
    .max(35)
    .refine(isLocale, fault(say('faults.language-tag')))
    .optional(),
  timeZone: z
    .string()
    .max(60)
    .refine(isTimeZone, fault(say('faults.time-zone')))
    .optional(),
});
export type ReportChoice = z.infer<typeof reportChoiceSchema>;

/** How long a link to a report may be open, days. */
export const SHARE_DAYS = [7, 30, 90] as const;
const days = z.literal(SHARE_DAYS, fault(say('faults.link-days', { days: SHARE_DAYS })));

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
  to: z
    .email(fault(say('faults.no-mail-address')))
    .max(200, fault(say('faults.too-long', { field: say('fields.mail'), most: 200 }))),
  message: freeText('message', 2000).optional(),
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
  /** In which units and manner it is told. */
  choice: reportChoiceSchema,
  expiresAt: timeSchema,
});
export interface SharedReport {
  readonly report: Report;
  readonly choice: ReportChoice;
  readonly expiresAt: string;
}
