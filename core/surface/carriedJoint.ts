import { z } from 'zod';
import { add, distance, dot, quarterTurn, scale, subtract, unit, type Point } from '../geometry/point.ts';
import { boxOf, type Ring } from '../geometry/ring.ts';
import { gapSchema } from '../units/lengthSchema.ts';
import { lineOfEdge } from './fixture.ts';
import type { NamedRing } from './shapes/shapeKind.ts';

/** What lies under the tiles there: a joint of the substrate that moves, a crack, a change of substrate; or nothing, where a floor is parted into bays. */
export const CARRIED_KINDS = ['movement', 'crack', 'change', 'bay'] as const;

/** What closes it: sealant, or a movement profile set into the bed. */
export const CARRIED_FILLS = ['sealant', 'profile'] as const;

/** How wide a movement joint is unless it is said otherwise, mm: 5 to 8 is usual indoors (trade practice; the standard in force decides). */
export const CARRIED_MM = 5;

/** A line of the substrate that is carried up through the tiles as a movement joint, from side to side of the surface. */
export const carriedJointSchema = z.strictObject({
  id: z.string().min(1).max(40),
  kind: z.enum(CARRIED_KINDS).default('movement'),
  edge: z.string().describe('The edge it is measured from'),
  fromStartMm: gapSchema.describe('Square in from where that edge starts (counter-clockwise) to the middle of the joint, mm'),
  fromEndMm: gapSchema.describe('The same from where that edge ends; alike where it runs along with the edge, mm'),
  widthMm: gapSchema
    .pipe(z.number().min(2).max(40))
    .default(CARRIED_MM)
    .describe('From tile to tile, as wide as the tile joint at least, mm'),
  fill: z.enum(CARRIED_FILLS).default('sealant'),
});

/** A line that is carried through; see the schema. */
export type CarriedJoint = z.infer<typeof carriedJointSchema>;

/** How many a surface may have. */
export const MOST_CARRIED = 20;

/** A joint where it lies: a straight line that runs on beyond the surface at both ends, mm. */
export interface CarriedLine {
  readonly joint: CarriedJoint;
  /** A place on it, and the way it runs, length one. */
  readonly at: Point;
  readonly way: Point;
  /** What is kept clear of tiles, counter-clockwise. */
  readonly strip: Ring;
}

/** Where a joint lies on an outline; null where it names no edge of it. Sound measures on two ends of one edge always make a line. */
export function carriedLine({ ring, edgeIds }: NamedRing, joint: CarriedJoint): CarriedLine | null {
  const line = lineOfEdge(ring, edgeIds, joint.edge);
  if (!line || distance(line.from, line.to) === 0) return null;
  const inward = quarterTurn(unit(subtract(line.to, line.from)));
  const from = add(line.from, scale(inward, joint.fromStartMm));
  const to = add(line.to, scale(inward, joint.fromEndMm));
  const way = unit(subtract(to, from));
  const box = boxOf([...ring, from]);
  const far = Math.hypot(box.maxX - box.minX, box.maxY - box.minY) + joint.widthMm;
  const half = scale(quarterTurn(way), joint.widthMm / 2);
  const [low, high] = [add(from, scale(way, -far)), add(from, scale(way, far))];
  return { joint, at: from, way, strip: [subtract(low, half), subtract(high, half), add(high, half), add(low, half)] };
}

/** How far a place lies from the middle of a joint, to the left of the way it runs, mm. */
export const offLine = ({ at, way }: Pick<CarriedLine, 'at' | 'way'>, p: Point): number => dot(subtract(p, at), quarterTurn(way));
