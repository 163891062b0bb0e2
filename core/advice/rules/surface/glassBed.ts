import type { AdviceRule } from '../../finding.ts';
import { isFirstOfRoom } from '../../firstOfRoom.ts';
import { laidProducts } from '../../laidProducts.ts';

/** Glass wants a mortar made for it; ready-mixed paste does not dry behind it. */
export const glassBed: AdviceRule = (context) => {
  const {
    job,
    surfaceIndex,
    plan: { figures },
  } = context;
  const glass = laidProducts(context).find(({ material }) => material === 'glass');
  return glass && isFirstOfRoom(context, glass.id) && (figures.works.adhesive === 'ready' || !job.materials['adhesive']?.sheet)
    ? [
        {
          code: 'advice/glass-bed',
          severity: 'note',
          path: ['surfaces', surfaceIndex, 'works', 'adhesive'],
          figures: { name: glass.name },
        },
      ]
    : [];
};
