import { causes } from './causes.ts';
import { failures } from './failures.ts';
import { guide } from './guide.ts';
import { job } from './job.ts';
import * as names from './names.ts';
import { outlook } from './outlook.ts';
import { text } from './text.ts';

/** What lists of jobs and tasks say: all that the first screen needs. */
export const ENGLISH_OF_LISTS = { causes, failures, guide, job, outlook, text, ...names } as const;
