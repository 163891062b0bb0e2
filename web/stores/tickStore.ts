import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { nextTick, pieceKey, ticksInForce, type KeptCount, type Tick, type TickState } from '@azulejo/core/site/tick';
import { api } from '../api/client.ts';
import { newUuid } from '../saving/newUuid.ts';
import { useOutbox } from '../saving/outbox.ts';

/** What is cut and laid of the open job: ticked here or on another phone, kept until the server has it. */
export const useTickStore = defineStore('ticks', () => {
  const outbox = useOutbox<Tick>({
    kind: 'ticks',
    most: 1000,
    list: api.listTicks,
    send: api.addTicks,
    merge: (before, came) => [...ticksInForce([...before, ...came]).values()],
  });
  const { jobId, known, waiting, add } = outbox;
  const inForce = computed(() => ticksInForce([...known.value, ...waiting.value]));

  /** How far along a piece is. */
  const stateOf = (surfaceId: string, label: string): TickState => inForce.value.get(pieceKey({ surfaceId, label }))?.state ?? 'open';

  /** How the surfaces were counted that were first ticked here, until the job has it. */
  const counts = shallowRef<ReadonlyMap<string, KeptCount>>(new Map());
  const countOf = (surfaceId: string): KeptCount | undefined =>
    counts.value.get(surfaceId) ?? waiting.value.find((one) => one.surfaceId === surfaceId && one.kept)?.kept;

  /** Ticks pieces of a surface; those that are so already are left. The first of a surface says how its pieces were counted. */
  async function tick(surfaceId: string, labels: readonly string[], state: TickState, kept?: KeptCount): Promise<void> {
    if (jobId.value === null) return;
    const made = labels
      .filter((label) => stateOf(surfaceId, label) !== state)
      .map((label) => nextTick(newUuid(), { surfaceId, label }, state, inForce.value));
    if (kept && made.length > 0) {
      counts.value = new Map([...counts.value, [surfaceId, kept]]);
      made[0] = { ...made[0], kept };
    }
    await add(made);
  }

  /** The job has it, or its pieces are counted anew. */
  function forgetCount(surfaceId: string): void {
    if (counts.value.has(surfaceId)) counts.value = new Map([...counts.value].filter(([id]) => id !== surfaceId));
  }

  return { ...outbox, inForce, stateOf, tick, countOf, forgetCount };
});
