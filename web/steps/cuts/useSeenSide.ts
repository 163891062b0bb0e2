import { useLocalStorage } from '@vueuse/core';
import { computed } from 'vue';
import { seenFromBack, type MarkedSide, type SeenPiece } from '@azulejo/core/cuts/backView';
import { words } from '../../words/useWords.ts';

/** Which side of a tile is marked. */
export const seenSides = computed(() => [
  { value: 'face' as const, label: words.value.say('cuts/faceUp') },
  { value: 'back' as const, label: words.value.say('cuts/faceDown') },
]);

/** Whether a person marks tiles on the face or on the back; kept by this browser. */
export function useSeenSide() {
  const stored = useLocalStorage<string>('azulejo-marked-side', 'face');
  const side = computed<MarkedSide>({
    get: () => (stored.value === 'back' ? 'back' : 'face'),
    set: (value) => (stored.value = value),
  });
  const seen = (piece: SeenPiece): SeenPiece => (side.value === 'back' ? seenFromBack(piece) : piece);
  const turnOver = (): void => void (side.value = side.value === 'back' ? 'face' : 'back');
  return { side, seen, turnOver };
}
