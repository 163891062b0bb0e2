import { produce } from 'immer';
import type { Issue } from '../result.ts';

type Held = Record<string | number, unknown>;

/** A value with something within it set; objects on the way that are not there yet are made. */
export const setIn = <T>(value: T, path: Issue['path'], to: unknown): T =>
  produce(value, (draft) => {
    let at = draft as Held;
    for (const key of path.slice(0, -1)) at = (at[key] ??= {}) as Held;
    at[path[path.length - 1]] = to;
  });
