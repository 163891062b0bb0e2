import { ON_LINE_MM } from '../../../tolerances.ts';
import { sheetSize } from '../../../tile/sheet/sheetChips.ts';
import { productNamed, type Product } from '../../../tile/product.ts';
import type { AdviceRule } from '../../finding.ts';

/** The size on the box, or the sum of a sheet's chips and joints, was used because nobody measured a piece: of the field, a part of its pattern, or an inset. */
export const nominalSize: AdviceRule = ({ job, surface, surfaceIndex }) => {
  const named: readonly (readonly [string, readonly (string | number)[]])[] = [
    [surface.productId, ['productId']],
    ...Object.entries(surface.parts).map(([part, id]) => [id, ['parts', part]] as const),
    ...surface.insets.map(({ productId }, k) => [productId, ['insets', k, 'productId']] as const),
  ];
  return named
    .filter(([id], k) => named.findIndex(([other]) => other === id) === k)
    .map(([id, path]) => [productNamed(job.products, id), path] as const)
    .filter(([product]) => !product.measured)
    .map(([product, path]) => ({
      code: isSumOfChips(product) ? 'advice/nominal-sheet' : 'advice/nominal-size',
      severity: 'warning' as const,
      path: ['surfaces', surfaceIndex, ...path],
      figures: { name: product.name, widthMm: product.nominal.widthMm, heightMm: product.nominal.heightMm },
    }));
};

function isSumOfChips({ shape, nominal }: Product): boolean {
  if (shape.kind !== 'sheet') return false;
  const { widthMm, heightMm } = sheetSize(shape);
  return Math.abs(widthMm - nominal.widthMm) < ON_LINE_MM && Math.abs(heightMm - nominal.heightMm) < ON_LINE_MM;
}
