import { z } from 'zod';
import { add, distance, quarterTurn, scale, subtract, unit, type Point } from '../geometry/point.ts';
import { gapSchema, lengthSchema } from '../units/lengthSchema.ts';
import type { NamedRing } from './shapes/shapeKind.ts';

/** An opening in a wall whose floor is tiled to the threshold. */
export const doorwaySchema = z.strictObject({
  id: z.string().min(1).max(40),
  edge: z.string().describe('The edge the doorway opens'),
  fromStartMm: gapSchema.describe('From the corner where the edge starts (counter-clockwise) to the opening, mm'),
  widthMm: lengthSchema.describe('Clear width of the opening, mm'),
  depthMm: lengthSchema.describe('From the wall face to the middle of the threshold, mm'),
});

/** A doorway in one edge; its floor reaches `depthMm` into the wall. */
export type Doorway = z.infer<typeof doorwaySchema>;

/**
 * Opens doorways in an outline. Edge `bottom` with doorway `d1` becomes
 * `bottom`, `d1-start`, `d1`, `d1-end`, `bottom`:
 *
 *      ----+        +----   bottom
 *          |        |       reveals
 *          +--------+       d1, the threshold
 *
 * A doorway that names no edge of the outline is left out; checkSurface refuses it.
 */
export function openDoorways(outline: NamedRing, doorways: readonly Doorway[]): NamedRing {
  const corners: Point[] = [];
  const edgeIds: string[] = [];
  outline.ring.forEach((from, k) => {
    const to = outline.ring[(k + 1) % outline.ring.length];
    const id = outline.edgeIds[k];
    corners.push(from);
    edgeIds.push(id);
    const here = doorways.filter((d) => d.edge === id).sort((a, b) => a.fromStartMm - b.fromStartMm);
    for (const doorway of here) {
      corners.push(...recess(from, to, doorway));
      edgeIds.push(`${doorway.id}-start`, doorway.id, `${doorway.id}-end`, id);
    }
  });
  return withoutEmptyEdges({ ...outline, ring: corners, edgeIds });
}

function recess(from: Point, to: Point, doorway: Doorway): Point[] {
  const along = unit(subtract(to, from));
  const out = scale(quarterTurn(along), -doorway.depthMm);
  const start = add(from, scale(along, doorway.fromStartMm));
  const end = add(start, scale(along, doorway.widthMm));
  return [start, add(start, out), add(end, out), end];
}

function withoutEmptyEdges({ ring, edgeIds, ...rest }: NamedRing): NamedRing {
  const kept = [...ring.keys()].filter((k) => distance(ring[k], ring[(k + 1) % ring.length]) > 0);
  return { ...rest, ring: kept.map((k) => ring[k]), edgeIds: kept.map((k) => edgeIds[k]) };
}
