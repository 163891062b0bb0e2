import { z } from 'zod';
import { distance, type Point } from '../../geometry/point.ts';
import type { Issue } from '../../result.ts';
import { lengthSchema } from '../../units/lengthSchema.ts';
import { checkCurve, circleOfCurve, curveSchema, pointsOfCurve } from '../curve.ts';
import { checkWalls } from '../reconcile/checkWalls.ts';
import { cornersOf } from '../reconcile/reconcileWalls.ts';
import { wallTitle } from '../reconcile/wallTitle.ts';
import type { CurvedEdge, NamedRing, ShapeKind } from './shapeKind.ts';

/** Walls one surface may have. */
export const MOST_WALLS = 400;

const wallSchema = z.strictObject({
  id: z.string().min(1).max(40),
  name: z.string().trim().max(40).default('').describe('What it is called on site; its two corners where empty'),
  lengthMm: lengthSchema.describe('From corner to corner in a straight line, mm'),
  twice: z.boolean().default(false).describe('Measured twice with the same figure: counts for more'),
  turnDeg: z.number().min(-180).max(180).describe('Turn to the next wall, degrees; 90 to the left, -90 to the right'),
  turnMeasured: z.boolean().default(false).describe('Whether the turn was taken with an instrument, not sketched'),
  curve: curveSchema.nullable().default(null).describe('How the edge leaves the straight line; null when it does not'),
});

const checkSchema = z.strictObject({
  id: z.string().min(1).max(40),
  from: z.string().describe('The wall that starts at the one corner'),
  to: z.string().describe('The wall that starts at the other corner'),
  mm: lengthSchema.describe('Between the two corners in a straight line, mm'),
  twice: z.boolean().default(false),
});

const schema = z.strictObject({
  kind: z.literal('walls'),
  headingDeg: z.number().min(-360).max(360).default(0).describe('Which way the first wall runs, degrees'),
  walls: z.array(wallSchema).min(2).max(MOST_WALLS).describe('Round the surface, which lies on the left'),
  checks: z.array(checkSchema).max(200).default([]).describe('Diagonals, and walls measured again'),
  spread: z.boolean().default(false).describe('Spread what the walls fail to close by over the corners'),
});

/** One wall of a surface that is measured wall by wall. */
export type Wall = z.infer<typeof wallSchema>;

/** A distance between two corners that holds the walls to account. */
export type Check = z.infer<typeof checkSchema>;

/** A surface that is measured wall by wall. */
export type WallsShape = z.infer<typeof schema>;

/** Any outline: walls with turns, diagonals that make them true, edges that curve. */
export const walls = {
  id: 'walls',
  schema,
  defaults: {
    kind: 'walls',
    headingDeg: 0,
    walls: [
      { id: 'w1', name: '', lengthMm: 3600, twice: false, turnDeg: 90, turnMeasured: false, curve: null },
      { id: 'w2', name: '', lengthMm: 2700, twice: false, turnDeg: 90, turnMeasured: false, curve: null },
      { id: 'w3', name: '', lengthMm: 3600, twice: false, turnDeg: 90, turnMeasured: false, curve: null },
      { id: 'w4', name: '', lengthMm: 2700, twice: false, turnDeg: 90, turnMeasured: false, curve: null },
    ],
    checks: [],
    spread: false,
  },
  check: (shape) => [...checkWalls(shape), ...checkCurves(shape)],
  outline: (shape) => traceWalls(shape),
} as const satisfies ShapeKind<WallsShape>;

function checkCurves(shape: WallsShape): Issue[] {
  return shape.walls.flatMap(({ curve, lengthMm }, k) =>
    curve ? checkCurve(curve, lengthMm).map((found) => ({ ...found, path: ['walls', k, 'curve', ...found.path] })) : [],
  );
}

function traceWalls(shape: WallsShape): NamedRing {
  const corners = cornersOf(shape);
  const ring: Point[] = [];
  const edgeIds: string[] = [];
  const curves: CurvedEdge[] = [];
  shape.walls.forEach(({ id, curve }, k) => {
    const [from, to] = [corners[k], corners[(k + 1) % corners.length]];
    const between = curve && distance(from, to) > 0 ? pointsOfCurve(curve, from, to) : [];
    ring.push(from, ...between);
    for (let m = 0; m <= between.length; m++) edgeIds.push(id);
    const circle = curve ? circleOfCurve(curve, from, to) : null;
    if (circle && curve && curve.by !== 'offsets') curves.push({ edgeId: id, circle, bulgesOut: curve.bulges === 'out' });
  });
  return { ring, edgeIds, curves, names: Object.fromEntries(shape.walls.map(({ id }) => [id, wallTitle(shape, id)])) };
}
