import { z } from 'zod';
import { rectangleRing } from '../../geometry/ring.ts';
import type { PatternKind } from '../patternKind.ts';
import { isSquare } from '../squareOf.ts';
import { tilePiece } from '../tilePiece.ts';

const schema = z.strictObject({ kind: z.literal('turnedSquares') });

/** Square tiles with a direction, every other one a quarter turned: they look woven. Vectors (2(w+j), 0), (w+j, w+j). */
export const turnedSquares = {
  id: 'turnedSquares',
  schema,
  defaults: { kind: 'turnedSquares' },
  takes: ['rectangle'],
  slower: 1.1,
  startDecidesEnds: true,
  hardCuts: 'hardestLast',
  isMounted: false,
  liesBy: null,
  misfit: (module) => (isSquare(module) ? null : 'notSquare'),
  repeat: ({ widthMm, heightMm, jointMm }) => {
    const [x, y] = [widthMm + jointMm, heightMm + jointMm];
    return {
      vectors: [
        [2 * x, 0],
        [x, y],
      ],
      pieces: [tilePiece(rectangleRing(0, 0, widthMm, heightMm)), tilePiece(rectangleRing(x, 0, widthMm, heightMm), { turnDeg: 90 })],
      coursesPerCell: 1,
      upright: false,
    };
  },
} as const satisfies PatternKind<z.infer<typeof schema>>;
