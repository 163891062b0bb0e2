import { HAIR_MM } from '../../tolerances.ts';
import type { MainEdges } from '../../surface/sides.ts';
import type { Axis } from '../choice/axisPlacement.ts';
import { widthsOf, type EdgeSummary } from './edgeCuts.ts';
import type { AxisChoice } from '../choice/setoutChoice.ts';

/** The pieces along one end of the rows. */
export interface EndPieces {
  /** Sizes of the cut pieces, each once, largest first, mm; of a taper both ends. */
  readonly cutsMm: readonly number[];
  /** Whether full pieces stand there too. */
  readonly full: boolean;
}

/** The ends of the rows in one direction. */
export interface EndCuts {
  readonly start: EndPieces;
  readonly end: EndPieces;
}

/** The edges at the two ends of a direction. */
export const endsOf = (sides: MainEdges, axis: Axis): readonly (string | null)[] =>
  axis === 'x' ? [sides.left, sides.right] : [sides.bottom, sides.top];

/** The edge of a name; undefined where none is met. */
export const edgeNamed = (edges: readonly EdgeSummary[], id: string | null): EdgeSummary | undefined =>
  edges.find((edge) => edge.id === id);

/** The pieces at both ends of a direction. */
export function endCuts(edges: readonly EdgeSummary[], sides: MainEdges, axis: Axis, { rule }: Pick<AxisChoice, 'rule'>): EndCuts {
  const [start, end] = endsOf(sides, axis).map((id) => cutSizes(edgeNamed(edges, id)));
  return {
    start: { cutsMm: start, full: start.length === 0 || rule === 'fullFromStart' },
    end: { cutsMm: end, full: end.length === 0 || rule === 'fullFromEnd' },
  };
}

/** Sizes of the pieces an edge cuts, each once, largest first, mm; of a taper both ends, but for a point. */
export function cutSizes(edge: EdgeSummary | undefined): number[] {
  const sizes: number[] = [];
  for (const end of edge?.cuts.flatMap(widthsOf) ?? []) if (!sizes.some((mm) => sameCut(mm, end))) sizes.push(end);
  return sizes.sort((a, b) => b - a);
}

const sameCut = (a: number, b: number): boolean => Math.abs(a - b) < HAIR_MM;
