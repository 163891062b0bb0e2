import { add, motion, type Point } from '@azulejo/core/geometry/point';
import { openByMm } from '@azulejo/core/surface/reconcile/observations';
import { CLOSES_MM } from '@azulejo/core/surface/reconcile/reconcileWalls';
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
function shapeOfWalk(walls: readonly WalkedWall[], spread: boolean): WallsShape {
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

/** Degrees between -180 and 180. */
const turnOf = (deg: number): number => Math.round((deg - 360 * Math.round(deg / 360)) * 1e6) / 1e6;

/** Two ends within this of each other are one corner that was misread by so much, mm. */
const SAME_CORNER_MM = 150;

/**
 * The walls read so far, with the one whose length is typed and that no turn follows yet: it is taken
 * to turn as the first wall needs.
 */
export function wallsRead(walls: readonly WalkedWall[], typedMm: number | null): readonly WalkedWall[] {
  if (typedMm === null) return walls;
  const turned = walls.reduce((sum, { turnDeg }) => sum + turnDeg, 0);
  return [...walls, { lengthMm: typedMm, turnDeg: turnOf(-turned) }];
}

/** A walk that is back at its first corner, as a shape; what it fails to close by, mm, is spread. Null while it is not back. */
export function closedWalk(walls: readonly WalkedWall[]): { readonly shape: WallsShape; readonly openMm: number } | null {
  if (walls.length < 3) return null;
  const openMm = openByMm(shapeOfWalk(walls, false));
  return openMm < SAME_CORNER_MM ? { shape: shapeOfWalk(walls, openMm > CLOSES_MM), openMm } : null;
}

/** A walk closed by one more wall, straight from where it has come to; none of the readings is changed. */
export function closedStraight(walls: readonly WalkedWall[]): WallsShape | null {
  const closing = closingWall(walls);
  if (!closing) return null;
  const { lengthMm, turnBeforeDeg, turnAfterDeg } = closing;
  const last = { ...walls[walls.length - 1], turnDeg: turnBeforeDeg };
  return shapeOfWalk([...walls.slice(0, -1), last, { lengthMm, turnDeg: turnAfterDeg }], false);
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
  return { lengthMm: Math.round(lengthMm * 1e6) / 1e6, turnBeforeDeg: turnOf(homeDeg - heading), turnAfterDeg: turnOf(-homeDeg) };
}
