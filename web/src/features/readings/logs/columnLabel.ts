import { roleName } from '@white-ember/core/readings';
import type { LogColumn } from '../../../workers/logWorker.ts';
import { spokenNow } from '../../../data/words.ts';

/** What a column of a log is called: by its channel, where it is one. */
export const columnLabel = ({ name, role }: LogColumn): string =>
  role === undefined ? name : spokenNow(roleName(role));
