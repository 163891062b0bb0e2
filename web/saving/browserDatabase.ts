import { deleteDB, openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { KeptQueue } from './keptQueues.ts';

/** A record as it is kept: while it waits without a reason, put aside with one. */
export interface RecordRow {
  readonly jobId: string;
  readonly id: string;
  readonly item: unknown;
  readonly why?: string;
}

/** A record as older releases kept it: the first one kept ticks alone. */
type OldRecordRow = RecordRow & { readonly tick?: unknown };

/** All that the product keeps in a browser, in one database. */
interface Schema extends DBSchema {
  /** Changes that no server has yet, by job and window. */
  queues: { key: [string, string]; value: KeptQueue };
  /** The same of what was ticked and written down. */
  ticks: { key: [string, string]; value: RecordRow };
  entries: { key: [string, string]; value: RecordRow };
  /** What the server last answered, and what was planned of it. */
  seen: { key: string; value: unknown };
}

/** Whether the page runs where anything can be kept. */
export const hasDatabase = typeof indexedDB !== 'undefined';

let database: Promise<IDBPDatabase<Schema>> | null = null;

/** Opened once for all. Rejects where the browser keeps nothing. */
export const browserDatabase = (): Promise<IDBPDatabase<Schema>> => (database ??= open());

async function open(): Promise<IDBPDatabase<Schema>> {
  const opened = await openDB<Schema>('azulejo', 1, {
    upgrade: (made) => {
      made.createObjectStore('queues', { keyPath: ['jobId', 'windowId'] });
      for (const kind of ['ticks', 'entries'] as const) made.createObjectStore(kind, { keyPath: ['jobId', 'id'] });
      made.createObjectStore('seen');
    },
  });
  // Where that fails, it is there the next time.
  await takeOver(opened, 'azulejo-unsaved', ['queues']).catch(() => undefined);
  await takeOver(opened, 'azulejo-site', ['ticks', 'entries']).catch(() => undefined);
  // What was seen is seen again.
  void deleteDB('azulejo-seen').catch(() => undefined);
  return opened;
}

/**
 * Takes over what an older release kept in a database of its own. That is emptied and left: a window of the older release
 * may still write to it, and what it writes is taken over the next time.
 */
async function takeOver(into: IDBPDatabase<Schema>, name: string, stores: readonly ('queues' | 'ticks' | 'entries')[]): Promise<void> {
  // A browser that can't list its databases opens an empty one instead.
  const there = 'databases' in indexedDB ? await indexedDB.databases() : [{ name }];
  if (!there.some((one) => one.name === name)) return;
  const old = await openDB(name);
  for (const store of stores) {
    if (!old.objectStoreNames.contains(store)) continue;
    for (const row of (await old.getAll(store)) as readonly (KeptQueue | OldRecordRow)[]) {
      if ('windowId' in row) await into.put('queues', row);
      else {
        const { tick, ...kept } = row;
        await into.put(store, { ...kept, item: kept.item ?? tick });
      }
      await old.delete(store, 'windowId' in row ? [row.jobId, row.windowId] : [row.jobId, row.id]);
    }
  }
  old.close();
}
