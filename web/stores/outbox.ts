import { ref, shallowRef } from 'vue';
import { ServerError } from '../api/client.ts';
import { lastSeen } from '../api/lastSeen.ts';
import { plain } from './plain.ts';
import { browserRecords, passingRecords, type KeptRecords, type Named, type RecordKind } from './keptRecords.ts';

const RETRY_MS = 4000;

/** What records of one kind go by. */
interface OutboxKind<Item extends Named> {
  readonly kind: RecordKind;
  /** So many are sent at once. */
  readonly most: number;
  /** What the server has of a job. */
  readonly list: (jobId: string) => Promise<readonly Item[]>;
  /** Sends some; answers what the server has then, or null where it does not tell. */
  readonly send: (jobId: string, items: readonly Item[]) => Promise<readonly Item[] | null>;
  /** What is known with what came: an answer that was overtaken takes nothing back. */
  readonly merge: (known: readonly Item[], came: readonly Item[]) => readonly Item[];
}

/**
 * Records of the open job that are only ever added: known from the server, or waiting here until it has them. They show
 * at once, outlive a reload, and are sent again until they are answered; twice does no harm.
 */
export function useOutbox<Item extends Named>(
  { kind, most, list, send: sendItems, merge }: OutboxKind<Item>,
  kept: KeptRecords<Item> = typeof indexedDB === 'undefined' ? passingRecords<Item>() : browserRecords<Item>(kind),
) {
  const windows = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(`azulejo-${kind}`);
  const jobId = ref<string | null>(null);
  const known = shallowRef<readonly Item[]>([]);
  const waiting = shallowRef<readonly Item[]>([]);
  /** Why records are not on the server yet, in words. */
  const trouble = ref<string | null>(null);
  let sending: Promise<void> | null = null;
  let retry: ReturnType<typeof setTimeout> | null = null;

  const learn = (came: readonly Item[]): void => {
    known.value = merge(known.value, came);
    if (jobId.value !== null) void lastSeen.keep(`${kind}/${jobId.value}`, plain(known.value));
  };

  /** Looks at what there is of a job; without a server, at what is known. */
  async function look(id: string): Promise<void> {
    if (jobId.value !== id) [jobId.value, known.value, waiting.value, trouble.value] = [id, [], [], null];
    const left = await kept.list(id).catch((): readonly Item[] => []);
    if (jobId.value === id) waiting.value = [...new Map([...waiting.value, ...left].map((item) => [item.id, item])).values()];
    const found = await list(id).catch(() => lastSeen.find<readonly Item[]>(`${kind}/${id}`));
    if (found && jobId.value === id) learn(found);
    void send().then(() => sendOthers(id));
  }

  /** What was left of other jobs goes out too. */
  async function sendOthers(openId: string): Promise<void> {
    for (const other of await kept.jobIds().catch((): readonly string[] => [])) {
      if (other === openId || other === jobId.value) continue;
      const left = await kept.list(other);
      for (let from = 0; from < left.length; from += most) {
        const items = left.slice(from, from + most);
        const isSent = await sendItems(other, items).then(
          () => true,
          () => false,
        );
        if (!isSent) break;
        await kept.forget(
          other,
          items.map((item) => item.id),
        );
      }
    }
  }

  /** Adds records to the open job. */
  async function add(made: readonly Item[]): Promise<void> {
    const id = jobId.value;
    if (id === null || made.length === 0) return;
    waiting.value = [...waiting.value, ...made];
    await kept.add(id, made).catch(() => undefined);
    await send();
  }

  const send = (): Promise<void> => (sending ??= sendAll().finally(() => (sending = null)));

  async function sendAll(): Promise<void> {
    if (retry !== null) clearTimeout(retry);
    while (jobId.value !== null && waiting.value.length > 0) {
      const [id, items] = [jobId.value, waiting.value.slice(0, most)];
      const ids = items.map((item) => item.id);
      try {
        const found = await sendItems(id, items);
        await kept.forget(id, ids).catch(() => undefined);
        if (jobId.value === id) {
          const sent = new Set(ids);
          learn(found ?? items);
          [waiting.value, trouble.value] = [waiting.value.filter((one) => !sent.has(one.id)), null];
        }
        windows?.postMessage(id);
      } catch (error) {
        if (jobId.value === id) trouble.value = error instanceof ServerError ? error.words : 'They could not be sent.';
        retry = setTimeout(() => void send(), RETRY_MS);
        return;
      }
    }
  }

  windows?.addEventListener('message', ({ data }: MessageEvent<string>) => {
    if (data === jobId.value) void look(data);
  });

  return { jobId, known, waiting, trouble, look, add };
}
