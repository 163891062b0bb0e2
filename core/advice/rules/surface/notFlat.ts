import type { AdviceRule } from '../../finding.ts';

/** The substrate is less flat than the tile needs. */
export const notFlat: AdviceRule = ({ surfaceIndex, plan: { levels } }) => {
  if (!levels || levels.flatness.holds) return [];
  const { worst, limit } = levels.flatness;
  return [
    {
      code: 'advice/not-flat',
      severity: 'warning',
      path: ['surfaces', surfaceIndex, 'measured', 'levels'],
      figures: { gapMm: worst.gapMm, limitMm: limit.gapMm, edgeMm: limit.straightedgeMm },
    },
  ];
};
