import { heldButton } from './heldButton.ts';
import { onScopeDispose, shallowRef, toRaw, watch, type ShallowRef, type WatchSource } from 'vue';

/** A result that follows its input. */
export interface Latest<Output> {
  readonly value: ShallowRef<Output | null>;
  readonly failed: ShallowRef<boolean>;
}

/**
 * Computes away from the page whenever the input changes. While one computation runs only the
 * newest input waits, so that results follow a moving hand and never pile up. Where it can be given
 * up, `giveUp` is called as soon as a newer input waits; a computation given up answers null. What comes while a button is
 * held down is shown when it is let go.
 */
export function useLatest<Input, Output>(
  source: WatchSource<Input | null>,
  compute: (input: Input) => Promise<Output | null>,
  giveUp?: () => void,
): Latest<Output> {
  const value = shallowRef<Output | null>(null);
  const failed = shallowRef(false);
  let next: { readonly input: Input } | null = null;
  let running = false;
  let gone = false;

  async function run(): Promise<void> {
    running = true;
    while (next !== null && !gone) {
      const { input } = next;
      next = null;
      try {
        const output = await compute(toRaw(input));
        if (heldButton.isHeld()) await heldButton.released();
        if (!gone && output !== null) [value.value, failed.value] = [output, false];
      } catch {
        failed.value = true;
      }
    }
    running = false;
  }

  watch(
    source,
    (input) => {
      next = input === null ? null : { input };
      if (input === null) value.value = null;
      else if (!running) void run();
      else giveUp?.();
    },
    { immediate: true },
  );
  onScopeDispose(() => {
    gone = true;
    if (running) giveUp?.();
  });
  return { value, failed };
}
