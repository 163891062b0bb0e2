import { z } from 'zod';
import { cellAround, scallopCell } from '../../tile/tileOutline.ts';
import type { PatternKind } from '../patternKind.ts';
import { shapeOf } from '../repeat.ts';
import { tilePiece } from '../tilePiece.ts';

const schema = z.strictObject({ kind: z.literal('scallop') });

/** Scallops: each course shifted by half, its points in the hollows of the one below. Vectors (A, 0), (A/2, B/2). */
export const scallop = {
  id: 'scallop',
  schema,
  defaults: { kind: 'scallop' },
  takes: ['scallop'],
  slower: 1.5,
  startDecidesEnds: false,
  hardCuts: 'hardestFirst',
  isMounted: true,
  liesBy: null,
  repeat: (module) => {
    shapeOf(module, 'scallop');
    const { size, piece } = cellAround(module, module.jointMm, scallopCell);
    return {
      vectors: [
        [size.widthMm, 0],
        [size.widthMm / 2, size.heightMm / 2],
      ],
      pieces: [tilePiece(piece)],
      coursesPerCell: 1,
      upright: false,
    };
  },
} as const satisfies PatternKind<z.infer<typeof schema>>;
