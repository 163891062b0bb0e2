import { defineStore } from 'pinia';
import { computed } from 'vue';
import { entriesInForce, type Entry } from '@azulejo/core/site/entry';
import { api } from '../api/client.ts';
import { newUuid } from '../saving/newUuid.ts';
import { useOutbox } from '../saving/outbox.ts';

/** The log of the open job: written here or on another phone, kept until the server has it. */
export const useLogStore = defineStore('log', () => {
  const outbox = useOutbox<Entry>({
    kind: 'entries',
    most: 20,
    list: api.listEntries,
    // As they are kept there, photos by their names.
    send: async (jobId, entries) => (await api.addEntries(jobId, entries)).entries,
    merge: (before, came) => [...new Map([...before, ...came].map((entry) => [entry.id, entry])).values()],
  });
  const { known, waiting, add } = outbox;
  const entries = computed(() => entriesInForce([...known.value, ...waiting.value]));

  /** Writes something down; a correction names what it replaces. */
  async function write(
    data: Entry['data'],
    { surfaceId = null, by = '', replaces = null }: Partial<Pick<Entry, 'surfaceId' | 'by' | 'replaces'>> = {},
  ): Promise<void> {
    await add([{ id: newUuid(), at: new Date().toISOString(), by, surfaceId, replaces, data }]);
  }

  /** Takes an entry back; it stays in the log as it was, and is no longer told. */
  const withdraw = (entry: Entry): Promise<void> => write({ kind: 'withdrawn' }, { surfaceId: entry.surfaceId, replaces: entry.id });

  return { ...outbox, entries, write, withdraw };
});
