import { fault, say } from '@white-ember/core/words';
import { z } from 'zod';
import { sealSchema } from '@white-ember/core/contract';
import { entryBodySchema } from '@white-ember/core/ledger';

/** What an archive says of itself, so that another program does not take it for something else. */
export const ARCHIVE_FORMAT = 'white-ember-workshop';
export const ARCHIVE_VERSION = 2;
/** Versions that are read: the first had neither seals nor the links of the ledger. */
const READ_VERSIONS: readonly number[] = [1, ARCHIVE_VERSION];

const id = z.uuid();
const text = z.string().max(20_000);
/**
 * As PostgreSQL writes a moment in JSON, to the microsecond: nothing of it is lost. Of a year far from ours its offset has
 * seconds, and what an earlier version let people enter is read again.
 */
const moment = z
  .string()
  .regex(
    /^\d{4,6}-\d\d-\d\dT\d\d:\d\d:\d\d(?:\.\d{1,6})?(?:Z|[+-]\d\d(?::\d\d){0,2})(?: BC)?$/,
    fault(say('faults.moment')),
  );
const hash = z.string().max(128);
const json = z.record(z.string(), z.unknown());
const count = z.number().int().min(0);

/**
 * What an archive holds, a file of JSON Lines each, in an order in which every row finds those that it names. The columns are
 * those of the database, without the workshop; what is worked out of others (lines of lists, visits, outlooks, columns of
 * logs) is left out and made anew. Passwords are left out, too: an archive is a file that lies about.
 */
export const ARCHIVE_TABLES = {
  member: z.strictObject({
    id,
    name: text,
    sign_in_name: text,
    role: z.enum(['viewer', 'technician', 'lead']),
    content_hash: hash,
  }),
  customer: z.strictObject({ id, name: text, contact: text.nullable(), content_hash: hash }),
  filter_model: z.strictObject({
    id,
    name: text,
    diameter_mm: z.number(),
    length_mm: z.number(),
    cpsi: z.number(),
    wall_mm: z.number(),
    material: text,
    basis: z.enum(['measured', 'assumed']),
    catalyst: text.nullable(),
    content_hash: hash,
  }),
  vehicle: z.strictObject({
    id,
    plate: text,
    model: text,
    family: text,
    displacement_l: z.number().nullable(),
    filter_model_id: id.nullable(),
    customer_id: id.nullable(),
    fitted: z.array(z.string()),
    note: text.nullable(),
    revision: count,
    content_hash: hash,
  }),
  limits_profile: z.strictObject({
    id,
    family: text,
    version: count,
    overrides: json,
    source_note: text.nullable(),
    created_at: moment,
    created_by: text,
    content_hash: hash,
  }),
  fluid: z.strictObject({
    id,
    name: text,
    sheet: json,
    counted_l: z.number(),
    counted_at: moment,
    revision: count,
    content_hash: hash,
  }),
  job: z.strictObject({
    id,
    vehicle_id: id,
    number: count,
    opened_at: moment,
    last_entry_at: moment,
    entry_count: count,
    content_hash: hash,
  }),
  entry: z.strictObject({
    id,
    job_id: id,
    seq: z.number().int().min(1),
    author_id: id,
    author_name: text,
    device_time: moment,
    server_time: moment,
    supersedes: id.nullable(),
    body: entryBodySchema,
    content_hash: hash,
    chain_hash: hash.optional(),
  }),
  job_seal: z.strictObject({
    job_id: id,
    entry_id: id,
    seal: z.custom<object>((value) => sealSchema.safeParse(value).success, fault(say('faults.no-seal'))),
    sealed_at: moment,
  }),
  blob: z.strictObject({ id, size_bytes: count, sha256: z.string().regex(/^[0-9a-f]{64}$/) }),
  log: z.strictObject({
    id,
    job_id: id,
    blob_id: id,
    file_name: text,
    uploaded_at: moment,
    content_hash: hash,
  }),
  photo: z.strictObject({
    id,
    job_id: id,
    blob_id: id,
    media_type: z.enum(['image/jpeg', 'image/png', 'image/webp']),
    uploaded_at: moment,
    content_hash: hash,
  }),
  channel_correction: z.strictObject({ heading: text, role: text, member_id: id, set_at: moment }),
  report_share: z.strictObject({
    id,
    job_id: id,
    choice: json,
    made_at: moment,
    made_by: text,
    expires_at: moment,
    revoked_at: moment.nullable(),
    revoked_by: text.nullable(),
    opened: count,
    last_opened_at: moment.nullable(),
    content_hash: hash,
  }),
  mail: z.strictObject({
    id,
    job_id: id,
    recipient: text,
    sent_at: moment,
    sent_by: text,
    content_hash: hash,
  }),
} as const;
export type ArchiveTable = keyof typeof ARCHIVE_TABLES;
export const TABLE_NAMES = Object.keys(ARCHIVE_TABLES) as ArchiveTable[];

/** Columns of a table as they stand in the archive. */
export const columnsOf = (table: ArchiveTable): string[] => Object.keys(ARCHIVE_TABLES[table].shape);

/** By what rows of a table are put in order and known again. */
export const keyOf = (table: ArchiveTable): string =>
  table === 'channel_correction' ? 'heading' : table === 'job_seal' ? 'job_id' : 'id';

/** Rows that never change once they are written: the same id with something else in it is a clash, not an older state. */
export const UNCHANGING: ReadonlySet<ArchiveTable> = new Set<ArchiveTable>([
  'entry',
  'blob',
  'log',
  'photo',
  'limits_profile',
  'mail',
]);

/** Names of other rows that a row holds: each has to be of the same workshop. */
export const REFERENCES: readonly (readonly [table: ArchiveTable, column: string, to: ArchiveTable])[] = [
  ['vehicle', 'filter_model_id', 'filter_model'],
  ['vehicle', 'customer_id', 'customer'],
  ['job', 'vehicle_id', 'vehicle'],
  ['entry', 'job_id', 'job'],
  ['entry', 'author_id', 'member'],
  ['entry', 'supersedes', 'entry'],
  ['job_seal', 'job_id', 'job'],
  ['job_seal', 'entry_id', 'entry'],
  ['log', 'job_id', 'job'],
  ['log', 'blob_id', 'blob'],
  ['photo', 'job_id', 'job'],
  ['photo', 'blob_id', 'blob'],
  ['channel_correction', 'member_id', 'member'],
  ['report_share', 'job_id', 'job'],
  ['mail', 'job_id', 'job'],
  ['mail', 'id', 'report_share'],
];

export const MANIFEST_NAME = 'archive.json';
export const tableFile = (table: ArchiveTable): string => `tables/${table}.jsonl`;
export const rawFile = (blobId: string): string => `files/${blobId}`;

export const manifestSchema = z.object({
  format: z.literal(ARCHIVE_FORMAT, fault(say('faults.no-archive'))),
  version: z
    .number()
    .refine(
      (version) => READ_VERSIONS.includes(version),
      fault(say('faults.archive-versions', { versions: READ_VERSIONS })),
    ),
  software: z.string(),
  madeAt: moment,
  workshop: z.strictObject({
    name: text,
    sign_off_by: z.enum(['technician', 'lead']),
    next_job_number: z.number().int().min(1),
  }),
  /** Rows of each table: an archive that was cut short is told by them. */
  rows: z.record(z.string(), count),
});
export type Manifest = z.infer<typeof manifestSchema>;
