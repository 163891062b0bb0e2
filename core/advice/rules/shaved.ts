import { LEAST_CUT_MM } from '../../geometry/conventions.ts';
import { boxOf } from '../../geometry/ring.ts';
import type { CutPiece } from '../../cuts/cutPiece.ts';
import type { AdviceRule } from '../finding.ts';

/** Less than this off a tile nobody snaps or saws well, mm (trade practice). */
const SHAVED_MM = 3;

/** Tiles that only lose a shaving: they are ground down, or the setout is moved. */
export const shaved: AdviceRule = ({ surfaceIndex, plan: { cuts } }) => {
  const off = cuts.flatMap((cut) => (cut.of === 'tile' ? shavingsOf(cut) : []));
  return off.length > 0
    ? [
        {
          code: 'advice/shaved',
          severity: 'note',
          path: ['surfaces', surfaceIndex, 'setout'],
          figures: { count: off.length, offMm: Math.min(...off), limitMm: SHAVED_MM },
        },
      ]
    : [];
};

/** The shaving that a piece loses by a cut right across it, mm; none where its cuts take more. */
function shavingsOf({ marks, tile }: CutPiece): number[] {
  const { minX, maxX, minY, maxY } = boxOf(tile);
  const shavings = marks.flatMap((mark) => {
    if (mark.type !== 'line' || mark.end !== undefined) return [];
    const fullMm = mark.from === 'left' || mark.from === 'right' ? maxX - minX : maxY - minY;
    const offMm = fullMm - Math.min(...mark.mm);
    return offMm < SHAVED_MM - 0.01 && offMm >= LEAST_CUT_MM ? [offMm] : [];
  });
  return shavings.slice(0, 1);
}
