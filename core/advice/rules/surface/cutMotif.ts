import { productNamed } from '../../../tile/product.ts';
import type { AdviceRule } from '../../finding.ts';

/** A figured sheet shows nowhere as a whole, though there is room for it. */
export const cutMotif: AdviceRule = ({ job, surfaceIndex, plan }) =>
  plan.sheets.flatMap(({ productId, wholeSheets, parts }) => {
    const { shape, name } = productNamed(job.products, productId);
    // Where no start shows one whole there is no room for it.
    if (shape.kind !== 'sheet' || !shape.figured || wholeSheets > 0 || plan.advice.best.figures.motifs === 0) return [];
    return [
      {
        code: 'advice/cut-motif',
        severity: 'warning' as const,
        path: ['surfaces', surfaceIndex, 'setout'],
        figures: { name, parts: parts.length },
      },
    ];
  });
