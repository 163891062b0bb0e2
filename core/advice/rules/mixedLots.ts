import { productNamed } from '../../tile/product.ts';
import { lotFor } from '../../tile/lot.ts';
import type { AdviceRule } from '../finding.ts';

/** Lots are known, and none of them covers the surface by itself. */
export const mixedLots: AdviceRule = ({ job, surfaceIndex, plan }) =>
  plan.figures.tiles.flatMap(({ productId, opened }) => {
    const { lots, name } = productNamed(job.products, productId);
    if (lots.length === 0 || lotFor(lots, opened)) return [];
    const largest = Math.max(...lots.map(({ pieces }) => pieces));
    return [
      {
        code: 'advice/mixed-lots',
        severity: 'warning' as const,
        path: ['surfaces', surfaceIndex, 'productId'],
        figures: { name, opened, largest },
      },
    ];
  });
