import { computed } from 'vue';
import { wordsIn } from '@azulejo/core/messages/words';
import { useTape } from '../fields/useTape.ts';
import { language } from './language.ts';

/** The words of the language that is spoken; apart from it, so that a page loads them only where it speaks. */
export const words = computed(() => wordsIn(language.value));

/** The tape of a view, as it reads in that language. */
export function useReadTape() {
  const tape = useTape();
  return computed(() => words.value.read(tape.value));
}
