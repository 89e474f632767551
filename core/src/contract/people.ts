import { z } from 'zod';
import { idSchema } from '../ledger/index.ts';
import { nameText, type FieldName } from '../fields/index.ts';
import { fault, say } from '../words/index.ts';

/** A viewer reads; a technician works on jobs; a lead also sets limits, people and signs off. */
export const ROLES = ['viewer', 'technician', 'lead'] as const;
export const roleSchema = z.enum(ROLES);
export type Role = z.infer<typeof roleSchema>;

const name = (what: FieldName) => nameText(what, 80);

const PASSWORD = say('fields.password');

export const signInSchema = z.object({
  signInName: name('sign-in-name'),
  password: z
    .string()
    .min(1, fault(say('faults.empty', { field: PASSWORD })))
    .max(200, fault(say('faults.too-long', { field: PASSWORD, most: 200 }))),
  /** From the authenticator, or one of the recovery codes; asked for where a second factor is set up. */
  code: z
    .string()
    .trim()
    .max(30, fault(say('faults.too-long', { field: say('fields.code'), most: 30 })))
    .optional(),
});

export const newPasswordSchema = z
  .string()
  .min(10, fault(say('faults.too-short', { field: PASSWORD, least: 10 })))
  .max(200, fault(say('faults.too-long', { field: PASSWORD, most: 200 })));

export const firstRunSchema = z.object({
  workshopId: idSchema,
  memberId: idSchema,
  workshopName: name('workshop'),
  name: name('your-name'),
  signInName: name('sign-in-name'),
  password: newPasswordSchema,
});

export const newMemberSchema = z.object({
  id: idSchema,
  name: name('name'),
  signInName: name('sign-in-name'),
  password: newPasswordSchema,
  role: roleSchema,
});

export const memberSchema = z.object({
  id: idSchema,
  name: z.string(),
  signInName: z.string(),
  role: roleSchema,
  /** False for people who came with an archive, until a lead sets a password. */
  maySignIn: z.boolean(),
  /** May not sign in for now; what they entered stays. */
  suspended: z.literal(true).optional(),
  /** Somebody else set their password: they choose their own at the next sign-in. */
  mustChangePassword: z.literal(true).optional(),
  /** Signs in with a code beside the password. */
  secondFactor: z.literal(true).optional(),
});
export type Member = z.infer<typeof memberSchema>;

/** Who may sign a job off: whoever works on it, or a lead only. */
export const signOffBySchema = z.enum(['technician', 'lead']);
/** Money of the workshop, as ISO 4217 names it. */
export const currencySchema = z.string().regex(/^[A-Z]{3}$/, fault(say('faults.currency')));
export const workshopSchema = z.object({
  id: idSchema,
  name: z.string(),
  signOffBy: signOffBySchema,
  currency: currencySchema,
});
export type Workshop = z.infer<typeof workshopSchema>;
export const workshopUpdateSchema = z.object({
  signOffBy: signOffBySchema.optional(),
  currency: currencySchema.optional(),
});

export const sessionSchema = z.object({
  csrfToken: z.string(),
  /** True until the first lead exists. */
  firstRun: z.boolean(),
  member: memberSchema.optional(),
  workshop: workshopSchema.optional(),
  /** What whoever leads should know of the installation: a disk that is nearly full. */
  warning: z.string().optional(),
  /** Largest file that this installation takes. */
  maxUploadBytes: z.number().int(),
  /** Demo sign-ins, only on an installation that holds the demo workshop. */
  demo: z.array(z.object({ name: z.string(), role: roleSchema, signInName: z.string() })).optional(),
});
export type Session = z.infer<typeof sessionSchema>;

export const demoSignInSchema = z.object({ signInName: name('sign-in-name') });

/** What a lead changes of a person. */
export const memberUpdateSchema = z.strictObject({
  role: roleSchema.optional(),
  suspended: z.boolean().optional(),
});
export type MemberUpdate = z.infer<typeof memberUpdateSchema>;

const currentPassword = z
  .string()
  .min(1, fault(say('faults.empty', { field: say('fields.your-password') })))
  .max(200, fault(say('faults.too-long', { field: say('fields.your-password'), most: 200 })));
export const passwordChangeSchema = z.object({ current: currentPassword, password: newPasswordSchema });
export type PasswordChange = z.infer<typeof passwordChangeSchema>;

/** A browser in which a person is signed in. */
export const signedInSchema = z.object({
  id: z.string(),
  device: z.string(),
  signedInAt: z.string(),
  lastSeenAt: z.string(),
  /** This one. */
  current: z.boolean(),
});
export type SignedIn = z.infer<typeof signedInSchema>;

/** What an authenticator is told, before its first code confirms it. */
export const secondFactorOfferSchema = z.object({ secret: z.string(), uri: z.string() });
export type SecondFactorOffer = z.infer<typeof secondFactorOfferSchema>;
export const secondFactorCodeSchema = z.object({
  code: z
    .string()
    .trim()
    .regex(/^\d{6}$/, fault(say('faults.digits', { field: say('fields.code'), count: 6 }))),
});
export const recoveryCodesSchema = z.object({ recoveryCodes: z.array(z.string()) });
export type RecoveryCodes = z.infer<typeof recoveryCodesSchema>;
export const secondFactorEndSchema = z.object({ current: currentPassword });
