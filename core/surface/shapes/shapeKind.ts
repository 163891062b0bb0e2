import type { z } from 'zod';
import type { Ring } from '../../geometry/ring.ts';

/** The corners of a shape, counter-clockwise, and the name of the edge that starts at each. */
export interface NamedRing {
  readonly ring: Ring;
  readonly edgeIds: readonly string[];
}

/** A way to measure a surface: what is entered, a first value, and the outline it makes. */
export interface ShapeKind<Shape extends { kind: string }> {
  readonly id: Shape['kind'];
  readonly schema: z.ZodType<Shape>;
  readonly defaults: Shape;
  readonly outline: (shape: Shape) => NamedRing;
}
