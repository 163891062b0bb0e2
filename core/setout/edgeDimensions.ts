import { cross, quarterTurn, scale, subtract, unit, type Point } from '../geometry/point.ts';
import { isReveal } from '../surface/edge.ts';
import type { EdgeCut, EdgeSummary } from './edgeCuts.ts';

/** Cuts that differ by less than this are dimensioned once, mm. */
const SAME_MM = 0.25;

/** One dimension to write along an edge. */
export interface EdgeDimension {
  readonly edgeId: string;
  /** On the edge, in the middle of the piece it belongs to, mm. */
  readonly at: Point;
  /** Away from the surface, length one. */
  readonly outward: Point;
  /** The piece square to the edge, mm. */
  readonly mm: number;
}

/**
 * The end cuts to write along each edge: each different size once, at a piece near the middle of
 * the edge. A fifth size and more stay with the cut list.
 */
export function edgeDimensions({ edges }: { readonly edges: readonly EdgeSummary[] }): EdgeDimension[] {
  return edges
    .filter((edge) => !isReveal(edge) && !isBent(edge))
    .flatMap(({ cuts }) => {
      const bySize = new Map<number, EdgeCut[]>();
      for (const cut of cuts) {
        const size = [...bySize.keys()].find((mm) => Math.abs(mm - cut.depthMm) < SAME_MM) ?? cut.depthMm;
        bySize.set(size, [...(bySize.get(size) ?? []), cut]);
      }
      return [...bySize].slice(0, 4).map(([mm, same]) => dimensionOf(same[Math.floor((same.length - 1) / 2)], mm));
    });
}

/** Stretches of an edge that turn by more than this make it a curve: its cuts stay with the cut list. */
const BENT_SINE = 0.1;

function isBent({ cuts }: EdgeSummary): boolean {
  const ways = cuts.map(({ edge }) => unit(subtract(edge.to, edge.from)));
  return ways.some((way) => Math.abs(cross(ways[0], way)) > BENT_SINE);
}

function dimensionOf({ edge, alongMm }: EdgeCut, mm: number): EdgeDimension {
  const along = unit(subtract(edge.to, edge.from));
  const middle = (alongMm[0] + alongMm[1]) / 2;
  return {
    edgeId: edge.id,
    at: [edge.from[0] + along[0] * middle, edge.from[1] + along[1] * middle],
    outward: scale(quarterTurn(along), -1),
    mm,
  };
}
