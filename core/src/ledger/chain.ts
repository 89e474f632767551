import { canonicalJson } from './ledger.ts';

/** An entry as it is kept, by the names of the ledger. */
export interface KeptEntry {
  readonly id: string;
  readonly jobId: string;
  readonly seq: number;
  readonly authorId: string;
  readonly authorName: string;
  readonly deviceTime: string;
  readonly serverTime: string;
  readonly supersedes?: string | null | undefined;
  readonly body: unknown;
}

/** SHA-256 of a text, as hexadecimal: core has none of its own that is not asynchronous. */
export type Sha256 = (text: string) => string;

/** A moment in one spelling, whoever wrote it; what is none stays as it is written. */
const moment = (text: string): string => {
  const ms = Date.parse(text);
  return Number.isNaN(ms) ? text : new Date(ms).toISOString();
};

/** What a person sent, under which a repeated write is known again. */
export const contentOf = ({ id, deviceTime, supersedes, body }: KeptEntry): object => ({
  id,
  deviceTime: moment(deviceTime),
  ...(supersedes === null || supersedes === undefined ? {} : { supersedes }),
  body,
});

/**
 * The link of an entry in the chain of its job: the hash of all that is kept of it and of the link before. Whoever changes,
 * takes out or puts in an entry breaks every link after it.
 * @param previous link of the entry before it; empty for the first
 */
export const chainLink = (previous: string, entry: KeptEntry, sha256: Sha256): string =>
  sha256(
    `${previous}\n${canonicalJson({
      ...contentOf(entry),
      jobId: entry.jobId,
      seq: entry.seq,
      authorId: entry.authorId,
      authorName: entry.authorName,
      serverTime: moment(entry.serverTime),
    })}`,
  );

/** What is wrong with an entry of a ledger. */
export interface LedgerFault {
  readonly code: 'gap' | 'content' | 'chain' | 'count';
  readonly text: string;
}

/** An entry with the hashes that stand beside it; a ledger from before there was a chain has none of those. */
export interface HashedEntry extends KeptEntry {
  readonly contentHash: string;
  readonly chainHash?: string | undefined;
}

/** Checks a ledger that comes entry by entry, ordered by job and number. */
export class LedgerCheck {
  private jobId: string | undefined;
  private seq = 0;
  private link = '';
  private readonly counts = new Map<string, number>();

  constructor(private readonly sha256: Sha256) {}

  /** The next entry: what is wrong with it, and its link. */
  next(entry: HashedEntry): { readonly fault?: LedgerFault; readonly chainHash: string } {
    if (entry.jobId !== this.jobId) [this.jobId, this.seq, this.link] = [entry.jobId, 0, ''];
    const expected = ++this.seq;
    const chainHash = chainLink(this.link, entry, this.sha256);
    this.link = chainHash;
    this.counts.set(entry.jobId, expected);
    const fault = this.faultOf(entry, expected, chainHash);
    return { chainHash, ...(fault ? { fault } : {}) };
  }

  private faultOf(entry: HashedEntry, expected: number, chainHash: string): LedgerFault | undefined {
    if (entry.seq !== expected)
      return {
        code: 'gap',
        text: `entry ${entry.id} of job ${entry.jobId} has number ${entry.seq} instead of ${expected}: one is missing or was put in`,
      };
    // The chain holds more than the content, and holds that, too.
    if (entry.chainHash !== undefined)
      return entry.chainHash === chainHash
        ? undefined
        : {
            code: 'chain',
            text: `entry ${entry.id} of job ${entry.jobId} (number ${entry.seq}) is not what was stored: its place in the chain does not fit`,
          };
    const content = contentOf(entry) as { deviceTime: string };
    const spellings = [content, { ...content, deviceTime: content.deviceTime.replace('.000Z', 'Z') }];
    return spellings.some((one) => this.sha256(canonicalJson(one)) === entry.contentHash)
      ? undefined
      : {
          code: 'content',
          text: `entry ${entry.id} of job ${entry.jobId} (number ${entry.seq}) is not what was stored: its content does not fit its hash`,
        };
  }

  /** How many entries a job has, against what is said of it. */
  count(jobId: string, stated: number): LedgerFault | undefined {
    const counted = this.counts.get(jobId) ?? 0;
    return counted === stated
      ? undefined
      : { code: 'count', text: `job ${jobId} has ${counted} entries instead of ${stated}` };
  }
}
