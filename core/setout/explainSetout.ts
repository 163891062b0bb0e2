import { unitOf } from '../pattern/repeat.ts';
import type { MainEdges } from '../surface/sides.ts';
import type { EdgeRole } from '../surface/edge.ts';
import type { Box } from '../geometry/ring.ts';
import type { Axis } from './axisPlacement.ts';
import type { Candidate } from './candidate.ts';
import type { EdgeSummary } from './edgeCuts.ts';
import { isSliver } from './scoreSetout.ts';
import type { FixedRule } from './setoutChoice.ts';

/** The pieces along one end of the rows. */
export interface EndPieces {
  /** Sizes of the cut pieces, square to the edge, each once, largest first, mm. */
  readonly cutsMm: readonly number[];
  /** Whether full pieces stand there too. */
  readonly full: boolean;
}

/** The ends of the rows in one direction. */
export interface EndCuts {
  readonly start: EndPieces;
  readonly end: EndPieces;
}

/** Why one direction is set out as it is; its words live in messages/. */
export interface Reason {
  readonly axis: Axis;
  readonly rule: FixedRule | 'free';
  readonly ends: EndCuts;
  readonly startRole: EdgeRole;
  readonly endRole: EdgeRole;
  /** Smallest piece that is left at either end is too narrow to look right. */
  readonly sliver: boolean;
  /** The next best rule in this direction, and its ends. */
  readonly rival: { readonly rule: FixedRule; readonly ends: EndCuts } | null;
  /** Whether the field is smaller than one piece in this direction. */
  readonly onePiece: boolean;
}

/** The edges at the two ends of a direction. */
const endsOf = (sides: MainEdges, axis: Axis): readonly (string | null)[] =>
  axis === 'x' ? [sides.left, sides.right] : [sides.bottom, sides.top];

/** Explains both directions of a setout against its nearest rivals. */
export function explainSetout(chosen: Candidate, rivals: Readonly<Record<Axis, readonly Candidate[]>>, limits: Box): Reason[] {
  return (['x', 'y'] as const).map((axis) => {
    const [start, end] = endsOf(chosen.sides, axis).map((id) => edgeNamed(chosen.edges, id));
    const rival = nearestRival(rivals[axis], axis, endCuts(chosen, axis));
    return {
      axis,
      rule: chosen[axis].rule,
      ends: endCuts(chosen, axis),
      startRole: start?.role ?? 'wall',
      endRole: end?.role ?? 'wall',
      sliver: leavesSliver(chosen, axis),
      rival,
      onePiece: fieldIsOnePiece(limits, chosen, axis),
    };
  });
}

const edgeNamed = (edges: readonly EdgeSummary[], id: string | null): EdgeSummary | undefined => edges.find((edge) => edge.id === id);

/** Whether either end of a direction gets pieces too narrow to look right. */
export const leavesSliver = ({ edges, sides }: Pick<Candidate, 'edges' | 'sides'>, axis: Axis): boolean =>
  endsOf(sides, axis).some((id) => edgeNamed(edges, id)?.cuts.some((cut) => isSliver(cut.depthMm, cut.fullMm)) ?? false);

/** The pieces at both ends of a direction. */
export function endCuts(setout: Pick<Candidate, 'edges' | 'sides' | Axis>, axis: Axis): EndCuts {
  const [start, end] = endsOf(setout.sides, axis).map((id) => cutSizes(edgeNamed(setout.edges, id)));
  const { rule } = setout[axis];
  return {
    start: { cutsMm: start, full: start.length === 0 || rule === 'fullFromStart' },
    end: { cutsMm: end, full: end.length === 0 || rule === 'fullFromEnd' },
  };
}

function cutSizes(edge: EdgeSummary | undefined): number[] {
  const sizes: number[] = [];
  for (const { depthMm } of edge?.cuts ?? []) if (!sizes.some((mm) => sameCut(mm, depthMm))) sizes.push(depthMm);
  return sizes.sort((a, b) => b - a);
}

/** The rival that scores best and does not come to the same ends. */
function nearestRival(rivals: readonly Candidate[], axis: Axis, ends: EndCuts): Reason['rival'] {
  const [first] = rivals.filter((rival) => !sameEnds(endCuts(rival, axis), ends)).sort((a, b) => a.score - b.score);
  return first && first[axis].rule !== 'free' ? { rule: first[axis].rule, ends: endCuts(first, axis) } : null;
}

const sameEnds = (a: EndCuts, b: EndCuts): boolean => samePieces(a.start, b.start) && samePieces(a.end, b.end);

const samePieces = (a: EndPieces, b: EndPieces): boolean =>
  a.full === b.full && a.cutsMm.length === b.cutsMm.length && a.cutsMm.every((mm, k) => sameCut(mm, b.cutsMm[k]));

const sameCut = (a: number, b: number): boolean => Math.abs(a - b) < 0.05;

function fieldIsOnePiece(limits: Box, { layout }: Candidate, axis: Axis): boolean {
  const piece = unitOf(layout.repeat);
  return axis === 'x' ? limits.maxX - limits.minX <= piece.maxX - piece.minX : limits.maxY - limits.minY <= piece.maxY - piece.minY;
}
