import { z } from 'zod';
import { tileOutline } from '../../tile/tileOutline.ts';
import type { PatternKind } from '../patternKind.ts';
import { shapeOf } from '../repeat.ts';
import { tilePiece } from '../tilePiece.ts';

const schema = z.strictObject({ kind: z.literal('diamond') });

/** How much larger the cell of a rhombus is than the rhombus: its inner circle grown by half a joint. */
const growth = (widthMm: number, heightMm: number, jointMm: number): number =>
  1 + (jointMm * Math.hypot(widthMm, heightMm)) / (widthMm * heightMm);

/** Diamonds side by side. Vectors along two sides, k (w/2, h/2) and k (-w/2, h/2), k = 1 + j √(w² + h²)/(w h). */
export const diamond = {
  id: 'diamond',
  schema,
  defaults: { kind: 'diamond' },
  takes: ['diamond'],
  slower: 1.35,
  startDecidesEnds: false,
  hardCuts: 'hardestLast',
  isMounted: true,
  liesBy: null,
  repeat: (module) => {
    const { widthMm, heightMm, jointMm } = module;
    const k = growth(widthMm, heightMm, jointMm);
    return {
      vectors: [
        [k * widthMm, 0],
        [(k * widthMm) / 2, (k * heightMm) / 2],
      ],
      pieces: [tilePiece(tileOutline(shapeOf(module, 'diamond'), module))],
      coursesPerCell: 1,
      upright: false,
    };
  },
} as const satisfies PatternKind<z.infer<typeof schema>>;
