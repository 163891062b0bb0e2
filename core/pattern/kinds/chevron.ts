import { z } from 'zod';
import type { PatternKind } from '../patternKind.ts';
import { shapeOf } from '../repeat.ts';
import { tilePiece } from '../tilePiece.ts';
import { uprightRepeat } from '../turnRepeat.ts';

const schema = z.strictObject({
  kind: z.literal('chevron'),
  lay: z.enum(['lying', 'upright']).describe('Points up, or points sideways'),
});

/**
 * Strips with slanted ends, left hand and right hand by turns, their ends in one straight joint. With the
 * slope b = 90° - cut: columns w cos b + j wide, courses h/cos b + j/cos b high.
 */
export const chevron = {
  id: 'chevron',
  schema,
  defaults: { kind: 'chevron', lay: 'upright' },
  takes: ['chevron'],
  slower: 1.5,
  startDecidesEnds: false,
  hardCuts: 'hardestLast',
  isMounted: false,
  liesBy: 'points',
  repeat: (module, { lay }) => {
    const { widthMm, heightMm, jointMm } = module;
    const slopeDeg = 90 - shapeOf(module, 'chevron').cutDeg;
    const slope = (slopeDeg * Math.PI) / 180;
    const across = widthMm * Math.cos(slope);
    const rise = widthMm * Math.sin(slope);
    const end = heightMm / Math.cos(slope);
    const next = across + jointMm;
    const left = tilePiece(
      [
        [0, 0],
        [across, rise],
        [across, rise + end],
        [0, end],
      ],
      { turnDeg: slopeDeg, hand: 'left' },
    );
    const right = tilePiece(
      [
        [next, rise],
        [next + across, 0],
        [next + across, end],
        [next, rise + end],
      ],
      { turnDeg: -slopeDeg, hand: 'right' },
    );
    const repeat = {
      vectors: [
        [2 * next, 0],
        [0, end + jointMm / Math.cos(slope)],
      ],
      pieces: [left, right],
      coursesPerCell: 1,
      upright: false,
    } as const;
    return lay === 'upright' ? repeat : uprightRepeat(repeat);
  },
} as const satisfies PatternKind<z.infer<typeof schema>>;
