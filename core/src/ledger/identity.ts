import { z } from 'zod';
import { fault, say } from '../words/index.ts';

/** Ids are made where the record is made (browser, van, offline), in time order: UUID version 7. */
export const idSchema = z.uuidv7(fault(say('faults.id')));
export type Id = z.infer<typeof idSchema>;

/** Time in ISO 8601 with zone. */
export const timeSchema = z.iso.datetime({ offset: true, ...fault(say('faults.time')) });
