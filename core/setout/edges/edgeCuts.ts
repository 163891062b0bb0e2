import { ON_LINE_MM, ROUNDED_OFTEN, SEEN_MM } from '../../tolerances.ts';
import { dot, quarterTurn, subtract, unit, distance, type Point } from '../../geometry/point.ts';
import { boxOf, type Polygon, type Ring } from '../../geometry/ring.ts';
import type { Edge, EdgeRole } from '../../surface/edge.ts';
import { areMain } from '../../pattern/repeat.ts';
import { isSliver } from '../choice/sliver.ts';
import { tileRing, type CutTile, type Layout } from '../place/layout.ts';

/** An end narrower than this is a point, mm. */
const POINT_MM = SEEN_MM;

/** One piece of a tile cut by an edge. */
export interface EdgeCut {
  readonly tile: CutTile;
  /** Which piece of it, where it falls apart. */
  readonly part: number;
  /** Whether it is a tile that the pattern is made of, none that fills in between, such as a dot. */
  readonly isMain: boolean;
  /** What stays of the tile at the two ends of the cut, mm: along the tile's own sides, so that a tape can find it. */
  readonly endsMm: readonly [number, number];
  /** What the piece is judged by, mm: its narrower end along this edge; its wider one where it runs out to a point. */
  readonly thinnestMm: number;
  /** The whole tile that way, mm. */
  readonly fullMm: number;
  /** Where the cut begins and ends along the edge, from its start, mm. */
  readonly alongMm: readonly [number, number];
  readonly edge: Edge;
}

/** How one edge is met. A wall on both sides of a doorway is one edge. */
export interface EdgeSummary {
  readonly id: string;
  readonly role: EdgeRole;
  /** How much a look at it counts. */
  readonly seen: number;
  /** The reveal of a doorway. */
  readonly isReveal: boolean;
  readonly lengthMm: number;
  /** The smallest of the pieces this edge cuts, at either end of each but for points, mm; null when it cuts none. */
  readonly smallestCutMm: number | null;
  readonly largestCutMm: number | null;
  readonly cuts: readonly EdgeCut[];
}

/** A cut tile with what it takes to pass over it quickly: the circle round the whole tile. */
interface PlacedTile {
  readonly tile: CutTile;
  readonly isMain: boolean;
  readonly ring: Ring;
  readonly centre: Point;
  readonly radiusMm: number;
}

/** Measures the pieces along every edge. A full piece is no cut. */
export function summariseEdges(edges: readonly Edge[], layouts: readonly Layout[]): EdgeSummary[] {
  const placed = layouts.flatMap((layout) => {
    const main = areMain(layout.repeat);
    return layout.cutTiles.map((tile) => placeTile(tile, layout, main[tile.piece]));
  });
  const byId = new Map<string, Edge[]>();
  for (const edge of edges) byId.set(edge.id, [...(byId.get(edge.id) ?? []), edge]);
  return [...byId].map(([id, stretches]) => {
    const cuts = judged(stretches.flatMap((edge) => cutsAlong(edge, placed)));
    const depths = cuts.flatMap(widthsOf);
    return {
      id,
      role: stretches[0].role,
      seen: stretches[0].seen,
      isReveal: stretches[0].isReveal,
      lengthMm: stretches.reduce((sum, edge) => sum + distance(edge.from, edge.to), 0),
      smallestCutMm: depths.length > 0 ? Math.min(...depths) : null,
      largestCutMm: depths.length > 0 ? Math.max(...depths) : null,
      cuts,
    };
  });
}

/** A cut with all that is known of it but how the whole piece is judged. */
type PlainCut = Omit<EdgeCut, 'thinnestMm'>;

/** Judges every piece over all stretches of one edge that cut it: a round corner meets a piece in many. */
function judged(cuts: readonly PlainCut[]): EdgeCut[] {
  const byPiece = new Map<Polygon, number[]>();
  const pieceOf = ({ tile, part }: PlainCut): Polygon => tile.polygons[part];
  for (const cut of cuts) byPiece.set(pieceOf(cut), [...(byPiece.get(pieceOf(cut)) ?? []), ...cut.endsMm]);
  return cuts.map((cut) => {
    const ends = byPiece.get(pieceOf(cut)) ?? cut.endsMm;
    const narrow = Math.min(...ends);
    return { ...cut, thinnestMm: narrow < POINT_MM ? Math.max(...ends) : narrow };
  });
}

