/** More or less than this many times what was planned is a slip of the pen or another surface's, no habit. */
const BELIEVED = { least: 0.5, most: 2 };

/** Whether what was seen over what was planned can be believed. */
export const isBelieved = (ratio: number): boolean => ratio >= BELIEVED.least && ratio <= BELIEVED.most;

/** The middle of some values, which one that is far off does not move. */
export function medianOf(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[middle] : (sorted[middle - 1] + sorted[middle]) / 2;
}
