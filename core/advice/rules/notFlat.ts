import { levelFigures } from '../../surface/levels/levelFigures.ts';
import { actualSize } from '../../tile/product.ts';
import type { AdviceRule } from '../finding.ts';

/** The substrate is less flat than the tile needs. */
export const notFlat: AdviceRule = ({ job, surface, surfaceIndex, product, plan }) => {
  const { levels } = surface.measured;
  const { widthMm, heightMm } = actualSize(product);
  const figures = levels ? levelFigures(levels, plan.traced.field, job.practice, Math.max(widthMm, heightMm)) : null;
  if (!figures || figures.flatness.holds) return [];
  const { worst, limit } = figures.flatness;
  return [
    {
      code: 'advice/not-flat',
      severity: 'warning',
      path: ['surfaces', surfaceIndex, 'measured', 'levels'],
      figures: { gapMm: worst.gapMm, limitMm: limit.gapMm, edgeMm: limit.straightedgeMm },
    },
  ];
};
