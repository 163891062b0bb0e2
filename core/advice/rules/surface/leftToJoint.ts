import { stripWidth } from '../../../geometry/ring.ts';
import type { AdviceRule } from '../../finding.ts';

/** Narrower gaps than this are lost in the joint, mm. */
const NOTICED_MM = 1;

/** Strips that nobody can cut, which make a joint or gap wider than was meant. Along mosaics the wide gap looks like any other. */
export const leftToJoint: AdviceRule = ({ surfaceIndex, plan }) => {
  const strips = plan.fields
    .filter(({ layout }) => !layout.repeat.sheet)
    .flatMap(({ layout }) => layout.dropped.map(stripWidth))
    .filter((mm) => mm >= NOTICED_MM);
  if (strips.length === 0) return [];
  return [
    {
      code: 'advice/left-to-joint',
      severity: 'note',
      path: ['surfaces', surfaceIndex, 'setout'],
      figures: { count: strips.length, widestMm: Math.max(...strips) },
    },
  ];
};
