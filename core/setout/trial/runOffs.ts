import { distance } from '../../geometry/point.ts';
import type { RunOff } from '../tally/figures.ts';
import type { Boundary } from '../edges/boundary.ts';

/** Walls that turn by more than this to the setout stand aslant, and nobody takes their courses for crooked, degrees. */
const ASLANT_DEG = 12;

/** Less than this over its whole length nobody sees, mm. */
const UNSEEN_MM = 2;

/** The stretches of a curve turn by more than this from one to another, as a sine. */
const BENT_SINE = 0.01;

/** How far every edge runs off the directions of the setout; those that keep to one are left out. */
export function runOffsOf({ owners, lines }: Boundary): RunOff[] {
  return owners.flatMap((owner, k): RunOff[] => {
    if (owner.kind !== 'edge' || owner.isReveal) return [];
    const own = lines.filter((line) => line.owner === k);
    const turns = own.map(({ from, to }) => (Math.atan2(to[1] - from[1], to[0] - from[0]) * 180) / Math.PI);
    const bent = turns.some((deg) => Math.abs(Math.sin(((deg - turns[0]) * Math.PI) / 180)) > BENT_SINE);
    const mm = own.reduce((sum, { from, to }, n) => {
      const off = Math.abs(turns[n] - 90 * Math.round(turns[n] / 90));
      return off > ASLANT_DEG ? sum : sum + distance(from, to) * Math.sin((off * Math.PI) / 180);
    }, 0);
    return bent || mm < UNSEEN_MM ? [] : [{ owner, mm }];
  });
}
