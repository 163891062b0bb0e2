import type { EdgeRole } from '../../surface/edge.ts';
import type { Box } from '../../geometry/ring.ts';
import { isOnePiece, spanOf, type Axis } from './axisPlacement.ts';
import type { Candidate } from './candidate.ts';
import type { EdgeSummary } from '../edges/edgeCuts.ts';
import { edgeNamed, endsOf, sameEnds, type EndCuts } from '../edges/endCuts.ts';
import type { FixedRule } from './setoutChoice.ts';

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
  /** What the field is no larger than in this direction: one piece, or a block of them that rules speak of. */
  readonly within: 'piece' | 'block' | null;
}

/** Explains both directions of a setout against its nearest rivals. */
export function explainSetout(
  chosen: Candidate,
  edges: readonly EdgeSummary[],
  rivals: Readonly<Record<Axis, readonly Candidate[]>>,
  { limits, unit, ofBlocks }: { readonly limits: Box; readonly unit: Box; readonly ofBlocks: boolean },
): Reason[] {
  return (['x', 'y'] as const).map((axis) => {
    const [start, end] = endsOf(chosen.sides, axis).map((id) => edgeNamed(edges, id));
    return {
      axis,
      rule: chosen[axis].rule,
      ends: chosen.ends[axis],
      startRole: start?.role ?? 'wall',
      endRole: end?.role ?? 'wall',
      sliver: chosen.sliver[axis],
      rival: nearestRival(rivals[axis], axis, chosen.ends[axis]),
      within: isOnePiece(spanOf(limits, axis), spanOf(unit, axis)) ? (ofBlocks ? 'block' : 'piece') : null,
    };
  });
}

/** The rival that scores best and does not come to the same ends. */
function nearestRival(rivals: readonly Candidate[], axis: Axis, ends: EndCuts): Reason['rival'] {
  const [first] = rivals.filter((rival) => !sameEnds(rival.ends[axis], ends)).sort((a, b) => a.score - b.score);
  return first && first[axis].rule !== 'free' ? { rule: first[axis].rule, ends: first.ends[axis] } : null;
}
