import { motion, subtract, type Point } from '../geometry/point.ts';
import { mapRing, type Ring } from '../geometry/ring.ts';
import { lineOfEdge } from './fixture.ts';
import type { Link } from './link.ts';
import { outlineOf, type Shape } from './shapes/registry.ts';

/** A surface laid out flat beside those it meets. */
export interface UnfoldedSurface {
  readonly surfaceId: string;
  readonly ring: Ring;
  /** How many edges away from the first it lies. */
  readonly steps: number;
  /** The edge it was folded out over; null for the first. */
  readonly over: { readonly link: Link; readonly from: Point; readonly to: Point } | null;
}

interface Unfoldable {
  readonly id: string;
  readonly measured: { readonly shape: Shape };
}

/** Folds out every surface that meets the first, directly or over others, edge on edge, each once. */
export function unfold(firstId: string, surfaces: readonly Unfoldable[], links: readonly Link[]): UnfoldedSurface[] {
  const shapeOf = (id: string): Shape | undefined => surfaces.find((surface) => surface.id === id)?.measured.shape;
  const first = shapeOf(firstId);
  if (!first) return [];
  const placed: UnfoldedSurface[] = [{ surfaceId: firstId, ring: outlineOf(first).ring, steps: 0, over: null }];
  // The list grows while it is walked: what is folded out folds out what it meets.
  for (const here of placed) {
    for (const link of links) {
      const [mine, theirs] = link.a.surface === here.surfaceId ? [link.a, link.b] : [link.b, link.a];
      if (mine.surface !== here.surfaceId || placed.some(({ surfaceId }) => surfaceId === theirs.surface)) continue;
      const shape = shapeOf(theirs.surface);
      const own = shapeOf(here.surfaceId);
      if (!shape || !own) continue;
      const line = lineOfEdge(here.ring, outlineOf(own).edgeIds, mine.edge);
      const other = lineOfEdge(outlineOf(shape).ring, outlineOf(shape).edgeIds, theirs.edge);
      if (!line || !other) continue;
      const ring = foldOver(outlineOf(shape).ring, other, line);
      placed.push({ surfaceId: theirs.surface, ring, steps: here.steps + 1, over: { link, from: line.from, to: line.to } });
    }
  }
  return placed;
}

/** Turns and moves an outline so that one of its edges runs back along another from the middle. */
function foldOver(
  ring: Ring,
  edge: { readonly from: Point; readonly to: Point },
  onto: { readonly from: Point; readonly to: Point },
): Ring {
  const heading = (from: Point, to: Point): number => (Math.atan2(to[1] - from[1], to[0] - from[0]) * 180) / Math.PI;
  const turnDeg = Math.round((heading(onto.to, onto.from) - heading(edge.from, edge.to)) * 1e9) / 1e9;
  const middle = (a: Point, b: Point): Point => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
  const turned = motion(turnDeg, [0, 0]).turn(middle(edge.from, edge.to));
  return mapRing(ring, motion(turnDeg, subtract(middle(onto.from, onto.to), turned)).turn);
}
