import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import type { SetoutChoice } from '@azulejo/core/setout/setoutChoice';

/** What is chosen on the board, and a setout that is being moved and not yet let go of. */
export const useBoardStore = defineStore('board', () => {
  const preview = shallowRef<SetoutChoice | null>(null);
  const chosenEdge = ref<string>('left');
  const chosenGroup = ref<string | null>(null);
  const chosenLabel = ref<string | null>(null);

  /** Chooses nothing; for a new surface. */
  function clear(): void {
    preview.value = null;
    chosenEdge.value = 'left';
    chosenGroup.value = null;
    chosenLabel.value = null;
  }

  return { preview, chosenEdge, chosenGroup, chosenLabel, clear };
});
