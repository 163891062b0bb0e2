import { TOLERANCE_MM } from '../../geometry/conventions.ts';
import { difference, intersect } from '../../geometry/clip.ts';
import { leftOfLine } from '../../geometry/leftOfLine.ts';
import { add, distance, dot, quarterTurn, scale, subtract, unit, type Point } from '../../geometry/point.ts';
import { tidyRing, type Polygon, type Ring } from '../../geometry/ring.ts';
import type { Border } from '../../pattern/edging.ts';
import type { EdgeRole } from '../../surface/edge.ts';
import { groundWithin, type Ground } from './ground.ts';

/** One side of a border: where it lies, and the line its tiles run along, the field on its left. */
export interface BorderSide {
  readonly region: readonly Polygon[];
  readonly from: Point;
  readonly to: Point;
}

/** A ground parted into a border and what lies within it. */
export interface Bordered {
  readonly within: Ground;
  readonly sides: readonly BorderSide[];
}

/**
 * Parts a ground into a border and the rest. `widthMm` is the border's own width. Returns null where the
 * sides are too short for it: the border would meet itself.
 *
 *      +--------------+
 *      |\____________/|     mitred: cut to the bisector of the corner
 *      ||            ||
 */
export function splitBorder(ring: Ring, ground: Ground, border: Border, widthMm: number, jointMm: number): Bordered | null {
  const outline = tidyRing(ring);
  const at = (mm: number): Ring | null => ringAt(outline, mm);
  const [outer, inner, within] = [at(border.fromEdgeMm), at(border.fromEdgeMm + widthMm), at(border.fromEdgeMm + widthMm + jointMm)];
  if (!outer || !inner || !within) return null;
  const sides = outer.map((from, k): BorderSide => {
    const next = (k + 1) % outer.length;
    const strip = border.corners === 'mitred' ? mitred(outer, inner, k, jointMm) : butted(outer, inner, k, jointMm);
    return { region: strip.length < 3 ? [] : intersect([[strip]], ground.region), from, to: outer[next] };
  });
  // Tiles of the field fill what lies outside the border too: a margin at the edge, the floor of a doorway.
  const margin = at(border.fromEdgeMm - jointMm);
  const outside = margin ? difference(ground.region, [[margin]]) : [];
  const region = [...intersect([[within]], ground.region), ...outside];
  if (border.fromEdgeMm > jointMm) return { sides, within: { ...ground, region } };
  const like = (k: number) => nearestEdge(ground, outline[k], outline[(k + 1) % outline.length]);
  return { sides, within: groundWithin(within, region, ground.beside, like) };
}

/** The outline drawn in by a distance, or out below zero, corner for corner; null where an edge is used up. */
function ringAt(outline: Ring, mm: number): Ring | null {
  const count = outline.length;
  const lines = outline.map((from, k) => {
    const way = unit(subtract(outline[(k + 1) % count], from));
    return { way, from: add(from, scale(quarterTurn(way), mm)) };
  });
  const corners = lines.map((line, k) => meet(lines[(k + count - 1) % count], line));
  if (corners.some((corner) => corner === null)) return null;
  const ring = corners as Ring;
  const usedUp = lines.some(({ way }, k) => dot(subtract(ring[(k + 1) % count], ring[k]), way) <= TOLERANCE_MM);
  return usedUp ? null : ring;
}

/** One side cut to the bisectors of its corners, half a joint off each. */
function mitred(outer: Ring, inner: Ring, k: number, jointMm: number): Ring {
  const next = (k + 1) % outer.length;
  const quad: Ring = [outer[k], outer[next], inner[next], inner[k]];
  const shifted = (from: Point, to: Point): Ring => {
    const off = scale(quarterTurn(unit(subtract(to, from))), jointMm / 2);
    return [add(from, off), add(to, off)];
  };
  const [endFrom, endTo] = shifted(outer[next], inner[next]);
  const [startFrom, startTo] = shifted(inner[k], outer[k]);
  return leftOfLine(leftOfLine(quad, endFrom, endTo), startFrom, startTo);
}

/** One side that runs through to the outer line at its start and stops a joint short of the next at its end. */
function butted(outer: Ring, inner: Ring, k: number, jointMm: number): Ring {
  const count = outer.length;
  const [next, before] = [(k + 1) % count, (k + count - 1) % count];
  const along = (from: Point, to: Point): Point => unit(subtract(to, from));
  const way = along(outer[k], outer[next]);
  const lineIn = { from: inner[k], way };
  // At its start it takes the whole corner, up to the outer line of the side before it.
  const start = meet(lineIn, { from: outer[k], way: along(outer[before], outer[k]) });
  // At its end it stops a joint short of the inner line of the side after it.
  const after = along(outer[next], outer[(next + 1) % count]);
  const short = { from: add(inner[next], scale(quarterTurn(after), jointMm)), way: after };
  const [endOut, endIn] = [meet({ from: outer[k], way }, short), meet(lineIn, short)];
  return start && endOut && endIn ? [outer[k], endOut, endIn, start] : mitred(outer, inner, k, jointMm);
}

function meet(a: { from: Point; way: Point }, b: { from: Point; way: Point }): Point | null {
  const sine = a.way[0] * b.way[1] - a.way[1] * b.way[0];
  if (Math.abs(sine) < 1e-6) return null;
  const [dx, dy] = subtract(b.from, a.from);
  return add(a.from, scale(a.way, (dx * b.way[1] - dy * b.way[0]) / sine));
}

/** The edge of a ground that a side of its outline belongs to. */
function nearestEdge({ edges }: Ground, from: Point, to: Point): { readonly id: string; readonly role: EdgeRole } {
  const middle: Point = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
  const off = (a: Point, b: Point): number => {
    const along = subtract(b, a);
    const share = Math.min(
      1,
      Math.max(0, (along[0] * (middle[0] - a[0]) + along[1] * (middle[1] - a[1])) / (along[0] ** 2 + along[1] ** 2)),
    );
    return distance(middle, add(a, scale(along, share)));
  };
  const [best] = [...edges].sort((a, b) => off(a.from, a.to) - off(b.from, b.to));
  return { id: best.id, role: best.role };
}
