import { ROUNDING } from '../../tolerances.ts';
import { cross, distance, dot, quarterTurn, subtract, unit, type Point } from '../../geometry/point.ts';
import { isInside, type Ring } from '../../geometry/ring.ts';
import type { Edge } from '../../surface/edge.ts';
import type { FixtureKind } from '../../surface/fixtureCatalogue.ts';
import type { Traced } from '../../surface/traceSurface.ts';

/** A tape measure that puts one end of a line in its place. */
export type LineTape =
  /** Square to the line, from something that stands there: an edge, or a fixture. */
  | {
      readonly by: 'square';
      readonly from: 'edge' | 'fixture';
      readonly id: string;
      readonly mm: number;
      readonly at: Point;
      readonly foot: Point;
      /** How far in from the end of the line it is held, mm; 0 where it is held at the very end. */
      readonly heldMm: number;
    }
  /** A mark on the edge that the line meets: so far along it from its corner with the one before. */
  | { readonly by: 'along'; readonly edge: string; readonly fromEdge: string; readonly mm: number; readonly at: Point };

/** Where a line meets an edge. */
export interface Meeting {
  readonly edge: string;
  /** The edge before it, at whose corner the tape is hooked; the same edge where it bends. */
  readonly fromEdge: string;
  readonly mm: number;
  readonly at: Point;
}

/** A tape held more slantwise than this to what it is hooked to tells nothing, as a sine. */
const SQUARE_SINE = 0.09;

/** A tape that can't be held at the end of a line is held so far in, mm, or at a tenth of a short one. */
const OFF_END_MM = 150;

/** Where the line of an offset along its normal meets the edges, from its start to its end. */
export function meetings(edges: readonly Edge[], way: Point, offset: number): Meeting[] {
  const normal = quarterTurn(way);
  const side = (p: Point): number => dot(p, normal) - offset;
  return edges
    .flatMap((edge, k): Meeting[] => {
      const [a, b] = [side(edge.from), side(edge.to)];
      if (a <= 0 === b <= 0 || Math.abs(cross(subtract(edge.to, edge.from), way)) < ROUNDING) return [];
      const share = a / (a - b);
      const at: Point = [edge.from[0] + share * (edge.to[0] - edge.from[0]), edge.from[1] + share * (edge.to[1] - edge.from[1])];
      const before = edges[(k + edges.length - 1) % edges.length];
      return [{ edge: edge.id, fromEdge: before.id, mm: distance(edge.from, at), at }];
    })
    .sort((p, q) => dot(p.at, way) - dot(q.at, way));
}

/** The tapes at the two ends of a line: both from the same side where they can be, never from a wall that something hides. */
export function tapesTo(surface: Traced, low: Meeting, high: Meeting): readonly [LineTape, LineTape] {
  const way = unit(subtract(high.at, low.at));
  const normal = quarterTurn(way);
  const length = distance(low.at, high.at);
  const inset = Math.min(OFF_END_MM, length / 10);
  const ends = [
    { at: low.at, inward: way },
    { at: high.at, inward: [-way[0], -way[1]] as Point },
  ].map((end) => ({ ...end, free: freePlace(surface, end.at, end.inward, inset, length) }));
  // From the left or the bottom first.
  const back: Point = normal[0] > ROUNDING || (Math.abs(normal[0]) <= ROUNDING && normal[1] > 0) ? [-normal[0], -normal[1]] : normal;
  const held = ({ at, inward, free }: (typeof ends)[number], ray: Point): LineTape | null => {
    const tape = isWithinReach(surface, at, inward, ray) ? castTape(surface, at, ray, way, 0) : null;
    const other = castFurtherIn(surface, at, free, inward, ray, length);
    return worthOf(tape, surface) >= worthOf(other, surface) ? tape : other;
  };
  const options = [back, [-back[0], -back[1]] as const].map((ray) => ends.map((end) => held(end, ray)));
  const worth = (tapes: readonly (LineTape | null)[]): number => tapes.reduce((sum, tape) => sum + worthOf(tape, surface), 0);
  const [first, other] = worth(options[1]) > worth(options[0]) ? [options[1], options[0]] : options;
  const pick = (k: 0 | 1, meeting: Meeting): LineTape => first[k] ?? other[k] ?? { by: 'along', ...meeting };
  return [pick(0, low), pick(1, high)];
}

