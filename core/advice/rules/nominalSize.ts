import type { AdviceRule } from '../finding.ts';

/** The size on the box was used because nobody measured a piece. */
export const nominalSize: AdviceRule = ({ product, surfaceIndex }) =>
  product.measured
    ? []
    : [
        {
          code: 'advice/nominal-size',
          severity: 'warning',
          path: ['surfaces', surfaceIndex, 'productId'],
          figures: { name: product.name, widthMm: product.nominal.widthMm, heightMm: product.nominal.heightMm },
        },
      ];
