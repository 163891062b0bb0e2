import { HAIR_MM } from '../tolerances.ts';
import { EndType, inflatePaths, JoinType } from 'clipper2-ts';
import { CLIP_UNITS_PER_MM } from './conventions.ts';
import { unionOfRings } from './clip.ts';
import type { Polygon } from './ring.ts';

/** Corners stay sharp up to this many times the distance: a square one does, a tip does not run out. */
const MITRE_LIMIT = 1.5;

/** How far round corners may stay within their arc, mm. */
const ARC_MM = HAIR_MM;

/** Polygons grown by a distance in mm and joined where they meet; corners sharp, or rounded so that nothing lies further off than that. */
export function grown(polygons: readonly Polygon[], byMm: number, corners: 'sharp' | 'round' = 'sharp'): Polygon[] {
  if (polygons.length === 0) return [];
  const units = CLIP_UNITS_PER_MM;
  const paths = polygons.flat().map((ring) => ring.map(([x, y]) => ({ x: Math.round(x * units), y: Math.round(y * units) })));
  const join = corners === 'sharp' ? JoinType.Miter : JoinType.Round;
  const rings = inflatePaths(paths, byMm * units, join, EndType.Polygon, MITRE_LIMIT, ARC_MM * units);
  return unionOfRings(rings.map((ring) => ring.map(({ x, y }) => [x / units, y / units] as const)));
}
