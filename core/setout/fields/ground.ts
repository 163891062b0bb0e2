import type { Circle } from '../../geometry/circleRing.ts';
import type { Point } from '../../geometry/point.ts';
import { boxOf, type Box, type Polygon, type Ring } from '../../geometry/ring.ts';
import type { CarriedLine } from '../../surface/carriedJoint.ts';
import { VISIBILITY, type Edge } from '../../surface/edge.ts';
import { coverHidesCut, type Fixture } from '../../surface/fixture.ts';
import { mainEdges, type MainEdges } from '../../surface/sides.ts';
import type { FixtureKind } from '../../surface/fixtureCatalogue.ts';
import type { SurfaceKind } from '../../surface/surface.ts';
import type { Traced } from '../../surface/traceSurface.ts';
import type { Axis } from '../choice/axisPlacement.ts';

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
  /** The straight sides of what stands in it and of joints that are carried through, the field on their left. */
  readonly beside: readonly Edge[];
  /** Round things that come through, with their clearance. */
  readonly rounds: readonly (Circle & { readonly id: string })[];
  /** What the eye takes for the middle. */
  readonly middles: readonly SeenMiddle[];
  /** Middles of what no tile can be slipped over: columns. */
  readonly standing: readonly Point[];
  /** Movement joints that are carried through it. */
  readonly carried: readonly CarriedLine[];
}

/** Something that the eye takes for the middle. */
export interface SeenMiddle {
  /** The fixture or the doorway. */
  readonly fixtureId: string;
  readonly centre: Point;
  /** The directions of the surface in which it is one. */
  readonly axes: readonly Axis[];
  /** How much it counts beside one that is looked at straight. */
  readonly weight: number;
}

/** The two sides of each joint that is carried through, the field on their left. */
const alongCarried = ({ carried }: Pick<Traced, 'carried'>): Edge[] =>
  carried.flatMap(({ joint: { id }, strip: [a, b, c, d] }) => {
    // In the midst of the floor: everybody sees it.
    const side = { role: 'wall', seen: VISIBILITY.exposed, gapMm: 0, endMm: 0, isReveal: false } as const;
    return [
      { ...side, id: `${id}-below`, from: b, to: a },
      { ...side, id: `${id}-above`, from: d, to: c },
    ];
  });

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

/** A floor is seen through its doorways first, from beyond them, but stood on afterwards (trade practice). */
const THROUGH_A_DOORWAY = 0.5;

/** Doorways as middles of the floor they open to, along the wall they stand in; all of them together count as one. */
function doorwaysOf({ edges }: Traced): SeenMiddle[] {
  const doorways = edges.filter(({ id }) => edges.some((edge) => edge.isReveal && edge.id === `${id}-start`));
  return doorways.map(({ id, from, to }): SeenMiddle => {
    const axis = Math.abs(to[0] - from[0]) > Math.abs(to[1] - from[1]) ? 'x' : 'y';
    const centre: Point = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
    return { fixtureId: id, centre, axes: [axis], weight: THROUGH_A_DOORWAY / doorways.length };
  });
}

/** The ground of a whole surface. */
export const groundOf = (traced: Traced, kind: SurfaceKind): Ground => ({
  edges: traced.edges,
  sides: traced.sides,
  limits: traced.limits,
  frame: traced.frame,
  region: traced.region,
  beside: [...besideOf(traced), ...alongCarried(traced)],
  rounds: traced.fixtures.flatMap(({ fixture, clearCircle }) =>
    clearCircle && !fixture.tiledUnder ? [{ ...clearCircle, id: fixture.id }] : [],
  ),
  middles: traced.fixtures
    .filter(({ fixture }) => isSeenAsMiddle(fixture, kind))
    .map(({ fixture, place }): SeenMiddle => {
      return { fixtureId: fixture.id, centre: place.centre, axes: kind === 'floor' ? ['x', 'y'] : ['x'], weight: 1 };
    })
    .concat(kind === 'floor' ? doorwaysOf(traced) : []),
  standing: traced.fixtures.filter(({ fixture }) => fixture.kind === 'column' && !fixture.tiledUnder).map(({ place }) => place.centre),
  carried: traced.carried,
});

/** The ground within a ring: its sides are edges without a gap. `role` says how each is seen. */
export function groundWithin(
  ring: Ring,
  region: readonly Polygon[],
  { beside, standing, rounds, middles, carried }: Pick<Ground, 'beside' | 'standing' | 'rounds' | 'middles' | 'carried'>,
  like: (k: number) => Pick<Edge, 'id' | 'role'>,
): Ground {
  const edges = ring.map((from, k): Edge => {
    const { id, role } = like(k);
    return { id, role, seen: VISIBILITY[role], from, to: ring[(k + 1) % ring.length], gapMm: 0, endMm: 0, isReveal: false };
  });
  return {
    edges,
    sides: mainEdges(edges, new Set()),
    limits: boxOf(ring),
    frame: ring,
    region,
    beside,
    rounds,
    middles,
    standing,
    carried,
  };
}

const edgesOf = (ring: Ring, id: (k: number) => string, seen: number): Edge[] =>
  ring.map((from, k) => ({ id: id(k), from, to: ring[(k + 1) % ring.length], role: 'wall', seen, gapMm: 0, endMm: 0, isReveal: false }));
