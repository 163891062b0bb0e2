import { EndType, inflatePaths, JoinType } from 'clipper2-ts';
import { CLIP_UNITS_PER_MM } from './conventions.ts';
import { ringArea, type Ring } from './ring.ts';

/** Sharp corners stay sharp up to this many times the distance. */
const MITRE_LIMIT = 20;

/**
 * A ring drawn in on all sides by a distance in mm; arcs stay arcs of another radius. Where it falls
 * apart the largest part is taken. Throws when nothing is left.
 */
export function drawnIn(ring: Ring, byMm: number): Ring {
  const path = ring.map(([x, y]) => ({ x: Math.round(x * CLIP_UNITS_PER_MM), y: Math.round(y * CLIP_UNITS_PER_MM) }));
  const parts = inflatePaths([path], -byMm * CLIP_UNITS_PER_MM, JoinType.Miter, EndType.Polygon, MITRE_LIMIT)
    .map((part): Ring => part.map(({ x, y }) => [x / CLIP_UNITS_PER_MM, y / CLIP_UNITS_PER_MM]))
    .sort((a, b) => ringArea(b) - ringArea(a));
  if (parts.length === 0) throw new Error(`a ring drawn in by ${byMm} mm leaves nothing`);
  return parts[0];
}
