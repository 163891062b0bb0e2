import { ref, watch } from 'vue';

const round = ref(0);

/** Something was changed: what refused a field may be gone, so every refused text is tried again. */
export const thingsChanged = (): void => void round.value++;

/** Runs when something was changed, after the new figures are on screen. */
export const whenThingsChange = (run: () => void): void => void watch(round, run, { flush: 'post' });
