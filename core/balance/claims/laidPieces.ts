import { dot, quarterTurn, subtract, unit, type Point } from '../../geometry/point.ts';
import { boxOf, isInside, type Ring } from '../../geometry/ring.ts';
import type { Drawing } from '../../plan/planned.ts';
import type { FieldKind } from '../../setout/fields/field.ts';
import { forEachWhole, tileRing } from '../../setout/place/layout.ts';
import type { Edge } from '../../surface/edge.ts';

/** One laid piece as it lies: what stays of it, and the tile it would be. */
export interface LaidPiece {
  readonly rings: readonly Ring[];
  readonly tile: Ring;
  readonly whole: boolean;
}

/** What a setout is said of: the main field, and what lies beyond its bands. */
const SET_OUT: ReadonlySet<FieldKind> = new Set(['main', 'beyondBand']);

/** Every piece of what is set out; `all` takes in borders, bands and insets. */
export function laidPieces({ fields }: Pick<Drawing, 'fields'>, all = false): LaidPiece[] {
  return fields.flatMap(({ kind, layout }) => {
    if (!all && !SET_OUT.has(kind)) return [];
    const pieces: LaidPiece[] = layout.cutTiles.map((cut) => ({
      rings: cut.polygons.map(([outer]) => outer),
      tile: tileRing(layout, cut),
      whole: false,
    }));
    forEachWhole(layout, (address) => pieces.push({ rings: [tileRing(layout, address)], tile: tileRing(layout, address), whole: true }));
    return pieces;
  });
}

/** A line that tiles end at, as its geometry alone. */
export type EndingLine = Pick<Edge, 'from' | 'to' | 'endMm'>;

/** Corners lie on a line within this, mm. */
const BESIDE_MM = 0.02;

/** A tile reaches a line where it comes this near, mm. */
const REACHES_MM = 0.05;

/** The stretches of some rings that lie on a line, each from its corners; of those pieces only that the line cuts. */
function stretchesOn(
  line: EndingLine,
  { rings, tile, whole }: LaidPiece,
): { readonly ring: Ring; readonly ends: readonly [Point, Point] }[] {
  const along = unit(subtract(line.to, line.from));
  const inward = quarterTurn(along);
  const length = dot(subtract(line.to, line.from), along);
  const depth = (p: Point): number => dot(subtract(p, line.from), inward) - line.endMm;
  const run = (p: Point): number => dot(subtract(p, line.from), along);
  if (whole || Math.min(...tile.map(depth)) > -REACHES_MM) return [];
  return rings.flatMap((ring) =>
    ring.flatMap((p, k) => {
      const q = ring[(k + 1) % ring.length];
      const isOn =
        Math.abs(depth(p)) < BESIDE_MM &&
        Math.abs(depth(q)) < BESIDE_MM &&
        Math.abs(run(p) - run(q)) > REACHES_MM &&
        Math.max(run(p), run(q)) > 0 &&
        Math.min(run(p), run(q)) < length;
      return isOn ? [{ ring, ends: [p, q] as const }] : [];
    }),
  );
}

/** The depths square to an edge of the pieces that it cuts, straight from their corners: how far each reaches in from the line. */
export function depthsAlong({ traced }: Pick<Drawing, 'traced'>, pieces: readonly LaidPiece[], id: string): number[] {
  return traced.edges.filter((edge) => edge.id === id).flatMap((edge) => depthsFrom(edge, pieces));
}

/** The same of any line. */
export function depthsFrom(line: EndingLine, pieces: readonly LaidPiece[]): number[] {
  const inward = quarterTurn(unit(subtract(line.to, line.from)));
  const depth = (p: Point): number => dot(subtract(p, line.from), inward) - line.endMm;
  return pieces.flatMap((piece) =>
    [...new Set(stretchesOn(line, piece).map(({ ring }) => ring))].map((ring) => Math.max(...ring.map(depth))),
  );
}

/** How far in from its corner a piece is measured, as a share of its stretch. */
const NEAR_CORNER = 0.002;

/**
 * The widths of the pieces along a line, by going through each from both ends of its cut until it is left: square to the
 * line, and along the sides of the tile as a tape lies.
 */
export function widthsAlong(line: EndingLine, pieces: readonly LaidPiece[]): number[] {
  const inward = quarterTurn(unit(subtract(line.to, line.from)));
  return pieces.flatMap((piece) =>
    stretchesOn(line, piece).flatMap(({ ring, ends: [p, q] }) => {
      const sides = piece.tile.map((a, k) => unit(subtract(piece.tile[(k + 1) % piece.tile.length], a)));
      const ways = [inward, ...sides.filter((way) => dot(way, inward) > 0.7)];
      const starts = [NEAR_CORNER, 1 - NEAR_CORNER].map((share): Point => [p[0] + share * (q[0] - p[0]), p[1] + share * (q[1] - p[1])]);
      // What is cut on its far side too is as wide as it reaches, where it is no point.
      const reach = (start: Point, way: Point): number => Math.max(...ring.map((corner) => dot(subtract(corner, start), way)));
      return starts.flatMap((start) => ways.flatMap((way) => [through(ring, start, way), reach(start, way)]).filter((mm) => mm > 0.5));
    }),
  );
}

/** How far one goes through a ring from a place on it before it is left, mm. */
export function through(ring: Ring, [x, y]: Point, [wx, wy]: Point): number {
  let nearest = Infinity;
  ring.forEach(([ax, ay], k) => {
    const [bx, by] = ring[(k + 1) % ring.length];
    const left = wx * (ay - y) - wy * (ax - x);
    const right = wx * (by - y) - wy * (bx - x);
    if (left < 0 === right < 0) return;
    const share = left / (left - right);
    const far = wx * (ax + share * (bx - ax) - x) + wy * (ay + share * (by - ay) - y);
    if (far > 0.05 && far < nearest) nearest = far;
  });
  return nearest === Infinity ? 0 : nearest;
}

/** Tiles that something round of a radius reaches into. */
export function tilesRound(pieces: readonly LaidPiece[], centre: Point, radiusMm: number): number {
  return pieces.filter(({ tile }) => {
    const { minX, minY, maxX, maxY } = boxOf(tile);
    const isFar = (mm: number, low: number, high: number): boolean => mm < low - radiusMm || mm > high + radiusMm;
    if (isFar(centre[0], minX, maxX) || isFar(centre[1], minY, maxY)) return false;
    const rim = Array.from({ length: 360 }, (_, k): Point => {
      const turn = (k * Math.PI) / 180;
      return [centre[0] + radiusMm * Math.cos(turn), centre[1] + radiusMm * Math.sin(turn)];
    });
    return isInside(centre, [[tile]]) || rim.some((p) => isInside(p, [[tile]]));
  }).length;
}
