import { z } from 'zod';
import { rectangleRing } from '../../geometry/ring.ts';
import type { PatternKind } from '../patternKind.ts';
import { placedPiece } from '../placedPiece.ts';
import type { Module } from '../repeat.ts';
import { squareOf } from '../squareOf.ts';
import { centredRing, tilePiece } from '../tilePiece.ts';

const schema = z.strictObject({ kind: z.literal('windmill') });

const sidesOf = ({ widthMm, heightMm }: Module): readonly [number, number] => [Math.max(widthMm, heightMm), Math.min(widthMm, heightMm)];

/** The dot that keeps the joint: L - W - j, mm. */
function idealDot(module: Module): number {
  const [long, short] = sidesOf(module);
  return long - short - module.jointMm;
}

const dotSide = (module: Module): number => module.parts?.['dot']?.widthMm ?? idealDot(module);

/** Four strips round a dot, each the end of the next; blocks of L + W + j on a square lattice. */
export const windmill = {
  id: 'windmill',
  schema,
  defaults: { kind: 'windmill' },
  takes: ['rectangle'],
  slower: 1.35,
  startDecidesEnds: false,
  hardCuts: 'hardestLast',
  isMounted: true,
  liesBy: null,
  misfit: (module) => (idealDot(module) < Math.max(2, module.jointMm) ? 'tooSquare' : null),
  parts: (module) => ({ dot: squareOf(idealDot(module)) }),
  innerJoint: (module) => (idealDot(module) + 2 * module.jointMm - dotSide(module)) / 2,
  repeat: (module) => {
    const j = module.jointMm;
    const [long, short] = sidesOf(module);
    const block = long + j + short;
    const side = dotSide(module);
    return {
      vectors: [
        [block + j, 0],
        [0, block + j],
      ],
      pieces: [
        placedPiece(module, 0, 0, 'x', 0),
        placedPiece(module, long + j, 0, 'y', 0),
        placedPiece(module, short + j, long + j, 'x', 0),
        placedPiece(module, 0, short + j, 'y', 0),
        tilePiece(centredRing(rectangleRing(0, 0, side, side), block / 2, block / 2), { part: 'dot' }),
      ],
      coursesPerCell: 1,
      upright: false,
      unit: { minX: 0, minY: 0, maxX: block, maxY: block },
    };
  },
} as const satisfies PatternKind<z.infer<typeof schema>>;
