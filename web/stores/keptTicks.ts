import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Tick } from '@azulejo/core/site/tick';

/** Where ticks that no server has yet outlive a reload. */
export interface KeptTicks {
  add(jobId: string, ticks: readonly Tick[]): Promise<void>;
  list(jobId: string): Promise<readonly Tick[]>;
  forget(jobId: string, ids: readonly string[]): Promise<void>;
}

interface Schema extends DBSchema {
  ticks: { key: [string, string]; value: { readonly jobId: string; readonly id: string; readonly tick: Tick } };
}

/** Ticks in the browser's own database; all windows share them. */
export function browserTicks(): KeptTicks {
  let database: Promise<IDBPDatabase<Schema>> | null = null;
  const opened = (): Promise<IDBPDatabase<Schema>> =>
    (database ??= openDB<Schema>('azulejo-site', 1, {
      upgrade: (made) => void made.createObjectStore('ticks', { keyPath: ['jobId', 'id'] }),
    }));
  return {
    add: async (jobId, ticks) => {
      const within = (await opened()).transaction('ticks', 'readwrite');
      await Promise.all([...ticks.map((tick) => within.store.put({ jobId, id: tick.id, tick })), within.done]);
    },
    list: async (jobId) => (await (await opened()).getAll('ticks', IDBKeyRange.bound([jobId], [jobId, []]))).map(({ tick }) => tick),
    forget: async (jobId, ids) => {
      const within = (await opened()).transaction('ticks', 'readwrite');
      await Promise.all([...ids.map((id) => within.store.delete([jobId, id])), within.done]);
    },
  };
}

/** Ticks that last as long as the page: where the browser keeps nothing, and in tests. */
export function passingTicks(): KeptTicks {
  const jobs = new Map<string, Map<string, Tick>>();
  const of = (jobId: string): Map<string, Tick> => {
    const known = jobs.get(jobId) ?? new Map<string, Tick>();
    jobs.set(jobId, known);
    return known;
  };
  return {
    add: (jobId, ticks) => Promise.resolve(ticks.forEach((tick) => of(jobId).set(tick.id, tick))),
    list: (jobId) => Promise.resolve([...of(jobId).values()]),
    forget: (jobId, ids) => Promise.resolve(ids.forEach((id) => of(jobId).delete(id))),
  };
}
