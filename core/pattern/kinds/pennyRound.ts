import { z } from 'zod';
import { tileOutline } from '../../tile/tileOutline.ts';
import type { PatternKind } from '../patternKind.ts';
import { shapeOf } from '../repeat.ts';
import { tilePiece } from '../tilePiece.ts';

const schema = z.strictObject({ kind: z.literal('pennyRound') });

/** Rounds packed as close as their joint lets them. Vectors (d+j, 0), ((d+j)/2, (d+j)·√3/2). */
export const pennyRound = {
  id: 'pennyRound',
  schema,
  defaults: { kind: 'pennyRound' },
  takes: ['round'],
  slower: 1.2,
  startDecidesEnds: false,
  hardCuts: 'hardestFirst',
  isMounted: true,
  liesBy: null,
  repeat: (module) => {
    const step = module.widthMm + module.jointMm;
    return {
      vectors: [
        [step, 0],
        [step / 2, (step * Math.sqrt(3)) / 2],
      ],
      pieces: [tilePiece(tileOutline(shapeOf(module, 'round'), module))],
      coursesPerCell: 1,
      upright: false,
    };
  },
} as const satisfies PatternKind<z.infer<typeof schema>>;
