import { cross, distance, dot, quarterTurn, subtract, unit, type Point } from '../../geometry/point.ts';
import { cellShift, type Repeat } from '../../pattern/repeat.ts';
import type { Edge } from '../../surface/edge.ts';
import type { Traced } from '../../surface/traceSurface.ts';
import type { Layout } from '../place/layout.ts';

/** Where a line meets an edge. */
export interface LineEnd {
  readonly edge: string;
  /** The edge before it, at whose corner the tape is hooked; the same edge where it bends. */
  readonly fromEdge: string;
  /** From that corner along the edge, mm. */
  readonly mm: number;
  readonly at: Point;
}

/** A line to strike that runs slantwise, as two marks on the edges it meets. */
export interface SlantingLine {
  /** How it runs, degrees from level, from 0 to under 180. */
  readonly deg: number;
  readonly ends: readonly [LineEnd, LineEnd];
}

/** Whether a pattern is turned so that its courses run along no axis. */
export const isSlanting = ({ turnedDeg = 0 }: Repeat): boolean => Math.abs(turnedDeg / 90 - Math.round(turnedDeg / 90)) > 1e-6;

/**
 * The two lines nearest the middle of the field that pieces of a turned pattern are laid to: one along the
 * courses, one square to it. None where the pattern is not turned.
 */
export function slantingLines(layout: Layout, surface: Pick<Traced, 'edges' | 'limits'>): SlantingLine[] {
  const { repeat, placement } = layout;
  if (!isSlanting(repeat)) return [];
  const along = unit(repeat.vectors[0]);
  return [along, quarterTurn(along)].flatMap((way) => {
    const normal = quarterTurn(way);
    const low = Math.min(...repeat.pieces[0].ring.map((p) => dot(p, normal)));
    const start = dot(placement.origin, normal) + low;
    const period = stepAlong(repeat, normal);
    const { minX, minY, maxX, maxY } = surface.limits;
    const middle = dot([(minX + maxX) / 2, (minY + maxY) / 2], normal);
    const offset = start + Math.round((middle - start) / period) * period;
    const ends = meetings(surface.edges, way, offset);
    return ends.length < 2 ? [] : [{ deg: degOf(way), ends: [ends[0], ends[ends.length - 1]] as const }];
  });
}

/** From one line of pieces to the next along a direction, mm: the smallest step of the repeat that way. */
function stepAlong(repeat: Repeat, normal: Point): number {
  const steps = [cellShift(repeat, 1, 0), cellShift(repeat, 0, 1)].map((v) => Math.abs(dot(v, normal))).filter((mm) => mm > 1);
  return Math.min(...steps);
}

const degOf = ([x, y]: Point): number => ((Math.atan2(y, x) * 180) / Math.PI + 360) % 180;

/** Where the line of an offset along its normal meets the edges, from its start to its end. */
function meetings(edges: readonly Edge[], way: Point, offset: number): LineEnd[] {
  const normal = quarterTurn(way);
  const side = (p: Point): number => dot(p, normal) - offset;
  return edges
    .flatMap((edge, k): LineEnd[] => {
      const [a, b] = [side(edge.from), side(edge.to)];
      if (a <= 0 === b <= 0 || Math.abs(cross(subtract(edge.to, edge.from), way)) < 1e-9) return [];
      const share = a / (a - b);
      const at: Point = [edge.from[0] + share * (edge.to[0] - edge.from[0]), edge.from[1] + share * (edge.to[1] - edge.from[1])];
      const before = edges[(k + edges.length - 1) % edges.length];
      return [{ edge: edge.id, fromEdge: before.id, mm: distance(edge.from, at), at }];
    })
    .sort((p, q) => dot(p.at, way) - dot(q.at, way));
}
