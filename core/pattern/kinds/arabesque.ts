import { z } from 'zod';
import { cellAround, lanternCell } from '../../tile/tileOutline.ts';
import type { PatternKind } from '../patternKind.ts';
import { shapeOf } from '../repeat.ts';
import { tilePiece } from '../tilePiece.ts';
import { uprightRepeat } from '../turnRepeat.ts';

const schema = z.strictObject({
  kind: z.literal('arabesque'),
  lay: z.enum(['lying', 'upright']).describe('Points up, or points sideways'),
});

/** Lanterns: a rhombic lattice whose four edges are S-curves; the piece is that cell drawn in by half a joint. */
export const arabesque = {
  id: 'arabesque',
  schema,
  defaults: { kind: 'arabesque', lay: 'upright' },
  takes: ['lantern'],
  slower: 1.5,
  startDecidesEnds: false,
  hardCuts: 'hardestFirst',
  isMounted: true,
  liesBy: 'points',
  repeat: (module, { lay }) => {
    const { swell } = shapeOf(module, 'lantern');
    const { size, piece } = cellAround(module, module.jointMm, (w, h) => lanternCell(w, h, swell));
    const repeat = {
      vectors: [
        [size.widthMm, 0],
        [size.widthMm / 2, size.heightMm / 2],
      ],
      pieces: [tilePiece(piece)],
      coursesPerCell: 1,
      upright: false,
    } as const;
    return lay === 'upright' ? repeat : uprightRepeat(repeat);
  },
} as const satisfies PatternKind<z.infer<typeof schema>>;
