import type { z } from 'zod';
import type { Circle } from '../../geometry/circleRing.ts';
import type { Ring } from '../../geometry/ring.ts';
import type { Issue } from '../../result.ts';

/** An edge that runs on a circle. */
export interface CurvedEdge {
  readonly edgeId: string;
  readonly circle: Circle;
  /** Whether the surface lies inside the circle. */
  readonly bulgesOut: boolean;
}

/**
 * The corners of a shape, counter-clockwise, and the name of the edge that starts at each. A curved
 * edge is a row of short stretches that share its name.
 */
export interface NamedRing {
  readonly ring: Ring;
  readonly edgeIds: readonly string[];
  readonly curves?: readonly CurvedEdge[];
  /** What edges are called where that is not their id. */
  readonly names?: Readonly<Record<string, string>>;
}

/** A way to measure a surface: what is entered, a first value, and the outline it makes. */
export interface ShapeKind<Shape extends { kind: string }> {
  readonly id: Shape['kind'];
  readonly schema: z.ZodType<Shape>;
  readonly defaults: Shape;
  /** What can't be true of the figures together; paths within the shape. */
  readonly check?: (shape: Shape) => readonly Issue[];
  readonly outline: (shape: Shape) => NamedRing;
}
