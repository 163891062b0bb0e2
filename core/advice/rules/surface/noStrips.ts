import { STRIP_PURPOSES } from '../../../cuts/strips/strip.ts';
import { trimRuns } from '../../../takeoff/works/trims.ts';
import { actualSize } from '../../../tile/product.ts';
import type { AdviceRule } from '../../finding.ts';

/** Strips are asked for along an edge, and the tile gives none: it is no rectangle, or no wider than they are. */
export const noStrips: AdviceRule = ({ job, surface, surfaceIndex, product, plan: { traced, toCut } }) => {
  const { skirtingMm, nosingMm } = job.consumption;
  const trims = trimRuns(traced, surface.trims);
  const { widthMm, heightMm } = actualSize(product);
  return STRIP_PURPOSES.flatMap((purpose) => {
    const asked = trims.find(({ trim, stretches }) => trim === `${purpose}Tile` && stretches.length > 0);
    if (!asked || toCut.some(({ strip }) => strip?.purpose === purpose)) return [];
    const stripMm = purpose === 'skirting' ? skirtingMm : nosingMm;
    const isRectangle = product.shape.kind === 'rectangle' ? 1 : 0;
    return [
      {
        code: 'advice/no-strips' as const,
        severity: 'warning' as const,
        path: ['surfaces', surfaceIndex, 'trims', asked.edgeId],
        figures: { purpose, name: product.name, stripMm, sideMm: Math.max(widthMm, heightMm), isRectangle },
      },
    ];
  });
};
