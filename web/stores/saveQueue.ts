import type { Change } from '@azulejo/core/job/edit';

/**
 * Adds a change to those not sent yet. Changes of one kind that follow each other, as from a key
 * held down, become one; the first `inFlight` are on their way and stay as they are.
 */
export function enqueue(waiting: readonly Change[], change: Change, inFlight: number): Change[] {
  const last = waiting.at(-1);
  if (last === undefined || waiting.length <= inFlight || last.label !== change.label) return [...waiting, change];
  const merged: Change = {
    label: change.label,
    forward: [...last.forward, ...change.forward],
    inverse: [...change.inverse, ...last.inverse],
  };
  return [...waiting.slice(0, -1), merged];
}
