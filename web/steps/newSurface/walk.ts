import { add, motion, type Point } from '@azulejo/core/geometry/point';
import type { Wall, WallsShape } from '@azulejo/core/surface/shapes/walls';

/** Walls entered so far: where each corner came to, the last one open. */
export interface Walked {
  readonly points: readonly Point[];
  readonly edgeIds: readonly string[];
}

/** One wall as it is entered while going round. */
export interface WalkedWall {
  readonly lengthMm: number;
  readonly turnDeg: number;
}

/** Where a walk has come to. */
export function walkTo(walls: readonly WalkedWall[]): Walked {
  let at: Point = [0, 0];
  let heading = 0;
  const points: Point[] = [at];
  for (const { lengthMm, turnDeg } of walls) {
    at = add(at, motion(heading, [0, 0]).turn([lengthMm, 0]));
    points.push(at);
    heading += turnDeg;
  }
  return { points, edgeIds: walls.map((_, k) => `w${k + 1}`) };
}

/** The walls of a walk as a shape; an opening is spread where the person said so. */
export function shapeOfWalk(walls: readonly WalkedWall[], spread: boolean): WallsShape {
  return {
    kind: 'walls',
    headingDeg: 0,
    checks: [],
    spread,
    walls: walls.map(({ lengthMm, turnDeg }, k): Wall => {
      return { id: `w${k + 1}`, name: '', lengthMm, twice: false, turnDeg, turnMeasured: false, curve: null };
    }),
  };
}

/**
 * The wall that would close a walk: its length, and the turns at both its ends; null before there are
 * two walls, or where the last corner is the first.
 */
export function closingWall(
  walls: readonly WalkedWall[],
): { readonly lengthMm: number; readonly turnBeforeDeg: number; readonly turnAfterDeg: number } | null {
  if (walls.length < 2) return null;
  const { points } = walkTo(walls);
  const last = points[points.length - 1];
  const lengthMm = Math.hypot(...last);
  if (lengthMm < 1) return null;
  const heading = walls.slice(0, -1).reduce((sum, { turnDeg }) => sum + turnDeg, 0);
  const homeDeg = (Math.atan2(-last[1], -last[0]) * 180) / Math.PI;
  const turn = (deg: number): number => Math.round((deg - 360 * Math.round(deg / 360)) * 1e6) / 1e6;
  return { lengthMm: Math.round(lengthMm * 1e6) / 1e6, turnBeforeDeg: turn(homeDeg - heading), turnAfterDeg: turn(-homeDeg) };
}
