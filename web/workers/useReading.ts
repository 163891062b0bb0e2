import { wrap, type Remote } from 'comlink';
import { onScopeDispose, ref } from 'vue';
import type { ImportReader } from './readerWorker.ts';

/** Reading that takes no longer is not told, ms. */
const TOLD_AFTER_MS = 400;

/** Reads a file in a worker of its own, which is ended where somebody stops it. */
export function useReading() {
  /** Whether it takes long enough to be told. */
  const isLong = ref(false);
  let current: { readonly giveUp: () => void } | null = null;

  /** What was read; null where it was stopped, or another file was chosen meanwhile. */
  async function read<T>(work: (reader: Remote<ImportReader>) => Promise<T>): Promise<T | null> {
    current?.giveUp();
    const worker = new Worker(new URL('./readerWorker.ts', import.meta.url), { type: 'module' });
    let own: typeof current = null;
    const told = setTimeout(() => (isLong.value = true), TOLD_AFTER_MS);
    try {
      return await new Promise<T | null>((resolve, reject) => {
        own = current = { giveUp: () => resolve(null) };
        worker.onerror = () => reject(new Error('The file could not be read.'));
        work(wrap<ImportReader>(worker)).then(resolve, reject);
      });
    } finally {
      clearTimeout(told);
      worker.terminate();
      if (current === own) [isLong.value, current] = [false, null];
    }
  }
  const stop = (): void => current?.giveUp();
  onScopeDispose(stop);
  return { read, stop, isLong, isBusy: () => current !== null };
}
