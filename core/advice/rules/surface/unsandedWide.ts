import { SANDED_FROM_MM } from '../../../takeoff/works/works.ts';
import { isScratchable } from '../../../tile/product.ts';
import { laidProducts } from '../../laidProducts.ts';
import type { AdviceRule } from '../../finding.ts';

/** Grout without sand shrinks and cracks in wide joints; faces that sand scratches take it all the same. */
export const unsandedWide: AdviceRule = (context) => {
  const { surface, surfaceIndex, plan } = context;
  return plan.figures.works.grout === 'fine' && surface.jointMm >= SANDED_FROM_MM && !laidProducts(context).some(isScratchable)
    ? [
        {
          code: 'advice/unsanded-wide',
          severity: 'warning',
          path: ['surfaces', surfaceIndex, 'works', 'grout'],
          figures: { jointMm: surface.jointMm, fromMm: SANDED_FROM_MM },
          mend: { path: ['surfaces', surfaceIndex, 'works', 'grout'], value: 'sanded' },
        },
      ]
    : [];
};
