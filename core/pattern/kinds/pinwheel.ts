import { z } from 'zod';
import { rectangleRing } from '../../geometry/ring.ts';
import type { PatternKind } from '../patternKind.ts';
import type { Module } from '../repeat.ts';
import { isSquare, squareOf } from '../squareOf.ts';
import { tilePiece } from '../tilePiece.ts';

const schema = z.strictObject({ kind: z.literal('pinwheel') });

const smallSide = ({ parts, widthMm }: Module): number => parts?.['small']?.widthMm ?? widthMm / 2;

/** A large and a small square by turns, so that no joint runs through. With A = a+j, B = b+j: vectors (A, B), (-B, A). */
export const pinwheel = {
  id: 'pinwheel',
  schema,
  defaults: { kind: 'pinwheel' },
  takes: ['rectangle'],
  slower: 1.3,
  startDecidesEnds: false,
  hardCuts: 'hardestLast',
  isMounted: true,
  liesBy: null,
  misfit: (module) => (isSquare(module) ? null : 'notSquare'),
  parts: ({ widthMm }) => ({ small: squareOf(widthMm / 2) }),
  repeat: (module) => {
    const large = module.widthMm;
    const small = smallSide(module);
    const [a, b] = [large + module.jointMm, small + module.jointMm];
    return {
      vectors: [
        [a, b],
        [-b, a],
      ],
      pieces: [tilePiece(rectangleRing(0, 0, large, large)), tilePiece(rectangleRing(a, 0, small, small), { part: 'small' })],
      coursesPerCell: 1,
      upright: false,
    };
  },
} as const satisfies PatternKind<z.infer<typeof schema>>;
