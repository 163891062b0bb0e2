import { z } from 'zod';
import { circleOfArc, pointsOfArc, radiusOfRise, riseOfRadius, type Arc } from '../geometry/arc.ts';
import type { Circle } from '../geometry/circleRing.ts';
import { add, distance, quarterTurn, scale, subtract, unit, type Point } from '../geometry/point.ts';
import { issue, type Issue } from '../result.ts';
import { gapSchema, lengthSchema, offsetSchema } from '../units/lengthSchema.ts';
import { fitOffsets } from './fitOffsets.ts';

const sideSchema = z.enum(['out', 'in']).describe('Whether the edge bulges away from the surface or into it');

/** How an edge that is not straight was measured, against the straight line between its corners. */
export const curveSchema = z.discriminatedUnion('by', [
  z.strictObject({ by: z.literal('radius'), radiusMm: lengthSchema, bulges: sideSchema }),
  z.strictObject({ by: z.literal('rise'), riseMm: lengthSchema.describe('Off the middle of the straight line, mm'), bulges: sideSchema }),
  z.strictObject({
    by: z.literal('offsets'),
    offsets: z
      .array(
        z.strictObject({
          alongMm: gapSchema.describe('Along the straight line from where the edge starts, mm'),
          outMm: offsetSchema.describe('Square to it, away from the surface, mm'),
        }),
      )
      .min(1)
      .max(60),
  }),
]);

/** A measured curve. */
export type Curve = z.infer<typeof curveSchema>;

/** The points of a fitted curve are no further apart than this, mm. */
const STEP_MM = 10;

/** What can't be true of a curve over its chord (mm); paths within the curve. */
export function checkCurve(curve: Curve, chordMm: number): Issue[] {
  switch (curve.by) {
    case 'radius':
      return curve.radiusMm < chordMm / 2
        ? [issue('curve/radius-too-small', ['radiusMm'], { radiusMm: curve.radiusMm, leastMm: chordMm / 2, chordMm })]
        : [];
    case 'rise':
      return curve.riseMm > 10 * chordMm
        ? [issue('curve/rise-too-large', ['riseMm'], { riseMm: curve.riseMm, mostMm: 10 * chordMm, chordMm })]
        : [];
    case 'offsets':
      return curve.offsets.flatMap(({ alongMm }, k) => {
        if (alongMm <= 0 || alongMm >= chordMm) return [issue('curve/offset-outside', ['offsets', k, 'alongMm'], { alongMm, chordMm })];
        return k > 0 && alongMm <= curve.offsets[k - 1].alongMm
          ? [issue('curve/offsets-out-of-order', ['offsets', k, 'alongMm'], { alongMm, beforeMm: curve.offsets[k - 1].alongMm })]
          : [];
      });
  }
}

/** The arc of a curve by radius or rise over the chord between two corners; null for one by offsets. */
export function arcOf(curve: Curve, from: Point, to: Point): Arc | null {
  if (curve.by === 'offsets') return null;
  const chordMm = distance(from, to);
  const rise = curve.by === 'rise' ? curve.riseMm : riseOfRadius(chordMm, Math.max(curve.radiusMm, chordMm / 2));
  return { from, to, riseMm: curve.bulges === 'out' ? rise : -rise };
}

/** The corners between the ends of a curve. */
export function pointsOfCurve(curve: Curve, from: Point, to: Point): Point[] {
  const arc = arcOf(curve, from, to);
  return arc ? pointsOfArc(arc) : curve.by === 'offsets' ? pointsOfOffsets(curve.offsets, from, to) : [];
}

function pointsOfOffsets(offsets: Extract<Curve, { by: 'offsets' }>['offsets'], from: Point, to: Point): Point[] {
  const chordMm = distance(from, to);
  const along = unit(subtract(to, from));
  const outward = scale(quarterTurn(along), -1);
  const { at } = fitOffsets(offsets, chordMm);
  const steps = Math.max(8, Math.ceil(chordMm / STEP_MM));
  return Array.from({ length: steps - 1 }, (_, k) => {
    const run = (chordMm * (k + 1)) / steps;
    return add(add(from, scale(along, run)), scale(outward, at(run)));
  });
}

/** The circle of a curve by radius or rise. */
export function circleOfCurve(curve: Curve, from: Point, to: Point): Circle | null {
  const arc = arcOf(curve, from, to);
  return arc ? circleOfArc(arc) : null;
}

/** The other figure of an arc over its chord: the rise of a radius, the radius of a rise, mm. */
export const otherFigure = (curve: Exclude<Curve, { by: 'offsets' }>, chordMm: number): number =>
  curve.by === 'radius' ? riseOfRadius(chordMm, curve.radiusMm) : radiusOfRise(chordMm, curve.riseMm);
