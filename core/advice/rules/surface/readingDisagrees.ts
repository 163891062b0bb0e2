import { judgeReadings } from '../../../surface/reconcile/judgeReadings.ts';
import { readingTitle } from '../../../surface/reconcile/wallTitle.ts';
import type { AdviceRule } from '../../finding.ts';

/** Walls and diagonals do not agree: one reading slipped, or several might have. */
export const readingDisagrees: AdviceRule = ({ surface, surfaceIndex }) => {
  const { shape } = surface.measured;
  if (shape.kind !== 'walls') return [];
  const { verdict, suspects } = judgeReadings(shape);
  if (verdict !== 'one-off' && verdict !== 'unclear') return [];
  const [worst] = suspects;
  const readings = suspects.map((reading) => readingTitle(shape, reading)).join(', ');
  return [
    {
      code: verdict === 'one-off' ? 'advice/reading-disagrees' : 'advice/readings-unclear',
      severity: 'warning',
      path: ['surfaces', surfaceIndex, 'measured', 'shape'],
      figures: { readings, offMm: Math.abs(worst.slipMm) },
    },
  ];
};
