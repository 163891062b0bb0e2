import type { Point } from '../../geometry/point.ts';
import { boxOf, type Box, type Polygon, type Ring } from '../../geometry/ring.ts';
import type { Edge } from '../../surface/edge.ts';
import { mainEdges, type MainEdges } from '../../surface/sides.ts';
import type { Traced } from '../../surface/traceSurface.ts';

/** What a field is laid on: where tile may lie, and the edges its cuts are measured from. */
export interface Ground {
  readonly edges: readonly Edge[];
  /** The edge that ends the rows on each side. */
  readonly sides: MainEdges;
  /** What centre lines and full pieces are taken from. */
  readonly limits: Box;
  readonly region: readonly Polygon[];
  /** The straight sides of what stands in it, the field on their left. */
  readonly beside: readonly Edge[];
  /** Middles of what no tile can be slipped over: columns. */
  readonly standing: readonly Point[];
}

/** The ground of a whole surface. */
export const groundOf = (traced: Traced): Ground => ({
  edges: traced.edges,
  sides: traced.sides,
  limits: traced.limits,
  region: traced.region,
  beside: traced.fixtures
    .filter(({ fixture }) => !fixture.tiledUnder && fixture.outline.kind !== 'round')
    .flatMap(({ fixture, clearRing }) => edgesOf([...clearRing].reverse(), (k) => `${fixture.id}-${k}`)),
  standing: traced.fixtures.filter(({ fixture }) => fixture.kind === 'column' && !fixture.tiledUnder).map(({ place }) => place.centre),
});

/** The ground within a ring: its sides are edges without a gap. `role` says how each is seen. */
export function groundWithin(
  ring: Ring,
  region: readonly Polygon[],
  { beside, standing }: Pick<Ground, 'beside' | 'standing'>,
  like: (k: number) => Pick<Edge, 'id' | 'role'>,
): Ground {
  const edges = ring.map((from, k): Edge => ({ ...like(k), from, to: ring[(k + 1) % ring.length], gapMm: 0, isReveal: false }));
  return { edges, sides: mainEdges(edges, new Set()), limits: boxOf(ring), region, beside, standing };
}

const edgesOf = (ring: Ring, id: (k: number) => string): Edge[] =>
  ring.map((from, k) => ({ id: id(k), from, to: ring[(k + 1) % ring.length], role: 'wall', gapMm: 0, isReveal: false }));
