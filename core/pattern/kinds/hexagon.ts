import { HAIR_MM } from '../../tolerances.ts';
import { z } from 'zod';
import { tileOutline, tipOf } from '../../tile/tileOutline.ts';
import type { PatternKind } from '../patternKind.ts';
import { shapeOf } from '../repeat.ts';
import { tilePiece } from '../tilePiece.ts';
import { uprightRepeat } from '../turnRepeat.ts';

const schema = z.strictObject({
  kind: z.literal('hexagon'),
  lay: z.enum(['lying', 'upright']).describe('Flats up, or points up'),
});

/** Without flats it is a diamond, and its outline would have sides of no length, mm. */
const LEAST_FLAT_MM = HAIR_MM;

/**
 * Hexagons, regular or long. Across the flats d: (d+j, 0), ((d+j)/2, V). The slanted sides are j apart
 * where V = h - t + j (2l - t)/d, with t the height of a point and l the length of a slanted side; for a
 * regular hexagon that is (d+j)·√3/2.
 */
export const hexagon = {
  id: 'hexagon',
  schema,
  defaults: { kind: 'hexagon', lay: 'upright' },
  takes: ['hexagon'],
  slower: 1.3,
  startDecidesEnds: false,
  hardCuts: 'hardestLast',
  isMounted: true,
  liesBy: 'flats',
  misfit: (module) => (2 * tipOf(shapeOf(module, 'hexagon'), module.widthMm) > module.heightMm - LEAST_FLAT_MM ? 'pointsTooLong' : null),
  repeat: (module, { lay }) => {
    const { widthMm: d, heightMm, jointMm: j } = module;
    const shape = shapeOf(module, 'hexagon');
    const tip = tipOf(shape, d);
    const slant = Math.hypot(d / 2, tip);
    const up = heightMm - tip + (j * (2 * slant - tip)) / d;
    const repeat = {
      vectors: [
        [d + j, 0],
        [(d + j) / 2, up],
      ],
      pieces: [tilePiece(tileOutline(shape, module))],
      coursesPerCell: 1,
      upright: false,
    } as const;
    return lay === 'upright' ? repeat : uprightRepeat(repeat);
  },
} as const satisfies PatternKind<z.infer<typeof schema>>;
