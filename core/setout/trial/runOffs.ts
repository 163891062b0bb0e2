import { distance } from '../../geometry/point.ts';
import type { RunOff } from '../weigh/figures.ts';
import type { Boundary } from './boundary.ts';

/** Walls that turn by more than this to the setout stand aslant, and nobody takes their courses for crooked, degrees. */
const ASLANT_DEG = 12;

/** Less than this over its whole length nobody sees, mm. */
const UNSEEN_MM = 2;

/** How far every edge runs off the directions of the setout; those that keep to one are left out. */
export function runOffsOf({ owners, lines }: Boundary): RunOff[] {
  return owners.flatMap((owner, k): RunOff[] => {
    if (owner.kind !== 'edge' || owner.isReveal) return [];
    const own = lines.filter((line) => line.owner === k);
    const bent = own.length > 8;
    const mm = own.reduce((sum, { from, to }) => {
      const deg = (Math.atan2(to[1] - from[1], to[0] - from[0]) * 180) / Math.PI;
      const off = Math.abs(deg - 90 * Math.round(deg / 90));
      return off > ASLANT_DEG ? sum : sum + distance(from, to) * Math.sin((off * Math.PI) / 180);
    }, 0);
    return bent || mm < UNSEEN_MM ? [] : [{ owner, mm }];
  });
}
