import type { AdviceRule } from '../finding.ts';
import { isFirstOfRoom } from '../firstOfRoom.ts';

/** Glass wants a mortar made for it; ready-mixed paste does not dry behind it. */
export const glassBed: AdviceRule = (context) => {
  const {
    job,
    surfaceIndex,
    product,
    plan: { figures },
  } = context;
  return isFirstOfRoom(context) && product.material === 'glass' && (figures.works.adhesive === 'ready' || !job.materials['adhesive']?.sheet)
    ? [
        {
          code: 'advice/glass-bed',
          severity: 'note',
          path: ['surfaces', surfaceIndex, 'works', 'adhesive'],
          figures: { name: product.name },
        },
      ]
    : [];
};
