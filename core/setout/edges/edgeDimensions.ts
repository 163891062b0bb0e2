import { READS_ALIKE_MM } from '../../tolerances.ts';
import { cross, quarterTurn, scale, subtract, unit, type Point } from '../../geometry/point.ts';
import type { EdgeCut, EdgeSummary } from './edgeCuts.ts';

/** One dimension to write along an edge. */
export interface EdgeDimension {
  readonly edgeId: string;
  /** On the edge, in the middle of the piece it belongs to; of a taper at that end, mm. */
  readonly at: Point;
  /** Away from the surface, length one. */
  readonly outward: Point;
  /** What stays of the piece there, mm. */
  readonly mm: number;
}

/**
 * The end cuts to write along each edge: each different size once, at a piece near the middle of
 * the edge. A fifth size and more stay with the cut list.
 */
export function edgeDimensions({ edges }: { readonly edges: readonly EdgeSummary[] }): EdgeDimension[] {
  return edges
    .filter((edge) => !edge.isReveal && !isBent(edge))
    .flatMap(({ cuts }) => {
      const bySize = new Map<number, CutPlace[]>();
      for (const place of cuts.flatMap(placesOf)) {
        const size = [...bySize.keys()].find((mm) => Math.abs(mm - place.mm) < READS_ALIKE_MM) ?? place.mm;
        bySize.set(size, [...(bySize.get(size) ?? []), place]);
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

/** A size and where along its edge it stands. */
interface CutPlace extends Pick<EdgeCut, 'edge'> {
  readonly mm: number;
  readonly runMm: number;
}

/** The one size of a straight cut in its middle, the two of a taper at its ends, but for a point. */
function placesOf({ edge, endsMm, thinnestMm, alongMm }: EdgeCut): CutPlace[] {
  if (Math.abs(endsMm[0] - endsMm[1]) < READS_ALIKE_MM) return [{ edge, mm: endsMm[0], runMm: (alongMm[0] + alongMm[1]) / 2 }];
  return endsMm.map((mm, k) => ({ edge, mm, runMm: alongMm[k] })).filter(({ mm }) => mm >= thinnestMm);
}

function dimensionOf({ edge, runMm: middle }: CutPlace, mm: number): EdgeDimension {
  const along = unit(subtract(edge.to, edge.from));
  return {
    edgeId: edge.id,
    at: [edge.from[0] + along[0] * middle, edge.from[1] + along[1] * middle],
    outward: scale(quarterTurn(along), -1),
    mm,
  };
}
