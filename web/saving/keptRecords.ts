import { browserDatabase } from './browserDatabase.ts';

/** A record that is added and never changed, named by who makes it. */
export interface Named {
  readonly id: string;
}

/** A record that is kept, and why the server would not take it; null while it waits. */
export interface KeptRecord<Item> {
  readonly item: Item;
  readonly why: string | null;
}

/** Where records that no server has yet outlive a reload. */
export interface KeptRecords<Item extends Named> {
  /** Keeps records that wait; one that was put aside waits again. */
  add(jobId: string, items: readonly Item[]): Promise<void>;
  putAside(jobId: string, item: Item, why: string): Promise<void>;
  list(jobId: string): Promise<readonly KeptRecord<Item>[]>;
  forget(jobId: string, ids: readonly string[]): Promise<void>;
  /** Jobs that something is kept of. */
  jobIds(): Promise<readonly string[]>;
}

/** Kinds of records, each in a store of its own. */
export type RecordKind = 'ticks' | 'entries';

/** Records in the browser's own database; all windows share them. */
export function browserRecords<Item extends Named>(kind: RecordKind): KeptRecords<Item> {
  return {
    add: async (jobId, items) => {
      const within = (await browserDatabase()).transaction(kind, 'readwrite');
      await Promise.all([...items.map((item) => within.store.put({ jobId, id: item.id, item })), within.done]);
    },
    putAside: async (jobId, item, why) => void (await (await browserDatabase()).put(kind, { jobId, id: item.id, item, why })),
    list: async (jobId) =>
      (await (await browserDatabase()).getAll(kind, IDBKeyRange.bound([jobId], [jobId, []]))).map(({ item, why = null }) => ({
        item: item as Item,
        why,
      })),
    forget: async (jobId, ids) => {
      const within = (await browserDatabase()).transaction(kind, 'readwrite');
      await Promise.all([...ids.map((id) => within.store.delete([jobId, id])), within.done]);
    },
    jobIds: async () => [...new Set((await (await browserDatabase()).getAllKeys(kind)).map(([jobId]) => jobId))],
  };
}

/** Records that last as long as the page: where the browser keeps nothing, and in tests. */
export function passingRecords<Item extends Named>(): KeptRecords<Item> {
  const jobs = new Map<string, Map<string, KeptRecord<Item>>>();
  const of = (jobId: string): Map<string, KeptRecord<Item>> => {
    const known = jobs.get(jobId) ?? new Map<string, KeptRecord<Item>>();
    jobs.set(jobId, known);
    return known;
  };
  return {
    add: (jobId, items) => Promise.resolve(items.forEach((item) => of(jobId).set(item.id, { item, why: null }))),
    putAside: (jobId, item, why) => Promise.resolve(void of(jobId).set(item.id, { item, why })),
    list: (jobId) => Promise.resolve([...of(jobId).values()]),
    forget: (jobId, ids) => Promise.resolve(ids.forEach((id) => of(jobId).delete(id))),
    jobIds: () => Promise.resolve([...jobs].flatMap(([jobId, items]) => (items.size > 0 ? [jobId] : []))),
  };
}
