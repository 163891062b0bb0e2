/** Lets work go one after the other, in the order it was asked for. */
export type Turns = <T>(work: () => Promise<T>) => Promise<T>;

/** One line for all. */
export function turns(): Turns {
  let last: Promise<unknown> = Promise.resolve();
  return (work) => {
    const done = last.then(work, work);
    last = done.catch(() => undefined);
    return done;
  };
}

/** A line for each key; what has another key does not wait. */
export function turnsByKey(): <T>(key: string, work: () => Promise<T>) => Promise<T> {
  const lines = new Map<string, { readonly inTurn: Turns; waiting: number }>();
  return async (key, work) => {
    const line = lines.get(key) ?? { inTurn: turns(), waiting: 0 };
    lines.set(key, line);
    line.waiting++;
    try {
      return await line.inTurn(work);
    } finally {
      if (--line.waiting === 0) lines.delete(key);
    }
  };
}
