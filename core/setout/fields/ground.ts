import type { Circle } from '../../geometry/circleRing.ts';
import type { Point } from '../../geometry/point.ts';
import { boxOf, type Box, type Polygon, type Ring } from '../../geometry/ring.ts';
import { VISIBILITY, type Edge } from '../../surface/edge.ts';
import { coverHidesCut, type Fixture } from '../../surface/fixture.ts';
import { mainEdges, type MainEdges } from '../../surface/sides.ts';
import type { FixtureKind } from '../../surface/fixtureCatalogue.ts';
import type { SurfaceKind } from '../../surface/surface.ts';
import type { Traced } from '../../surface/traceSurface.ts';
import type { Axis } from '../weigh/axisPlacement.ts';

/** What a field is laid on: where tile may lie, and the edges its cuts are measured from. */
export interface Ground {
  readonly edges: readonly Edge[];
  /** The edge that ends the rows on each side. */
  readonly sides: MainEdges;
  /** What centre lines and full pieces are taken from. */
  readonly limits: Box;
  /** What `limits` is the box of. */
  readonly frame: Ring;
  readonly region: readonly Polygon[];
  /** The straight sides of what stands in it, the field on their left. */
  readonly beside: readonly Edge[];
  /** Round things that come through, with their clearance. */
  readonly rounds: readonly (Circle & { readonly id: string })[];
  /** What the eye takes for the middle, and in which directions. */
  readonly middles: readonly { readonly fixtureId: string; readonly centre: Point; readonly axes: readonly Axis[] }[];
  /** Middles of what no tile can be slipped over: columns. */
  readonly standing: readonly Point[];
}

/** The straight sides of what stands in a surface, the field on their left. */
export const besideOf = ({ fixtures }: Pick<Traced, 'fixtures'>): Edge[] =>
  fixtures
    .filter(({ fixture }) => !fixture.tiledUnder && fixture.outline.kind !== 'round')
    .flatMap(({ fixture, clearRing }) =>
      edgesOf([...clearRing].reverse(), (k) => `${fixture.id}-${k}`, coverHidesCut(fixture) ? VISIBILITY.hidden : VISIBILITY.wall),
    );

/** What is taken for the middle unless it is said otherwise: what one looks at straight (trade practice). */
const MIDDLES: Readonly<Record<SurfaceKind, ReadonlySet<FixtureKind>>> = {
  wall: new Set(['window', 'nicheOpening']),
  countertop: new Set(['sink', 'hob']),
  floor: new Set(),
};

/** Whether the eye takes a fixture for the middle: as it was said, or as its kind usually is. */
export const isSeenAsMiddle = ({ seenAsMiddle, kind }: Pick<Fixture, 'seenAsMiddle' | 'kind'>, surface: SurfaceKind): boolean =>
  seenAsMiddle ?? MIDDLES[surface].has(kind);

/** The ground of a whole surface. */
export const groundOf = (traced: Traced, kind: SurfaceKind): Ground => ({
  edges: traced.edges,
  sides: traced.sides,
  limits: traced.limits,
  frame: traced.frame,
  region: traced.region,
  beside: besideOf(traced),
  rounds: traced.fixtures.flatMap(({ fixture, clearCircle }) =>
    clearCircle && !fixture.tiledUnder ? [{ ...clearCircle, id: fixture.id }] : [],
  ),
  middles: traced.fixtures
    .filter(({ fixture }) => isSeenAsMiddle(fixture, kind))
    .map(({ fixture, place }) => ({ fixtureId: fixture.id, centre: place.centre, axes: kind === 'floor' ? ['x', 'y'] : ['x'] })),
  standing: traced.fixtures.filter(({ fixture }) => fixture.kind === 'column' && !fixture.tiledUnder).map(({ place }) => place.centre),
});

/** The ground within a ring: its sides are edges without a gap. `role` says how each is seen. */
export function groundWithin(
  ring: Ring,
  region: readonly Polygon[],
  { beside, standing, rounds, middles }: Pick<Ground, 'beside' | 'standing' | 'rounds' | 'middles'>,
  like: (k: number) => Pick<Edge, 'id' | 'role'>,
): Ground {
  const edges = ring.map((from, k): Edge => {
    const { id, role } = like(k);
    return { id, role, seen: VISIBILITY[role], from, to: ring[(k + 1) % ring.length], gapMm: 0, isReveal: false };
  });
  return { edges, sides: mainEdges(edges, new Set()), limits: boxOf(ring), frame: ring, region, beside, rounds, middles, standing };
}

const edgesOf = (ring: Ring, id: (k: number) => string, seen: number): Edge[] =>
  ring.map((from, k) => ({ id: id(k), from, to: ring[(k + 1) % ring.length], role: 'wall', seen, gapMm: 0, isReveal: false }));
