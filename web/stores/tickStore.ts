import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { nextTick, pieceKey, ticksInForce, type Tick, type TickState } from '@azulejo/core/site/tick';
import { api, ServerError } from '../api/client.ts';
import { browserTicks, passingTicks } from './keptTicks.ts';
import { newUuid } from './newUuid.ts';

const RETRY_MS = 4000;

/** So many are sent at once. */
const MOST_SENT = 1000;

const windows = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('azulejo-ticks');

/** What is cut and laid of the open job: ticked here or on another phone, kept until the server has it. */
export const useTickStore = defineStore('ticks', () => {
  const kept = typeof indexedDB === 'undefined' ? passingTicks() : browserTicks();
  const jobId = ref<string | null>(null);
  const known = shallowRef<readonly Tick[]>([]);
  const waiting = shallowRef<readonly Tick[]>([]);
  /** Why ticks are not on the server yet, in words. */
  const trouble = ref<string | null>(null);
  let sending: Promise<void> | null = null;
  let retry: ReturnType<typeof setTimeout> | null = null;

  const inForce = computed(() => ticksInForce([...known.value, ...waiting.value]));

  /** Looks at what is ticked of a job; without a server, at what is known. */
  async function look(id: string): Promise<void> {
    if (jobId.value !== id) [jobId.value, known.value, waiting.value, trouble.value] = [id, [], [], null];
    const left = await kept.list(id).catch((): readonly Tick[] => []);
    if (jobId.value === id) waiting.value = [...new Map([...waiting.value, ...left].map((tick) => [tick.id, tick])).values()];
    const found = await api.listTicks(id).catch(() => null);
    if (found && jobId.value === id) learn(found);
    void send();
  }

  /** Adds what the server told: an answer that was overtaken by a later one takes nothing back. */
  const learn = (ticks: readonly Tick[]): void => {
    known.value = [...ticksInForce([...known.value, ...ticks]).values()];
  };

  /** How far along a piece is. */
  const stateOf = (surfaceId: string, label: string): TickState => inForce.value.get(pieceKey({ surfaceId, label }))?.state ?? 'open';

  /** Ticks pieces of a surface; those that are so already are left. */
  async function tick(surfaceId: string, labels: readonly string[], state: TickState): Promise<void> {
    const id = jobId.value;
    if (id === null) return;
    const made = labels
      .filter((label) => stateOf(surfaceId, label) !== state)
      .map((label) => nextTick(newUuid(), { surfaceId, label }, state, inForce.value));
    if (made.length === 0) return;
    waiting.value = [...waiting.value, ...made];
    await kept.add(id, made).catch(() => undefined);
    await send();
  }

  const send = (): Promise<void> => (sending ??= sendAll().finally(() => (sending = null)));

  async function sendAll(): Promise<void> {
    if (retry !== null) clearTimeout(retry);
    while (jobId.value !== null && waiting.value.length > 0) {
      const [id, ticks] = [jobId.value, waiting.value.slice(0, MOST_SENT)];
      try {
        const found = await api.addTicks(id, ticks);
        await kept.forget(id, idsOf(ticks)).catch(() => undefined);
        if (jobId.value === id) {
          const sent = new Set(idsOf(ticks));
          learn(found);
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

  return { inForce, waiting, trouble, look, stateOf, tick };
});

const idsOf = (ticks: readonly Tick[]): string[] => ticks.map(({ id }) => id);
