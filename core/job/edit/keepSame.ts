import { isRecord } from './edit.ts';

/**
 * A value with all that says the same as before taken from before, so that what was worked out for it is found
 * again. Returns `before` itself where nothing differs.
 */
export function keepSame<T>(before: unknown, after: T): T {
  if (Object.is(before, after)) return after;
  if (Array.isArray(before) && Array.isArray(after)) {
    const kept = after.map((item: unknown, k) => keepSame(before[k], item));
    return (before.length === after.length && kept.every((item, k) => item === before[k]) ? before : kept) as T;
  }
  if (!isRecord(before) || !isRecord(after)) return after;
  const keys = Object.keys(after);
  const kept = Object.fromEntries(keys.map((key) => [key, keepSame(before[key], after[key])]));
  return (keys.length === Object.keys(before).length && keys.every((key) => kept[key] === before[key]) ? before : kept) as T;
}
