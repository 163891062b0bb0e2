import { oncePer } from '../oncePer.ts';
import type { Ring } from './ring.ts';

/** The corners of a ring as numbers in a row, x and y by turns, mm: for what is walked round a thousand times. */
export const flatRing = oncePer((ring: Ring): Float64Array => {
  const flat = new Float64Array(2 * ring.length);
  for (let k = 0; k < ring.length; k++) flat.set(ring[k], 2 * k);
  return flat;
});