/** Whether an edge leaves a piece too narrow to look right. */
export const isThin = ({ thinnestMm, fullMm }: EdgeCut): boolean => isSliver(thinnestMm, fullMm);

/** The widths a cut leaves, mm; points have none. */
export const widthsOf = ({ endsMm, thinnestMm }: EdgeCut): number[] => [thinnestMm, ...endsMm.filter((mm) => mm >= thinnestMm)];

function placeTile(tile: CutTile, layout: Layout, isMain: boolean): PlacedTile {
  const ring = tileRing(layout, tile);
  const { minX, minY, maxX, maxY } = boxOf(ring);
  return {
    tile,
    isMain,
    ring,
    centre: [(minX + maxX) / 2, (minY + maxY) / 2],
    radiusMm: Math.hypot(maxX - minX, maxY - minY) / 2,
  };
}

function cutsAlong(edge: Edge, placed: readonly PlacedTile[]): PlainCut[] {
  const along = unit(subtract(edge.to, edge.from));
  const inward = quarterTurn(along);
  const depthOf = (p: Point): number => (p[0] - edge.from[0]) * inward[0] + (p[1] - edge.from[1]) * inward[1] - edge.endMm;
  const edgeLength = distance(edge.from, edge.to);
  const found: PlainCut[] = [];
  for (const { tile, isMain, ring, centre, radiusMm } of placed) {
    if (Math.abs(depthOf(centre)) > radiusMm) continue;
    const run = dot(subtract(centre, edge.from), along);
    if (run < -radiusMm || run > edgeLength + radiusMm) continue;
    tile.polygons.forEach((polygon, part) => {
      const cut = measureCut(ring, [polygon], { ...edge, along, inward, lengthMm: edgeLength });
      if (cut) found.push({ tile, part, isMain, ...cut, edge });
    });
  }
  return found;
}

/** A straight line that tiles end at, the field on its left; `endMm` inside of `from`. */
interface CuttingLine {
  readonly from: Point;
  readonly endMm: number;
  readonly along: Point;
  readonly inward: Point;
  readonly lengthMm: number;
}

/** What a line leaves of a tile of which some polygons are laid; null where it does not cut it. */
export function measureCut(
  ring: Ring,
  polygons: readonly Polygon[],
  { from, endMm, along, inward, lengthMm }: CuttingLine,
): Pick<EdgeCut, 'endsMm' | 'fullMm' | 'alongMm'> | null {
  const depthOf = (p: Point): number => (p[0] - from[0]) * inward[0] + (p[1] - from[1]) * inward[1] - endMm;
  const runOf = (p: Point): number => dot(subtract(p, from), along);
  const depths = ring.map(depthOf);
  const nearest = Math.min(...depths);
  const deepest = Math.max(...depths);
  if (nearest > -ON_LINE_MM || deepest < ON_LINE_MM) return null;
  const run = stretchOnLine(polygons, depthOf, runOf);
  if (run === null || run[1] < ON_LINE_MM || run[0] > lengthMm - ON_LINE_MM) return null;
  const onEdge = (mm: number): Point => [from[0] + along[0] * mm + inward[0] * endMm, from[1] + along[1] * mm + inward[1] * endMm];
  const ends = alongSides(ring, inward, [onEdge(run[0]), onEdge(run[1])], polygons) ?? squareTo(deepest, nearest, polygons, depthOf);
  return { ...ends, alongMm: [Math.max(0, run[0]), Math.min(lengthMm, run[1])] };
}

/** What stays of a tile at the two ends of a cut, and the whole tile that way, mm. */
type CutEnds = Pick<EdgeCut, 'endsMm' | 'fullMm'>;

/** What stays of any other outline: as deep as the piece goes, square to the edge. */
function squareTo(deepest: number, nearest: number, polygons: readonly Polygon[], depthOf: (p: Point) => number): CutEnds {
  const staysMm = Math.min(deepest, Math.max(...polygons.flatMap(([outer]) => outer.map(depthOf))));
  return { endsMm: [staysMm, staysMm], fullMm: deepest - nearest };
}

