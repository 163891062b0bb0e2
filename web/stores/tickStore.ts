import { defineStore } from 'pinia';
import { computed } from 'vue';
import { nextTick, pieceKey, ticksInForce, type Tick, type TickState } from '@azulejo/core/site/tick';
import { api } from '../api/client.ts';
import { newUuid } from './newUuid.ts';
import { useOutbox } from './outbox.ts';

/** What is cut and laid of the open job: ticked here or on another phone, kept until the server has it. */
export const useTickStore = defineStore('ticks', () => {
  const { jobId, known, waiting, trouble, look, add } = useOutbox<Tick>({
    kind: 'ticks',
    most: 1000,
    list: api.listTicks,
    send: api.addTicks,
    merge: (before, came) => [...ticksInForce([...before, ...came]).values()],
  });
  const inForce = computed(() => ticksInForce([...known.value, ...waiting.value]));

  /** How far along a piece is. */
  const stateOf = (surfaceId: string, label: string): TickState => inForce.value.get(pieceKey({ surfaceId, label }))?.state ?? 'open';

  /** Ticks pieces of a surface; those that are so already are left. */
  const tick = (surfaceId: string, labels: readonly string[], state: TickState): Promise<void> =>
    jobId.value === null
      ? Promise.resolve()
      : add(
          labels
            .filter((label) => stateOf(surfaceId, label) !== state)
            .map((label) => nextTick(newUuid(), { surfaceId, label }, state, inForce.value)),
        );

  return { inForce, waiting, trouble, look, stateOf, tick };
});