/** A tape held in from the end of a line, as far as it takes to meet something square; null where nothing is met as far as a third of it. */
function castFurtherIn(surface: Traced, end: Point, free: Point, inward: Point, ray: Point, lengthMm: number): LineTape | null {
  for (let mm = distance(end, free); ; mm += OFF_END_MM) {
    const tape = castTape(surface, placeOn(end, inward, mm), ray, inward, mm);
    if (tape || mm + OFF_END_MM > lengthMm / 3) return tape;
  }
}

/** A tape at the end of a line is held along the wall there, as near to it as this, mm. */
const BESIDE_WALL_MM = 1;

/** Whether a tape may be held at the end of a line: all the way to where it is hooked the surface goes on beside it. */
function isWithinReach(surface: Traced, at: Point, inward: Point, ray: Point): boolean {
  const hit = castTape(surface, at, ray, inward, 0);
  if (hit?.by !== 'square') return false;
  return [0.02, 0.25, 0.5, 0.75, 0.98].every((share) =>
    isInside(placeOn(placeOn(at, ray, share * hit.mm), inward, BESIDE_WALL_MM), [[surface.outline]]),
  );
}

const placeOn = (at: Point, way: Point, mm: number): Point => [at[0] + way[0] * mm, at[1] + way[1] * mm];

/** Places on a line are looked at this far apart, mm. */
const STEP_MM = 20;

/** The first place on a line from one of its ends that nothing stands on. */
function freePlace({ fixtures }: Traced, end: Point, way: Point, insetMm: number, lengthMm: number): Point {
  const standing = fixtures.filter(({ fixture }) => !fixture.tiledUnder && !COMES_LATER.has(fixture.kind)).map(({ ring }) => ring);
  for (let mm = insetMm; mm < lengthMm; mm += STEP_MM) {
    const at = placeOn(end, way, mm);
    if (!standing.some((ring) => isInside(at, [[ring]]))) return at;
  }
  return placeOn(end, way, insetMm);
}

/** A wall with a doorway in it has two stretches, one with two has three; a curve has many. */
const MOST_STRETCHES = 4;

/** An edge is better to measure from than a fixture, and one that can be reached better than one that is hidden. */
function worthOf(tape: LineTape | null, { edges }: Traced): number {
  if (tape?.by !== 'square') return 0;
  if (tape.from === 'fixture') return 1;
  const own = edges.filter(({ id }) => id === tape.id);
  const [edge] = own;
  // From a curve no tape is hooked twice alike.
  if (own.length > MOST_STRETCHES) return 0.6;
  return edge?.role === 'hidden' ? 1 : edge?.isReveal ? 0.5 : 2;
}

/** What hangs on the tiles is not there yet when lines are struck. */
const COMES_LATER: ReadonlySet<FixtureKind> = new Set(['shelf']);

/** What a tape meets first that is held square to the line; null where that is too slanting to be measured from. */
function castTape({ edges, fixtures }: Traced, at: Point, ray: Point, way: Point, heldMm: number): LineTape | null {
  let best: { readonly mm: number; readonly from: 'edge' | 'fixture'; readonly id: string; readonly run: Point } | null = null;
  const meet = (a: Point, b: Point, from: 'edge' | 'fixture', id: string): void => {
    const run = subtract(b, a);
    const det = cross(ray, run);
    if (Math.abs(det) < ROUNDING) return;
    const to = subtract(a, at);
    const mm = cross(to, run) / det;
    const share = cross(to, ray) / det;
    if (mm < 1 || share < -ROUNDING || share > 1 + ROUNDING || (best && best.mm <= mm)) return;
    best = { mm, from, id, run };
  };
  for (const edge of edges) {
    // The surface lies on the left of its edges: a tape is hooked from there, never round a corner.
    if (dot(ray, quarterTurn(subtract(edge.to, edge.from))) < 0) meet(edge.from, edge.to, 'edge', edge.id);
  }
  for (const { fixture, ring } of fixtures)
    if (!fixture.tiledUnder && !COMES_LATER.has(fixture.kind)) forSides(ring, (a, b) => meet(a, b, 'fixture', fixture.id));
  const hit = best as { mm: number; from: 'edge' | 'fixture'; id: string; run: Point } | null;
  if (!hit || Math.abs(cross(unit(hit.run), way)) > SQUARE_SINE) return null;
  return { by: 'square', heldMm, from: hit.from, id: hit.id, mm: hit.mm, at, foot: [at[0] + ray[0] * hit.mm, at[1] + ray[1] * hit.mm] };
}

function forSides(ring: Ring, visit: (a: Point, b: Point) => void): void {
  ring.forEach((a, k) => visit(a, ring[(k + 1) % ring.length]));
}
