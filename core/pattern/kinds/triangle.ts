import { z } from 'zod';
import { tileOutline } from '../../tile/tileOutline.ts';
import type { PatternKind } from '../patternKind.ts';
import { shapeOf } from '../repeat.ts';
import { placedRing, tilePiece } from '../tilePiece.ts';

const schema = z.strictObject({ kind: z.literal('triangle') });

/** Triangles point up and down by turns. The cell's triangle is the tile's, its inner circle r grown by half a joint. */
export const triangle = {
  id: 'triangle',
  schema,
  defaults: { kind: 'triangle' },
  takes: ['triangle'],
  slower: 1.45,
  startDecidesEnds: false,
  hardCuts: 'hardestLast',
  isMounted: true,
  liesBy: null,
  repeat: (module) => {
    const { widthMm: base, heightMm: height, jointMm } = module;
    const inner = (base * height) / (base + 2 * Math.hypot(base / 2, height));
    const grown = 1 + jointMm / 2 / inner;
    const [b, h] = [base * grown, height * grown];
    const up = placedRing(tileOutline(shapeOf(module, 'triangle'), module), (b - base) / 2, jointMm / 2);
    const down = placedRing(up, 1.5 * b, h, 180);
    return {
      vectors: [
        [b, 0],
        [b / 2, h],
      ],
      pieces: [tilePiece(up), tilePiece(down, { turnDeg: 180 })],
      coursesPerCell: 1,
      upright: false,
    };
  },
} as const satisfies PatternKind<z.infer<typeof schema>>;
