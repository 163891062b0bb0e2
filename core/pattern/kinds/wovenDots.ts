import { z } from 'zod';
import { rectangleRing } from '../../geometry/ring.ts';
import type { PatternKind } from '../patternKind.ts';
import type { Module } from '../repeat.ts';
import { squareOf } from '../squareOf.ts';
import { centredRing, tilePiece } from '../tilePiece.ts';

const schema = z.strictObject({ kind: z.literal('wovenDots') });

/** Side of the square that the strips leave at every crossing, joints included, mm. */
const gapOf = ({ widthMm, heightMm, jointMm }: Module): number => Math.abs(widthMm - heightMm) / 2 + jointMm;

const idealDot = (module: Module): number => gapOf(module) - 2 * module.jointMm;

const dotSide = (module: Module): number => module.parts?.['dot']?.widthMm ?? idealDot(module);

/**
 * Strips across and upright by turns, half the sum of their sides and a joint apart, with a dot at every
 * crossing: (L - W)/2 - j keeps the joint.
 *
 *     +-----+ . |  |
 *     +-----+   |  |  .
 *       . |  |  |  |
 */
export const wovenDots = {
  id: 'wovenDots',
  schema,
  defaults: { kind: 'wovenDots' },
  takes: ['rectangle'],
  slower: 1.5,
  startDecidesEnds: false,
  hardCuts: 'hardestLast',
  isMounted: true,
  liesBy: null,
  misfit: (module) => (idealDot(module) < Math.max(2, module.jointMm) ? 'tooSquare' : null),
  parts: (module) => ({ dot: squareOf(idealDot(module)) }),
  innerJoint: (module) => (gapOf(module) - dotSide(module)) / 2,
  repeat: (module) => {
    const { widthMm, heightMm, jointMm } = module;
    const [long, short] = [Math.max(widthMm, heightMm), Math.min(widthMm, heightMm)];
    const pitch = (long + short) / 2 + jointMm;
    const turned = widthMm < heightMm ? 90 : 0;
    const side = dotSide(module);
    const dot = (x: number, y: number) => tilePiece(centredRing(rectangleRing(0, 0, side, side), x, y), { part: 'dot' });
    return {
      vectors: [
        [2 * pitch, 0],
        [pitch, pitch],
      ],
      pieces: [
        tilePiece(centredRing(rectangleRing(0, 0, long, short), 0, 0), { turnDeg: turned }),
        tilePiece(centredRing(rectangleRing(0, 0, short, long), pitch, 0), { turnDeg: 90 - turned }),
        dot(pitch / 2, pitch / 2),
        dot(pitch * 1.5, pitch / 2),
      ],
      coursesPerCell: 1,
      upright: false,
    };
  },
} as const satisfies PatternKind<z.infer<typeof schema>>;
