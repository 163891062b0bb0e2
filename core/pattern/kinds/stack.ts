import { z } from 'zod';
import { coursedRepeat } from '../coursedRepeat.ts';
import { layTile } from '../layTile.ts';
import type { PatternKind } from '../patternKind.ts';

const schema = z.strictObject({
  kind: z.literal('stack'),
  lay: z.enum(['lying', 'upright']).describe('Long side across or up the drawing'),
});

/** Joints straight through both ways. Vectors (w+j, 0) and (0, h+j). */
export const stack = {
  id: 'stack',
  schema,
  defaults: { kind: 'stack', lay: 'lying' },
  takes: ['rectangle'],
  slower: 1,
  startDecidesEnds: true,
  hardCuts: 'hardestLast',
  isMounted: true,
  liesBy: 'longSide',
  repeat: (module, { lay }) => {
    const tile = layTile(module, lay);
    const vectors = [
      [tile.alongMm + module.jointMm, 0],
      [0, tile.acrossMm + module.jointMm],
    ] as const;
    return coursedRepeat(tile, [{ along: 0, across: 0 }], vectors, lay === 'upright');
  },
} as const satisfies PatternKind<z.infer<typeof schema>>;
