import { isKeyed, isRecord, type Edit, type EditPath, type Identified } from './edit.ts';

/**
 * What leads from one value to the other, edit by edit, in the order they apply. What takes a change
 * back is the same with the two values swapped, so that every change can be undone.
 */
export function differences(before: unknown, after: unknown, path: EditPath = []): Edit[] {
  if (before === after) return [];
  if (isKeyed(before) && isKeyed(after) && path.length > 0) return listDifferences(before, after, path);
  if (isRecord(before) && isRecord(after) && isOneThing(before, after, path)) return fieldDifferences(before, after, path);
  return isSame(before, after) ? [] : [{ op: 'set', path: [...path], value: after }];
}

/** What a list holds stays itself whatever changes in it; anything else of another kind is replaced whole. */
const isOneThing = (before: Readonly<Record<string, unknown>>, after: Readonly<Record<string, unknown>>, path: EditPath): boolean =>
  path.length === 0 || typeof path.at(-1) === 'object' || before['kind'] === after['kind'];

function fieldDifferences(before: Readonly<Record<string, unknown>>, after: Readonly<Record<string, unknown>>, path: EditPath): Edit[] {
  return [...new Set([...Object.keys(before), ...Object.keys(after)])].flatMap((key): Edit[] => {
    const to = [...path, key];
    const [old, now] = [own(before, key), own(after, key)];
    if (now === undefined) return old === undefined ? [] : [{ op: 'unset', path: to }];
    return old === undefined ? [{ op: 'set', path: to, value: now }] : differences(old, now, to);
  });
}

const own = (of: Readonly<Record<string, unknown>>, key: string): unknown => (Object.hasOwn(of, key) ? of[key] : undefined);

function listDifferences(before: readonly Identified[], after: readonly Identified[], path: EditPath): Edit[] {
  const old = new Map(before.map((item) => [item.id, item]));
  const now = new Set(after.map(({ id }) => id));
  const drops = before.filter(({ id }) => !now.has(id)).map(({ id }): Edit => ({ op: 'drop', path: [...path, { id }] }));
  // From the end, so that the one each is put ahead of is there already.
  const puts = [...after.keys()].reverse().flatMap((k): Edit[] => {
    const { id } = after[k];
    return old.has(id) ? [] : [{ op: 'put', path: [...path, { id }], value: after[k], before: after[k + 1]?.id ?? null }];
  });
  const inside = after.flatMap((item) => differences(old.get(item.id) ?? item, item, [...path, { id: item.id }]));
  return [...drops, ...orderDifference(before, after, path), ...puts, ...inside];
}

/** Where those that stay stand in another order. */
function orderDifference(before: readonly Identified[], after: readonly Identified[], path: EditPath): Edit[] {
  const shared = (of: readonly Identified[], other: readonly Identified[]): string[] => {
    const there = new Set(other.map(({ id }) => id));
    return of.map(({ id }) => id).filter((id) => there.has(id));
  };
  const ids = shared(after, before);
  return shared(before, after).every((id, k) => id === ids[k]) ? [] : [{ op: 'order', path: [...path], ids }];
}

/** Whether two plain values say the same. */
function isSame(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (Array.isArray(a) && Array.isArray(b)) return a.length === b.length && a.every((item, k) => isSame(item, b[k]));
  if (!isRecord(a) || !isRecord(b)) return false;
  const keys = Object.keys(a);
  return keys.length === Object.keys(b).length && keys.every((key) => Object.hasOwn(b, key) && isSame(a[key], b[key]));
}
