/** What one request carries, bytes: a proxy may let through no more than a few megabytes. */
const MOST_BYTES = 900_000;

const encoder = new TextEncoder();

/** How much of a request an item takes, bytes. */
const bytesOf = (item: unknown): number => encoder.encode(JSON.stringify(item)).length;

/** The first of some items, as many as one request carries and `most` at most; one that is larger goes alone. */
export function batchOf<Item>(items: readonly Item[], most: number): readonly Item[] {
  let bytes = 0;
  const end = items.findIndex((item, k) => {
    bytes += bytesOf(item);
    return k > 0 && (k >= most || bytes > MOST_BYTES);
  });
  return end < 0 ? items : items.slice(0, end);
}
