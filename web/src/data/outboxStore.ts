import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { NewEntry } from '@white-ember/core/ledger';

/** An entry that was made here and is not yet acknowledged by the server. */
export interface Waiting {
  readonly jobId: string;
  /** Who made it: it is only ever sent in that person's session. */
  readonly memberId: string;
  readonly entry: NewEntry;
  /** Why the server refused it for good; it stays here until the person decides. */
  readonly refused?: string;
  /** What failed on the server at this entry; it is tried again, and the others go on meanwhile. */
  readonly failed?: string;
}

interface OutboxSchema extends DBSchema {
  waiting: { key: string; value: Waiting };
}

let database: Promise<IDBPDatabase<OutboxSchema>> | undefined;

const open = (): Promise<IDBPDatabase<OutboxSchema>> =>
  (database ??= openDB<OutboxSchema>('white-ember', 1, {
    upgrade: (db) => {
      db.createObjectStore('waiting');
    },
  }));

/** Other tabs of this browser, which show what waits, too. */
const tabs = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('white-ember outbox');
const tellTabs = (): void => tabs?.postMessage('changed');

/** Calls back when another tab changed what waits. */
export const onOtherTab = (changed: () => void): void => tabs?.addEventListener('message', changed);

/** The queue on this device's disk: survives reloads, crashes and days without a network. */
export const outboxStore = {
  all: async (): Promise<Waiting[]> =>
    (await (await open()).getAll('waiting')).sort((a, b) => (a.entry.id < b.entry.id ? -1 : 1)),
  put: async (item: Waiting): Promise<void> => {
    await (await open()).put('waiting', item, item.entry.id);
    tellTabs();
  },
  remove: async (id: string): Promise<void> => {
    await (await open()).delete('waiting', id);
    tellTabs();
  },
};
