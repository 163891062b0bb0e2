import { ARC_SAGITTA_MM } from './conventions.ts';
import type { Circle } from './circleRing.ts';
import { add, distance, quarterTurn, scale, subtract, unit, type Point } from './point.ts';

/**
 * A circular arc over the chord from `from` to `to`. `riseMm` is how far it stands off the middle of
 * the chord: above zero to the right of the way the chord runs, which is outwards on an outline.
 *
 *        from ------------- to
 *             \   rise    /
 *               ---------
 */
export interface Arc {
  readonly from: Point;
  readonly to: Point;
  readonly riseMm: number;
}

/** The radius of an arc from its chord and its rise, mm: (c²/4 + s²) / 2s. */
export const radiusOfRise = (chordMm: number, riseMm: number): number => (chordMm ** 2 / 4 + riseMm ** 2) / (2 * Math.abs(riseMm));

/** The rise of the shorter arc of a radius over a chord, mm; NaN where the radius is under half the chord. */
export const riseOfRadius = (chordMm: number, radiusMm: number): number => radiusMm - Math.sqrt(radiusMm ** 2 - chordMm ** 2 / 4);

/** The circle an arc runs on. */
export function circleOfArc({ from, to, riseMm }: Arc): Circle {
  const chord = distance(from, to);
  const radiusMm = radiusOfRise(chord, riseMm);
  const outward = scale(quarterTurn(unit(subtract(to, from))), -Math.sign(riseMm));
  const middle: Point = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
  return { centre: add(middle, scale(outward, Math.abs(riseMm) - radiusMm)), radiusMm };
}

/** The angle an arc turns through, radians; above pi where the rise is over half the chord. */
export function sweepOfArc({ from, to, riseMm }: Arc): number {
  return 4 * Math.atan((2 * Math.abs(riseMm)) / distance(from, to));
}

/** Length along an arc, mm. */
export const lengthOfArc = (arc: Arc): number => sweepOfArc(arc) * circleOfArc(arc).radiusMm;

/** The corners between the two ends of an arc that stand for it within a sagitta, mm. */
export function pointsOfArc(arc: Arc, sagittaMm = ARC_SAGITTA_MM): Point[] {
  const { centre, radiusMm } = circleOfArc(arc);
  const sweep = sweepOfArc(arc) * Math.sign(arc.riseMm);
  const chords = Math.max(2, Math.ceil(Math.abs(sweep) / (2 * Math.acos(1 - Math.min(1, sagittaMm / radiusMm)))));
  const start = Math.atan2(arc.from[1] - centre[1], arc.from[0] - centre[0]);
  return Array.from({ length: chords - 1 }, (_, k) => {
    const angle = start + (sweep * (k + 1)) / chords;
    return [centre[0] + radiusMm * Math.cos(angle), centre[1] + radiusMm * Math.sin(angle)] as const;
  });
}
