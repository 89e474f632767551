import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** A recording as it lies on this device: its pieces of text, in order. */
export interface KeptRecording {
  readonly id: string;
  readonly jobId: string;
  readonly name: string;
  readonly startedAt: string;
  /** Whether it was ended by a person; one that was not was cut off. */
  readonly ended: boolean;
  readonly bytes: number;
  readonly seconds: number;
}

interface RecordingSchema extends DBSchema {
  recording: { key: string; value: KeptRecording };
  piece: { key: [string, number]; value: string };
}

let database: Promise<IDBPDatabase<RecordingSchema>> | undefined;

const open = (): Promise<IDBPDatabase<RecordingSchema>> =>
  (database ??= openDB<RecordingSchema>('white-ember recordings', 1, {
    upgrade: (db) => {
      db.createObjectStore('recording', { keyPath: 'id' });
      db.createObjectStore('piece');
    },
  }));

const pieces = (id: string): IDBKeyRange => IDBKeyRange.bound([id, 0], [id, Number.MAX_SAFE_INTEGER]);

/** Recordings on this device's disk, written piece by piece: what was written outlives a crash. */
export const recordingStore = {
  ofJob: async (jobId: string): Promise<KeptRecording[]> =>
    (await (await open()).getAll('recording')).filter((one) => one.jobId === jobId),

  /** Writes a piece and what is known of the whole, both or neither. */
  write: async (about: KeptRecording, number: number, text: string): Promise<void> => {
    const transaction = (await open()).transaction(['recording', 'piece'], 'readwrite');
    await Promise.all([
      transaction.objectStore('piece').put(text, [about.id, number]),
      transaction.objectStore('recording').put(about),
      transaction.done,
    ]);
  },

  update: async (about: KeptRecording): Promise<void> => {
    await (await open()).put('recording', about);
  },

  file: async ({ id, name }: KeptRecording): Promise<File> =>
    new File(await (await open()).getAll('piece', pieces(id)), name, { type: 'text/csv' }),

  remove: async (id: string): Promise<void> => {
    const transaction = (await open()).transaction(['recording', 'piece'], 'readwrite');
    await Promise.all([
      transaction.objectStore('piece').delete(pieces(id)),
      transaction.objectStore('recording').delete(id),
      transaction.done,
    ]);
  },
};
