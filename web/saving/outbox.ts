import { ref, shallowRef } from 'vue';
import type { Came, ServerError } from '../api/client.ts';
import { batchOf } from './batchOf.ts';
import { hasDatabase } from './browserDatabase.ts';
import { failureOf, meaningOf, RETRY_MS } from './failure.ts';
import { lastSeen } from './lastSeen.ts';
import { plain } from './plain.ts';
import { browserRecords, passingRecords, type KeptRecord, type KeptRecords, type Named, type RecordKind } from './keptRecords.ts';

/** What records of one kind go by. */
interface OutboxKind<Item extends Named> {
  readonly kind: RecordKind;
  /** So many are sent at once. */
  readonly most: number;
  /** What the server has of a job since a count. */
  readonly list: (jobId: string, since: number) => Promise<Came<Item>>;
  /** Sends some; answers what the server has of them then. */
  readonly send: (jobId: string, items: readonly Item[]) => Promise<readonly Item[]>;
  /** What is known with what came: an answer that was overtaken takes nothing back. */
  readonly merge: (known: readonly Item[], came: readonly Item[]) => readonly Item[];
}

/** What the server told of a job, and the count to ask with. */
interface Seen<Item> {
  readonly records: readonly Item[];
  readonly came: number;
}

/** A record that the server will not take, and why. */
export interface Aside<Item> {
  readonly item: Item;
  readonly why: string;
}

/** Records of a job that is not open and that can't go out. */
export interface LeftOf {
  readonly jobId: string;
  readonly count: number;
  readonly why: string;
  /** The job was deleted: they have nowhere to go. */
  readonly isGone: boolean;
}

/** How sending some records went: what is sent, what was refused and why, and what keeps the rest. */
interface Sent<Item> {
  readonly passed: readonly Item[];
  readonly answer: readonly Item[];
  readonly refused: readonly Aside<Item>[];
  readonly failure: ServerError | null;
}

/**
 * Records of the open job that are only ever added: known from the server, or waiting here until it has them. They show
 * at once, outlive a reload, and are sent again until they are answered; twice does no harm. What is refused for good is
 * put aside with its reason, in sight, and the rest goes on.
 */
