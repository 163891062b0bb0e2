import { isThin } from '../../../setout/edges/edgeCuts.ts';
import type { AdviceRule } from '../../finding.ts';
import { slivers } from '../../slivers.ts';

/** Cuts along an edge that is seen are too narrow to look right. */
export const sliver: AdviceRule = ({ plan, surfaceIndex }) => {
  const { isBest, areWorthAWord } = slivers(plan);
  if (!areWorthAWord) return [];
  return plan.edges
    .filter((edge) => edge.role !== 'hidden' && !edge.isReveal && edge.cuts.some(isThin))
    .map(({ id, smallestCutMm }) => ({
      code: 'advice/sliver',
      severity: isBest ? ('note' as const) : ('warning' as const),
      path: ['surfaces', surfaceIndex, 'setout'],
      figures: { edge: plan.traced.names[id] ?? id, cutMm: smallestCutMm ?? 0, isBest: isBest ? 1 : 0 },
    }));
};
