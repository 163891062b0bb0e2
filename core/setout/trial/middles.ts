import { ROUNDING } from '../../tolerances.ts';
import { cross, dot, motion, unit, type Point } from '../../geometry/point.ts';
import { unitOf, type Repeat } from '../../pattern/repeat.ts';
import type { Ground } from '../fields/ground.ts';
import { spanOf, type Axis } from '../choice/axisPlacement.ts';

/** What the eye takes for the middle in one direction, against a repeat. */
export interface Middle {
  readonly fixtureId: string;
  readonly axis: Axis;
  /** How much it counts. */
  readonly weight: number;
  /** The middle itself, in the frame of the setout. */
  readonly at: Point;
  /** From one middle of a piece or a joint to the next, mm. */
  readonly stepMm: number;
  /** Where the repeat's origin would have to be in that direction; and so on every step, mm. */
  readonly atMm: number;
  /** How far off it the repeat lies with its origin at a place, mm. */
  readonly offMm: (x: number, y: number) => number;
}

/** What of a ground is seen as the middle, in the frame of the setout. */
export function middlesOf({ middles }: Ground, repeat: Repeat, turnDeg: number): Middle[] {
  const { unturn } = motion(turnDeg, [0, 0]);
  return middles.flatMap(({ fixtureId, centre, axes, weight }) =>
    axes.map((axis): Middle => {
      const k = axis === 'x' ? 0 : 1;
      const { low, high } = spanOf(unitOf(repeat), axis);
      const stepMm = mirrorStep(repeat, axis);
      const atMm = unturn(centre)[k] - (low + high) / 2;
      const offMm = (x: number, y: number): number => {
        const off = ((k === 0 ? x : y) - atMm) / stepMm;
        return Math.abs(off - Math.round(off)) * stepMm;
      };
      return { fixtureId, axis, weight, at: unturn(centre), stepMm, atMm, offMm };
    }),
  );
}

/** From one line that a pattern lies evenly about to the next, mm: the middle of a piece, then that of a joint. */
function mirrorStep(repeat: Repeat, axis: Axis): number {
  const k = axis === 'x' ? 0 : 1;
  const [a, b] = repeat.vectors;
  const straight = [a, b].some((v) => Math.abs(cross(unit(v), k === 0 ? [1, 0] : [0, 1])) < ROUNDING);
  const across = repeat.upright ? 0 : 1;
  const own = k === across ? Math.abs(dot(b, axisOf(k))) / repeat.coursesPerCell : Math.abs(dot(a, axisOf(k)));
  return Math.max(1, straight && own > 1 ? own / 2 : Math.max(Math.abs(a[k]), Math.abs(b[k])));
}

const axisOf = (k: 0 | 1): Point => (k === 0 ? [1, 0] : [0, 1]);
