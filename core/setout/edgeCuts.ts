import { dot, quarterTurn, subtract, unit, distance, type Point } from '../geometry/point.ts';
import { boxOf, type Polygon, type Ring } from '../geometry/ring.ts';
import type { Edge, EdgeRole } from '../surface/edge.ts';
import { tileRing, type CutTile, type Layout } from './layout.ts';

/** Clipping rounds to 0.1 micrometre; what lies this near a line, in mm, lies on it. */
const ON_LINE_MM = 0.01;

/** One tile cut by an edge. */
export interface EdgeCut {
  readonly tile: CutTile;
  /** What stays of the tile, square to the edge, at its deepest, mm. */
  readonly depthMm: number;
  /** The whole tile square to the edge, mm. */
  readonly fullMm: number;
  /** Where the cut begins and ends along the edge, from its start, mm. */
  readonly alongMm: readonly [number, number];
  readonly edge: Edge;
}

/** How one edge is met. A wall on both sides of a doorway is one edge. */
export interface EdgeSummary {
  readonly id: string;
  readonly role: EdgeRole;
  readonly lengthMm: number;
  /** The smallest of the pieces this edge cuts, square to it, mm; null when it cuts none. */
  readonly smallestCutMm: number | null;
  readonly largestCutMm: number | null;
  readonly cuts: readonly EdgeCut[];
}

/** A cut tile with what it takes to pass over it quickly: the circle round the whole tile. */
interface PlacedTile {
  readonly tile: CutTile;
  readonly ring: Ring;
  readonly centre: Point;
  readonly radiusMm: number;
}

/** Measures the pieces along every edge, square to it. A full piece is no cut. */
export function summariseEdges(edges: readonly Edge[], layouts: readonly Layout[]): EdgeSummary[] {
  const placed = layouts.flatMap((layout) => layout.cutTiles.map((tile) => placeTile(tile, layout)));
  const byId = new Map<string, Edge[]>();
  for (const edge of edges) byId.set(edge.id, [...(byId.get(edge.id) ?? []), edge]);
  return [...byId].map(([id, stretches]) => {
    const cuts = stretches.flatMap((edge) => cutsAlong(edge, placed));
    const depths = cuts.map((cut) => cut.depthMm);
    return {
      id,
      role: stretches[0].role,
      lengthMm: stretches.reduce((sum, edge) => sum + distance(edge.from, edge.to), 0),
      smallestCutMm: depths.length > 0 ? Math.min(...depths) : null,
      largestCutMm: depths.length > 0 ? Math.max(...depths) : null,
      cuts,
    };
  });
}

function placeTile(tile: CutTile, layout: Layout): PlacedTile {
  const ring = tileRing(layout, tile);
  const { minX, minY, maxX, maxY } = boxOf(ring);
  return { tile, ring, centre: [(minX + maxX) / 2, (minY + maxY) / 2], radiusMm: Math.hypot(maxX - minX, maxY - minY) / 2 };
}

function cutsAlong(edge: Edge, placed: readonly PlacedTile[]): EdgeCut[] {
  const along = unit(subtract(edge.to, edge.from));
  const inward = quarterTurn(along);
  const depthOf = (p: Point): number => (p[0] - edge.from[0]) * inward[0] + (p[1] - edge.from[1]) * inward[1] - edge.gapMm;
  const runOf = (p: Point): number => dot(subtract(p, edge.from), along);
  const edgeLength = distance(edge.from, edge.to);
  const found: EdgeCut[] = [];
  for (const { tile, ring, centre, radiusMm } of placed) {
    if (Math.abs(depthOf(centre)) > radiusMm) continue;
    const depths = ring.map(depthOf);
    const nearest = Math.min(...depths);
    const deepest = Math.max(...depths);
    if (nearest > -ON_LINE_MM || deepest < ON_LINE_MM) continue;
    const run = stretchOnLine(tile.polygons, depthOf, runOf);
    if (run === null || run[1] < ON_LINE_MM || run[0] > edgeLength - ON_LINE_MM) continue;
    found.push({ tile, depthMm: deepest, fullMm: deepest - nearest, alongMm: run, edge });
  }
  return found;
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
