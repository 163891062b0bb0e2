import { z } from 'zod';
import { changedOver, placedPiece } from '../placedPiece.ts';
import type { PatternKind } from '../patternKind.ts';
import type { Point } from '../../geometry/point.ts';
import type { RepeatPiece } from '../repeat.ts';

const schema = z.strictObject({
  kind: z.literal('herringbone'),
  lay: z.enum(['lying', 'upright']).describe('Which way the zigzag leans'),
  strips: z.union([z.literal(1), z.literal(2)]).describe('Single, or double: two side by side'),
});

/** A tile less oblong than this makes steps, no herringbone. */
const OBLONG = 1.25;

/**
 * Pieces that meet end to side. With w the short side, p = n(w+j) and q = h+j: pieces [0,q]x[0,p] and
 * [0,p]x[p,p+q], vectors (p,p), (q,-q); any ratio of the sides works.
 *
 *      +--+
 *      |  +------+
 *      |  +------+
 *      +--+---+
 *      +------+
 */
export const herringbone = {
  id: 'herringbone',
  schema,
  defaults: { kind: 'herringbone', lay: 'lying', strips: 1 },
  takes: ['rectangle'],
  slower: 1.45,
  startDecidesEnds: false,
  hardCuts: 'hardestLast',
  isMounted: true,
  liesBy: 'longSide',
  misfit: ({ widthMm, heightMm }) => (Math.max(widthMm, heightMm) < OBLONG * Math.min(widthMm, heightMm) ? 'tooSquare' : null),
  repeat: (module, { lay, strips }) => {
    const step = Math.min(module.widthMm, module.heightMm) + module.jointMm;
    const p = strips * step;
    const q = Math.max(module.widthMm, module.heightMm) + module.jointMm;
    const pieces = Array.from({ length: strips }, (_, k): RepeatPiece[] => [
      placedPiece(module, 0, k * step, 'x', 0),
      placedPiece(module, k * step, p, 'y', 0),
    ]).flat();
    const upright = lay === 'upright';
    const vectors: readonly [Point, Point] = upright
      ? [
          [p, p],
          [-q, q],
        ]
      : [
          [p, p],
          [q, -q],
        ];
    return { vectors, pieces: upright ? changedOver(module, pieces) : pieces, coursesPerCell: 1, upright };
  },
} as const satisfies PatternKind<z.infer<typeof schema>>;
