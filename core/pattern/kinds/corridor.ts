import { z } from 'zod';
import { rectangleRing } from '../../geometry/ring.ts';
import type { PatternKind } from '../patternKind.ts';
import type { Module } from '../repeat.ts';
import { squareOf } from '../squareOf.ts';
import { tilePiece } from '../tilePiece.ts';
import { uprightRepeat } from '../turnRepeat.ts';

const schema = z.strictObject({
  kind: z.literal('corridor'),
  lay: z.enum(['lying', 'upright']).describe('Whether the courses run across or up'),
  each: z.int().min(1).max(12).describe('Small tiles to one large tile of the course'),
});

type Corridor = z.infer<typeof schema>;

/** The small square of which so many make up a large tile's length, mm. */
const idealSmall = ({ widthMm, jointMm }: Module, each: number): number => (widthMm + jointMm) / each - jointMm;

const smallOf = (module: Module, each: number) => module.parts?.['small'] ?? squareOf(idealSmall(module, each));

/** A course of large tiles, then one of small: so many small ones to each large. Their joint is (w + j)/n - s. */
export const corridor = {
  id: 'corridor',
  schema,
  defaults: { kind: 'corridor', lay: 'lying', each: 3 },
  takes: ['rectangle'],
  slower: 1.3,
  startDecidesEnds: false,
  hardCuts: 'hardestLast',
  isMounted: false,
  liesBy: 'longSide',
  misfit: (module, { each }) => (idealSmall(module, each) <= module.jointMm ? 'tooNarrow' : null),
  parts: (module, { each }) => ({ small: squareOf(idealSmall(module, each)) }),
  innerJoint: (module, { each }) => (module.widthMm + module.jointMm) / each - smallOf(module, each).widthMm,
  repeat: (module, { lay, each }: Corridor) => {
    const { widthMm, heightMm, jointMm } = module;
    const small = smallOf(module, each);
    const step = (widthMm + jointMm) / each;
    const pieces = [
      tilePiece(rectangleRing(0, 0, widthMm, heightMm)),
      ...Array.from({ length: each }, (_, k) =>
        tilePiece(rectangleRing(k * step, heightMm + jointMm, small.widthMm, small.heightMm), { course: 1, part: 'small' }),
      ),
    ];
    const repeat = {
      vectors: [
        [widthMm + jointMm, 0],
        [0, heightMm + small.heightMm + 2 * jointMm],
      ],
      pieces,
      coursesPerCell: 2,
      upright: false,
    } as const;
    return lay === 'lying' ? repeat : uprightRepeat(repeat);
  },
} as const satisfies PatternKind<Corridor>;
