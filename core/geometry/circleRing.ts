import { ARC_SAGITTA_MM } from './conventions.ts';
import type { Point } from './point.ts';
import type { Ring } from './ring.ts';

/** A circle: its centre and radius, mm. */
export interface Circle {
  readonly centre: Point;
  readonly radiusMm: number;
}

/**
 * A circle as a counter-clockwise ring of equal chords, grown by a hair so that its area is the
 * circle's own: pi * r². Radius and sagitta in mm, above zero.
 */
export function circleRing(centre: Point, radiusMm: number, sagittaMm = ARC_SAGITTA_MM): Ring {
  const chords = chordCount(radiusMm, sagittaMm);
  const angle = (2 * Math.PI) / chords;
  const grown = radiusMm * Math.sqrt(angle / Math.sin(angle));
  return Array.from(
    { length: chords },
    (_, k) => [centre[0] + grown * Math.cos(k * angle), centre[1] + grown * Math.sin(k * angle)] as const,
  );
}

/** Chords needed to stay within the allowed sagitta; a multiple of four, so that the extremes are corners. */
function chordCount(radiusMm: number, sagittaMm: number): number {
  const ratio = Math.min(1, sagittaMm / radiusMm);
  const count = Math.PI / Math.acos(1 - ratio);
  return Math.max(16, 4 * Math.ceil(count / 4));
}
