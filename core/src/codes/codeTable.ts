import { CHECK_IDS, type CheckId } from '../checks/index.ts';
import { GENERIC_CODES } from './genericTable.ts';
import { SUSPECT_PARAMETERS } from './heavyTable.ts';

/** What a code is most likely to be on a job about the filter; `unknown` where the tables say nothing. */
export const CODE_ROLES = ['cause', 'consequence', 'bystander', 'unknown'] as const;
export type CodeRole = (typeof CODE_ROLES)[number];

export interface CodeMeaning {
  readonly role: CodeRole;
  /** Whether the ECU regenerates while this code is active. */
  readonly holdsRegenerationOff: boolean;
  readonly checks: readonly CheckId[];
  readonly meaning: string;
}

/** Reads a table of lines `key | role | holds or free | checks | meaning`; a line that is no such line is an error. */
function tableOf(text: string): ReadonlyMap<string, CodeMeaning> {
  const table = new Map<string, CodeMeaning>();
  for (const line of text.trim().split('\n')) {
    const [key = '', role = '', holds = '', checks = '', meaning = ''] = line
      .split('|')
      .map((cell) => cell.trim());
    const ids = checks.split(' ');
    const known = ids.filter((id): id is CheckId => (CHECK_IDS as readonly string[]).includes(id));
    const isRole = (CODE_ROLES as readonly string[]).includes(role);
    if (!isRole || !/^(holds|free)$/.test(holds) || known.length !== ids.length || !meaning || table.has(key))
      throw new Error(`Not a line of a code table: ${line}`);
    table.set(key, {
      role: role as CodeRole,
      holdsRegenerationOff: holds === 'holds',
      checks: known,
      meaning,
    });
  }
  return table;
}

export const GENERIC = tableOf(GENERIC_CODES);
export const PARAMETERS = tableOf(SUSPECT_PARAMETERS);