/** Sides of a tile whose turn to the edge is this near to square are measured along, as a sine. */
const ASLANT_SINE = 0.75;

/**
 * What stays of a rectangle at two places on the line that cuts it, measured along its own sides; null for other
 * outlines, which are measured square to the edge.
 */
function alongSides(ring: Ring, inward: Point, places: readonly [Point, Point], polygons: readonly Polygon[]): CutEnds | null {
  if (ring.length !== 4) return null;
  const sides = ring.map((from, k) => subtract(ring[(k + 1) % 4], from));
  if (Math.abs(dot(unit(sides[0]), unit(sides[1]))) > ROUNDED_OFTEN) return null;
  const way = sides.map(unit).reduce((a, b) => (dot(b, inward) > dot(a, inward) ? b : a));
  if (dot(way, inward) < ASLANT_SINE) return null;
  const far = Math.max(...ring.map((p) => dot(p, way)));
  const fullMm = far - Math.min(...ring.map((p) => dot(p, way)));
  const left = (p: Point): number => Math.min(fullMm, Math.max(0, far - dot(p, way)));
  const wholeMm = [left(places[0]), left(places[1])] as const;
  return { endsMm: cutOnTheFarSide(polygons, ring, way) ? acrossAt(polygons, places, way, wholeMm) : wholeMm, fullMm };
}

const furthest = (points: readonly Point[], way: Point): number => points.reduce((far, p) => Math.max(far, dot(p, way)), -Infinity);

/** Whether a piece was cut away all along its far side too, as behind a sink. */
const cutOnTheFarSide = (polygons: readonly Polygon[], ring: Ring, way: Point): boolean =>
  furthest(
    polygons.flatMap(([outer]) => outer),
    way,
  ) <
  furthest(ring, way) - ON_LINE_MM;

/**
 * How far a piece goes on from two places on its outline, mm; measured a hair inside, so that a corner counts.
 * What the whole tile would leave there where the outline gives no answer.
 */
function acrossAt(
  polygons: readonly Polygon[],
  [first, second]: readonly [Point, Point],
  way: Point,
  wholeMm: readonly [number, number],
): readonly [number, number] {
  const towards = (from: Point, to: Point): Point => {
    const share = Math.min(0.5, (2 * ON_LINE_MM) / Math.max(ON_LINE_MM, distance(from, to)));
    return [from[0] + (to[0] - from[0]) * share, from[1] + (to[1] - from[1]) * share];
  };
  return [
    Math.min(wholeMm[0], across(polygons, towards(first, second), way)),
    Math.min(wholeMm[1], across(polygons, towards(second, first), way)),
  ];
}

/** How far one can go from a place on the outline of a piece before leaving it, mm; infinite where it is not left. */
function across(polygons: readonly Polygon[], from: Point, way: Point): number {
  const side = quarterTurn(way);
  let nearest = Infinity;
  for (const ring of polygons.flat()) {
    ring.forEach((a, k) => {
      const b = ring[(k + 1) % ring.length];
      const [left, right] = [dot(subtract(a, from), side), dot(subtract(b, from), side)];
      if (left > 0 === right > 0) return;
      const share = left / (left - right);
      const far = dot(subtract(a, from), way) * (1 - share) + dot(subtract(b, from), way) * share;
      if (far > 2 * ON_LINE_MM) nearest = Math.min(nearest, far);
    });
  }
  return nearest;
}

/** The stretch of a piece's outline that lies on a line, as positions along it. */
function stretchOnLine(polygons: readonly Polygon[], depthOf: (p: Point) => number, runOf: (p: Point) => number): [number, number] | null {
  const ends: number[] = [];
  for (const ring of polygons.flat()) {
    ring.forEach((from, k) => {
      const to = ring[(k + 1) % ring.length];
      if (Math.abs(depthOf(from)) > ON_LINE_MM || Math.abs(depthOf(to)) > ON_LINE_MM) return;
      if (Math.abs(runOf(to) - runOf(from)) > ON_LINE_MM) ends.push(runOf(from), runOf(to));
    });
  }
  return ends.length === 0 ? null : [Math.min(...ends), Math.max(...ends)];
}