export function useOutbox<Item extends Named>(
  { kind, most, list, send: sendItems, merge }: OutboxKind<Item>,
  kept: KeptRecords<Item> = hasDatabase ? browserRecords<Item>(kind) : passingRecords<Item>(),
) {
  const windows = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(`azulejo-${kind}`);
  const jobId = ref<string | null>(null);
  const known = shallowRef<readonly Item[]>([]);
  const waiting = shallowRef<readonly Item[]>([]);
  const aside = shallowRef<readonly Aside<Item>[]>([]);
  /** Why records are not on the server yet, in words. */
  const trouble = ref<string | null>(null);
  /** The job is no longer on the server; what waits has nowhere to go. */
  const isGone = ref(false);
  /** What is left of other jobs. */
  const others = shallowRef<readonly LeftOf[]>([]);
  let came = 0;
  let sending: Promise<void> | null = null;
  let retry: ReturnType<typeof setTimeout> | null = null;

  const learn = (records: readonly Item[], upTo = came): void => {
    known.value = merge(known.value, records);
    came = upTo;
    if (jobId.value !== null) void lastSeen.keep(`${kind}/${jobId.value}`, plain({ records: known.value, came }));
  };

  /** Shows another job, with nothing known of it yet. */
  function turnTo(id: string): void {
    [jobId.value, known.value, waiting.value, aside.value, trouble.value, isGone.value, came] = [id, [], [], [], null, false, 0];
  }

  /** What other windows wrote down, or an earlier one left. */
  async function takeKept(id: string): Promise<void> {
    const left = await kept.list(id).catch((): readonly KeptRecord<Item>[] => []);
    if (jobId.value !== id) return;
    const isAside = new Set(left.filter(({ why }) => why !== null).map(({ item }) => item.id));
    waiting.value = byId([...waiting.value, ...left.map(({ item }) => item)]).filter((item) => !isAside.has(item.id));
    aside.value = left.flatMap(({ item, why }) => (why === null ? [] : [{ item, why }]));
  }

  /** Looks at what there is of a job; without a server, at what is known. */
  async function look(id: string): Promise<void> {
    if (jobId.value !== id) {
      turnTo(id);
      const seen = await lastSeen.find<Seen<Item> | readonly Item[]>(`${kind}/${id}`);
      // An older release kept the records alone.
      if (seen && jobId.value === id) learn('came' in seen ? seen.records : (seen as readonly Item[]), 'came' in seen ? seen.came : 0);
    }
    await takeKept(id);
    const found = await list(id, came).catch(() => null);
    if (found && jobId.value === id) learn(found.records, found.came);
    void send().then(sendOthers);
  }

  /** Sends what was left of jobs that are not open. */
  async function sendOthers(): Promise<void> {
    const left: LeftOf[] = [];
    for (const other of await kept.jobIds().catch((): readonly string[] => [])) {
      if (other === jobId.value) continue;
      const items = (await kept.list(other)).filter(({ why }) => why === null).map(({ item }) => item);
      const failure = await sendAllOf(other, items);
      const rest = (await kept.list(other)).map(({ why }) => why ?? failure?.words ?? '');
      if (rest.length > 0)
        left.push({ jobId: other, count: rest.length, why: rest[0], isGone: failure !== null && meaningOf(failure) === 'gone' });
    }
    others.value = left;
  }

  /** Adds records to the open job. */
  async function add(made: readonly Item[]): Promise<void> {
    const id = jobId.value;
    if (id === null || made.length === 0) return;
    waiting.value = [...waiting.value, ...made];
    await kept.add(id, made).catch(() => undefined);
    // Another window of this browser offers nothing that was done here, also while no server answers.
    windows?.postMessage(id);
    await send();
  }

  const send = (): Promise<void> => (sending ??= sendOpen().finally(() => (sending = null)));

  async function sendOpen(): Promise<void> {
    if (retry !== null) clearTimeout(retry);
    while (jobId.value !== null && waiting.value.length > 0) {
      const id = jobId.value;
      const failure = await sendAllOf(id, waiting.value);
      if (jobId.value !== id) continue;
      isGone.value = failure !== null && meaningOf(failure) === 'gone';
      trouble.value = failure?.words ?? null;
      if (failure === null) continue;
      // A job that is gone is looked for again when its page is opened, not all the time.
      if (!isGone.value) retry = setTimeout(() => void send(), RETRY_MS);
      return;
    }
  }

  /** Sends records of a job, a batch at a time; puts aside what is refused. Gives what keeps the rest; null for nothing. */
  async function sendAllOf(id: string, items: readonly Item[]): Promise<ServerError | null> {
    let left = items;
    while (left.length > 0) {
      const batch = batchOf(left, most);
      const { passed, answer, refused, failure } = await sendBatch(id, batch);
      const settled = new Set([...passed, ...refused.map(({ item }) => item)].map((item) => item.id));
      await kept
        .forget(
          id,
          passed.map((item) => item.id),
        )
        .catch(() => undefined);
      for (const { item, why } of refused) await kept.putAside(id, item, why).catch(() => undefined);
      if (jobId.value === id) {
        learn(answer);
        waiting.value = waiting.value.filter((item) => !settled.has(item.id));
        aside.value = [...aside.value, ...refused];
      }
      if (settled.size > 0) windows?.postMessage(id);
      if (failure) return failure;
      left = left.slice(batch.length);
    }
    return null;
  }

  async function sendBatch(id: string, items: readonly Item[]): Promise<Sent<Item>> {
    try {
      return { passed: items, answer: await sendItems(id, items), refused: [], failure: null };
    } catch (error) {
      const failure = failureOf(error, 'They could not be sent.');
      const meaning = meaningOf(failure);
      if ((meaning === 'refused' || meaning === 'unexplained') && items.length > 1) return sendOneByOne(id, items);
      if (meaning === 'refused') return { passed: [], answer: [], refused: [{ item: items[0], why: failure.words }], failure: null };
      return { passed: [], answer: [], refused: [], failure };
    }
  }

  /** Finds the records that keep a batch from being taken. Where none passes, it is the server that fails. */
  async function sendOneByOne(id: string, items: readonly Item[]): Promise<Sent<Item>> {
    const [passed, answer, refused, unexplained]: [Item[], Item[], Aside<Item>[], Aside<Item>[]] = [[], [], [], []];
    let failure: ServerError | null = null;
    for (const item of items) {
      const one = await sendBatch(id, [item]);
      passed.push(...one.passed);
      answer.push(...one.answer);
      refused.push(...one.refused);
      if (one.failure && meaningOf(one.failure) === 'unexplained') unexplained.push({ item, why: one.failure.words });
      failure = one.failure ?? failure;
      if (one.failure && meaningOf(one.failure) !== 'unexplained') return { passed, answer, refused, failure: one.failure };
    }
    return passed.length > 0
      ? { passed, answer, refused: [...refused, ...unexplained], failure: null }
      : { passed, answer, refused, failure };
  }

  /** Sends a record again that was put aside. */
  async function tryAside(id: string): Promise<void> {
    const [found] = aside.value.filter(({ item }) => item.id === id);
    if (!found || jobId.value === null) return;
    await kept.add(jobId.value, [found.item]).catch(() => undefined);
    aside.value = aside.value.filter((one) => one !== found);
    waiting.value = [...waiting.value, found.item];
    await send();
  }

  async function dropAside(id: string): Promise<void> {
    if (jobId.value !== null) await kept.forget(jobId.value, [id]).catch(() => undefined);
    aside.value = aside.value.filter(({ item }) => item.id !== id);
  }

  /** Lets go of all that is kept of a job; the person has been told. */
  async function letGo(id: string): Promise<void> {
    const left = await kept.list(id).catch((): readonly KeptRecord<Item>[] => []);
    await kept
      .forget(
        id,
        left.map(({ item }) => item.id),
      )
      .catch(() => undefined);
    if (jobId.value === id) turnTo(id);
    others.value = others.value.filter((one) => one.jobId !== id);
  }

  windows?.addEventListener('message', ({ data }: MessageEvent<string>) => {
    if (data !== jobId.value) return;
    // What another window sent is no longer kept: it waits here neither.
    void kept
      .list(data)
      .then((left) => {
        const still = new Set(left.map(({ item }) => item.id));
        if (jobId.value === data) {
          learn(waiting.value.filter((item) => !still.has(item.id)));
          waiting.value = waiting.value.filter((item) => still.has(item.id));
        }
      })
      .catch(() => undefined)
      .then(() => look(data));
  });

  return { jobId, known, waiting, aside, trouble, isGone, others, look, add, sendOthers, tryAside, dropAside, letGo };
}

const byId = <Item extends Named>(items: readonly Item[]): Item[] => [...new Map(items.map((item) => [item.id, item])).values()];
