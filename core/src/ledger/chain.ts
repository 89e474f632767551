import { say, type Message } from '../words/index.ts';
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
  readonly what: Message;
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
    const { id: entryId, jobId, seq } = entry;
    const numbered = { entryId, jobId, seq };
    if (entry.seq !== expected)
      return {
        code: 'gap',
        what: say('ledger.gap', { ...numbered, expected }),
      };
    // The chain holds more than the content, and holds that, too.
    if (entry.chainHash !== undefined)
      return entry.chainHash === chainHash
        ? undefined
        : {
            code: 'chain',
            what: say('ledger.chain', numbered),
          };
    const content = contentOf(entry) as { deviceTime: string };
    const spellings = [content, { ...content, deviceTime: content.deviceTime.replace('.000Z', 'Z') }];
    return spellings.some((one) => this.sha256(canonicalJson(one)) === entry.contentHash)
      ? undefined
      : {
          code: 'content',
          what: say('ledger.content', numbered),
        };
  }

  /** How many entries a job has, against what is said of it. */
  count(jobId: string, stated: number): LedgerFault | undefined {
    const counted = this.counts.get(jobId) ?? 0;
    return counted === stated
      ? undefined
      : { code: 'count', what: say('ledger.count', { jobId, counted, stated }) };
  }
}
