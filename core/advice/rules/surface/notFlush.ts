import { buildUpFigures } from '../../../surface/buildUp.ts';
import type { AdviceRule } from '../../finding.ts';

/** A step higher than this at a threshold is felt underfoot, mm. */
const FELT_MM = 1;

/** The finish stands above or below its neighbour. */
export const notFlush: AdviceRule = ({ surface, surfaceIndex, product }) => {
  const { buildUp } = surface.measured;
  if (!buildUp) return [];
  const { proudMm } = buildUpFigures(buildUp, product.thicknessMm);
  if (Math.abs(proudMm) < FELT_MM) return [];
  return [
    {
      code: proudMm > 0 ? 'advice/finishes-proud' : 'advice/finishes-low',
      severity: 'warning',
      path: ['surfaces', surfaceIndex, 'measured', 'buildUp'],
      figures: { offMm: Math.abs(proudMm), neighbour: buildUp.neighbour || 'its neighbour' },
    },
  ];
};
