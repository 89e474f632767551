import { z } from 'zod';

/** Ids are made where the record is made (browser, van, offline), in time order: UUID version 7. */
export const idSchema = z.uuidv7('An id must be a UUID of version 7');
export type Id = z.infer<typeof idSchema>;

/** Time in ISO 8601 with zone. */
export const timeSchema = z.iso.datetime({ offset: true, error: 'A time must be ISO 8601 with its zone' });
