import { ON_LINE_MM } from '../../../tolerances.ts';
import { SEALED_ROLES } from '../../../surface/edge.ts';
import { productNamed } from '../../../tile/product.ts';
import { widenGaps } from '../../widenGaps.ts';
import type { AdviceRule } from '../../finding.ts';

const ROOM_MM = 6;
const SHORT_MM = 1000;

/** Glass grows more with heat than what is behind it: it wants room at the edges (makers ask for about 6 mm). */
export const glassRoom: AdviceRule = ({ job, surface, surfaceIndex, plan: { traced, fields } }) => {
  // What lies within the field has the field round it.
  const atEdges = fields.filter(({ kind }) => kind !== 'inset').flatMap(({ laid }) => laid.productIds);
  if (!atEdges.some((id) => productNamed(job.products, id).material === 'glass')) return [];
  const all = traced.edges.filter(({ role, gapMm, isReveal }) => SEALED_ROLES.has(role) && !isReveal && gapMm < ROOM_MM - ON_LINE_MM);
  if (all.length === 0) return [];
  const tight = all.reduce((a, b) => (b.gapMm < a.gapMm ? b : a));
  const boxMm = traced.body.maxX - traced.body.minX;
  // Linings shorter than a few sheets move by less than their joints give.
  if (boxMm < SHORT_MM && traced.body.maxY - traced.body.minY < SHORT_MM) return [];
  return [
    {
      code: 'advice/glass-room',
      severity: 'note',
      path: ['surfaces', surfaceIndex, 'measured', 'gapsMm', tight.role],
      figures: { gapMm: tight.gapMm, roomMm: ROOM_MM },
      mend: widenGaps(surface, surfaceIndex, all, () => ROOM_MM),
    },
  ];
};
