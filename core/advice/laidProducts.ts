import { productNamed, type Product } from '../tile/product.ts';
import type { AdviceContext } from './finding.ts';

/** Every tile that is laid on a surface, its own first: what is said of a tile holds in bands and insets too. */
export const laidProducts = ({ job, product, plan }: Pick<AdviceContext, 'job' | 'product' | 'plan'>): Product[] => [
  product,
  ...[...new Set(plan.figures.tiles.map(({ productId }) => productId))]
    .filter((id) => id !== product.id)
    .map((id) => productNamed(job.products, id)),
];
