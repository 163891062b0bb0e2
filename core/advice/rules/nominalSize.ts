import { sheetSize } from '../../tile/sheet/sheetChips.ts';
import type { Product } from '../../tile/product.ts';
import type { AdviceRule } from '../finding.ts';

/** The size on the box, or the sum of a sheet's chips and joints, was used because nobody measured a piece. */
export const nominalSize: AdviceRule = ({ product, surfaceIndex }) =>
  product.measured
    ? []
    : [
        {
          code: isSumOfChips(product) ? 'advice/nominal-sheet' : 'advice/nominal-size',
          severity: 'warning',
          path: ['surfaces', surfaceIndex, 'productId'],
          figures: { name: product.name, widthMm: product.nominal.widthMm, heightMm: product.nominal.heightMm },
        },
      ];

function isSumOfChips({ shape, nominal }: Product): boolean {
  if (shape.kind !== 'sheet') return false;
  const { widthMm, heightMm } = sheetSize(shape);
  return Math.abs(widthMm - nominal.widthMm) < 0.01 && Math.abs(heightMm - nominal.heightMm) < 0.01;
}
