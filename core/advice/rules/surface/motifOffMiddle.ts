import { boxOf } from '../../../geometry/ring.ts';
import { sheetRings } from '../../../setout/place/sheetRings.ts';
import { wholeMotifCells } from '../../../setout/tally/wholeMotifs.ts';
import { productNamed } from '../../../tile/product.ts';
import type { AdviceRule } from '../../finding.ts';

/** A motif that is off its middle by more is seen to be, mm (trade practice). */
const NOTICED_MM = 5;

/** So many motifs side by side are looked at one by one; more are a pattern that runs on. */
const MOST_SINGLE = 2;

/** One or two whole motifs on a wall that stand beside its middle. */
export const motifOffMiddle: AdviceRule = ({ job, surface, surfaceIndex, plan: { traced, fields } }) => {
  if (surface.kind !== 'wall') return [];
  return fields.flatMap(({ id, layout, laid }) => {
    if (id !== 'main') return [];
    const boxes = wholeMotifCells(layout).map(([i, j]) => boxOf(sheetRings(layout, i, j).flat()));
    const lefts = new Set(boxes.map(({ minX }) => Math.round(minX)));
    if (lefts.size === 0 || lefts.size > MOST_SINGLE) return [];
    const middle = (Math.min(...boxes.map(({ minX }) => minX)) + Math.max(...boxes.map(({ maxX }) => maxX))) / 2;
    const { minX, maxX } = traced.body;
    const offMm = middle - (minX + maxX) / 2;
    if (Math.abs(offMm) < NOTICED_MM) return [];
    return [
      {
        code: 'advice/motif-off-middle',
        severity: 'note' as const,
        path: ['surfaces', surfaceIndex, 'setout'],
        figures: { name: productNamed(job.products, laid.productIds[0]).name, offMm: Math.abs(offMm), side: offMm < 0 ? 'left' : 'right' },
      },
    ];
  });
};
