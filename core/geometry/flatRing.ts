import type { Ring } from './ring.ts';

const known = new WeakMap<Ring, Float64Array>();

/** The corners of a ring as numbers in a row, x and y by turns, mm: for what is walked round a thousand times. Remembered. */
export function flatRing(ring: Ring): Float64Array {
  const before = known.get(ring);
  if (before) return before;
  const flat = new Float64Array(2 * ring.length);
  for (let k = 0; k < ring.length; k++) flat.set(ring[k], 2 * k);
  known.set(ring, flat);
  return flat;
}
