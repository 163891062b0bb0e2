import { z } from 'zod';
import { rectangleRing } from '../../geometry/ring.ts';
import { tileOutline } from '../../tile/tileOutline.ts';
import type { PatternKind } from '../patternKind.ts';
import { shapeOf, type Module } from '../repeat.ts';
import { squareOf } from '../squareOf.ts';
import { centredRing, tilePiece } from '../tilePiece.ts';

const schema = z.strictObject({ kind: z.literal('octagonDot') });

const dotSide = (module: Module): number => module.parts?.['dot']?.widthMm ?? idealDot(module);

/** The dot that keeps the joint all round: √2 (j + c) - 2 j, with c the corner cut off the octagon; mm. */
function idealDot(module: Module): number {
  return Math.SQRT2 * (module.jointMm + shapeOf(module, 'octagon').cornerMm) - 2 * module.jointMm;
}

/** Octagons with a dot in the square that four of them leave. Vectors (w+j, 0), (0, h+j); dot joint (√2 (j+c) - s)/2. */
export const octagonDot = {
  id: 'octagonDot',
  schema,
  defaults: { kind: 'octagonDot' },
  takes: ['octagon'],
  slower: 1.4,
  startDecidesEnds: false,
  hardCuts: 'hardestLast',
  isMounted: true,
  liesBy: null,
  misfit: (module) =>
    2 * shapeOf(module, 'octagon').cornerMm >= Math.min(module.widthMm, module.heightMm)
      ? 'cornersTooLarge'
      : idealDot(module) <= 0
        ? 'tooNarrow'
        : null,
  parts: (module) => ({ dot: squareOf(idealDot(module)) }),
  innerJoint: (module) => (Math.SQRT2 * (module.jointMm + shapeOf(module, 'octagon').cornerMm) - dotSide(module)) / 2,
  repeat: (module) => {
    const { widthMm, heightMm, jointMm } = module;
    const side = dotSide(module);
    const dot = centredRing(rectangleRing(0, 0, side, side), widthMm + jointMm / 2, heightMm + jointMm / 2, 45);
    return {
      vectors: [
        [widthMm + jointMm, 0],
        [0, heightMm + jointMm],
      ],
      pieces: [tilePiece(tileOutline(shapeOf(module, 'octagon'), module)), tilePiece(dot, { turnDeg: 45, part: 'dot' })],
      coursesPerCell: 1,
      upright: false,
    };
  },
} as const satisfies PatternKind<z.infer<typeof schema>>;
