import { productNamed } from '../../../tile/product.ts';
import type { AdviceRule } from '../../finding.ts';

/** A tile that comes in two mirrored shapes is bought in both: a face can't be turned over. */
export const bothHands: AdviceRule = ({ job, surfaceIndex, plan }) => {
  const { tiles } = plan.figures;
  const ids = [...new Set(tiles.filter(({ hand }) => hand !== null).map(({ productId }) => productId))];
  return ids.map((id) => {
    const count = (hand: 'left' | 'right'): number => tiles.find((tile) => tile.productId === id && tile.hand === hand)?.opened ?? 0;
    const { name } = productNamed(job.products, id);
    return {
      code: 'advice/both-hands',
      severity: 'note' as const,
      path: ['surfaces', surfaceIndex, 'pattern'],
      figures: { name, left: count('left'), right: count('right') },
    };
  });
};
