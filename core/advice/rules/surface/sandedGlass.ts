import { isScratchable } from '../../../tile/product.ts';
import { laidProducts } from '../../laidProducts.ts';
import type { AdviceRule } from '../../finding.ts';

/** Sand in the grout scratches glass, metal and polished faces. */
export const sandedGlass: AdviceRule = (context) => {
  const { surfaceIndex, plan } = context;
  const scratched = laidProducts(context).find(isScratchable);
  return plan.figures.works.grout === 'sanded' && scratched
    ? [
        {
          code: 'advice/sanded-glass',
          severity: 'warning',
          path: ['surfaces', surfaceIndex, 'works', 'grout'],
          figures: { name: scratched.name },
          mend: { path: ['surfaces', surfaceIndex, 'works', 'grout'], value: 'fine' },
        },
      ]
    : [];
};
