import { productNamed } from '../../../tile/product.ts';
import type { AdviceRule } from '../../finding.ts';
import { isFirstOfRoom } from '../../firstOfRoom.ts';

/** Porous faces drink the colour of the grout. */
export const sealFirst: AdviceRule = (context) => {
  const { job, surfaceIndex, plan } = context;
  const porous = plan.figures.tiles.map(({ productId }) => productNamed(job.products, productId)).filter((product) => product.porous);
  if (porous.length === 0 || !isFirstOfRoom(context)) return [];
  return [
    {
      code: 'advice/seal-first',
      severity: 'note',
      path: ['surfaces', surfaceIndex, 'productId'],
      figures: { name: porous[0].name, count: porous.length },
    },
  ];
};
