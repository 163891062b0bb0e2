/** Small letters and figures that are not read for one another. */
const LETTERS = 'abcdefghjkmnpqrstuvwxyz23456789';

/**
 * A new id for a part of a job that is saved by itself, `tile-k4x9w2mr`: drawn, not counted, so that two
 * people who add something at once add two things.
 */
export function newId(stem: string): string {
  const drawn = crypto.getRandomValues(new Uint8Array(8));
  return `${stem}-${[...drawn].map((byte) => LETTERS[byte % LETTERS.length]).join('')}`;
}

/** A short id within such a part, that none of the others there has: `door-1`, `door-2`. */
export function nextId(stem: string, taken: readonly { readonly id: string }[]): string {
  let number = taken.length + 1;
  while (taken.some(({ id }) => id === `${stem}-${number}`)) number++;
  return `${stem}-${number}`;
}
