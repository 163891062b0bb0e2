import { distance, subtract, type Point } from '../../geometry/point.ts';
import type { Curve } from '../curve.ts';
import { cornersOf } from '../reconcile/reconcileWalls.ts';
import { outlineOf, type Shape } from './registry.ts';
import type { Wall, WallsShape } from './walls.ts';

/** Any shape as walls with turns, the same outline: to be measured wall by wall, or bent by hand. */
export function asWalls(shape: Shape): WallsShape {
  if (shape.kind === 'walls') return shape;
  const { ring, edgeIds } = outlineOf(shape);
  return wallsThrough(
    ring,
    edgeIds.map((id) => ({ id, name: '', curve: null })),
  );
}

/** What a wall keeps when its corners move. */
type KeptWall = Pick<Wall, 'id' | 'name' | 'curve'>;

/** Walls through given corners, counter-clockwise; wall k starts at corner k. */
export function wallsThrough(corners: readonly Point[], kept: readonly KeptWall[]): WallsShape {
  const count = corners.length;
  const headings = corners.map((from, k) => {
    const [x, y] = subtract(corners[(k + 1) % count], from);
    return (Math.atan2(y, x) * 180) / Math.PI;
  });
  const walls = corners.map((from, k): Wall => {
    const turnDeg = tidyTurn(headings[(k + 1) % count] - headings[k]);
    return { ...kept[k], lengthMm: tidy(distance(from, corners[(k + 1) % count])), twice: false, turnDeg, turnMeasured: false };
  });
  return { kind: 'walls', headingDeg: tidy(headings[0]), walls, checks: [], spread: false };
}

/** The same walls with one corner put elsewhere; checks are dropped, as they were measured to the old one. */
export function moveCorner(shape: WallsShape, corner: number, to: Point): WallsShape {
  const corners = cornersOf(shape).map((at, k) => (k === corner ? to : at));
  return wallsThrough(corners, shape.walls.map(keep));
}

/** The same walls with one more corner in the middle of a wall. */
export function addCorner(shape: WallsShape, wall: number, id: string): WallsShape {
  const corners = cornersOf(shape);
  const [from, to] = [corners[wall], corners[(wall + 1) % corners.length]];
  const middle: Point = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
  const kept = shape.walls.map(keep);
  const straight = { ...kept[wall], curve: null };
  return wallsThrough(
    [...corners.slice(0, wall + 1), middle, ...corners.slice(wall + 1)],
    [...kept.slice(0, wall), straight, { id, name: '', curve: null }, ...kept.slice(wall + 1)],
  );
}

/** The same walls without one corner: the two walls that met there become one. */
export function removeCorner(shape: WallsShape, corner: number): WallsShape {
  const without = <T>(list: readonly T[]): T[] => list.filter((_, k) => k !== corner);
  return wallsThrough(without(cornersOf(shape)), without(shape.walls.map(keep)));
}

const keep = ({ id, name, curve }: Wall): { id: string; name: string; curve: Curve | null } => ({ id, name, curve });

/** Takes the dust of floating figures off: a millionth of a millimetre or a degree. */
const tidy = (value: number): number => Math.round(value * 1e6) / 1e6;

const tidyTurn = (deg: number): number => {
  const turn = tidy(deg - 360 * Math.round(deg / 360));
  return turn === -180 ? 180 : turn;
};
