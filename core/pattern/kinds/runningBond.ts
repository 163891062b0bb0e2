import { z } from 'zod';
import { coursedRepeat } from '../coursedRepeat.ts';
import { layTile } from '../layTile.ts';
import type { PatternKind } from '../patternKind.ts';

const schema = z.strictObject({
  kind: z.literal('runningBond'),
  lay: z.enum(['lying', 'upright']).describe('Long side across or up the drawing'),
  offset: z.number().gt(0).lt(1).describe('Share of a piece by which a course is shifted'),
  step: z.enum(['alternating', 'stepped']).describe('Shifted to and fro, or further each course'),
});

/**
 * Courses shifted by a share of the piece. Alternating: every other course shifted, vectors
 * (w+j, 0), (0, 2(h+j)). Stepped: each course shifted on, vectors (w+j, 0), (f(w+j), h+j).
 */
export const runningBond = {
  id: 'runningBond',
  schema,
  defaults: { kind: 'runningBond', lay: 'lying', offset: 0.5, step: 'alternating' },
  takes: ['rectangle'],
  slower: 1.05,
  startDecidesEnds: true,
  hardCuts: 'hardestLast',
  isMounted: true,
  liesBy: 'longSide',
  repeat: (module, { lay, offset, step }) => {
    const tile = layTile(module, lay);
    const along = tile.alongMm + module.jointMm;
    const across = tile.acrossMm + module.jointMm;
    const first = { along: 0, across: 0 };
    const upright = lay === 'upright';
    return step === 'stepped'
      ? coursedRepeat(
          tile,
          [first],
          [
            [along, 0],
            [offset * along, across],
          ],
          upright,
        )
      : coursedRepeat(
          tile,
          [first, { along: offset * along, across }],
          [
            [along, 0],
            [0, 2 * across],
          ],
          upright,
        );
  },
} as const satisfies PatternKind<z.infer<typeof schema>>;
