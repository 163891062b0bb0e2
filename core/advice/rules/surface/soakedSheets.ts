import type { AdviceRule } from '../../finding.ts';
import { isFirstOfRoom } from '../../firstOfRoom.ts';

/** Sheets held by paper or glued mesh come apart when they lie in the water of a saw. */
export const soakedSheets: AdviceRule = (context) => {
  const {
    surfaceIndex,
    product,
    plan: { toCut },
  } = context;
  const count = toCut.filter(({ tool, productId }) => tool === 'wetSaw' && productId === product.id).length;
  return product.shape.kind === 'sheet' && count > 0 && isFirstOfRoom(context)
    ? [
        {
          code: 'advice/soaked-sheets',
          severity: 'note',
          path: ['surfaces', surfaceIndex, 'cuts'],
          figures: { name: product.name, count, mount: product.shape.mount },
        },
      ]
    : [];
};
