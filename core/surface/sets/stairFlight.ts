import { z } from 'zod';
import { lengthSchema } from '../../units/lengthSchema.ts';
import type { EdgeRole } from '../edge.ts';
import type { SetFace, SetJoin, SetKind } from './setKind.ts';

const stepSchema = z.strictObject({
  riserWidthMm: lengthSchema.describe('Left to right of the riser, mm'),
  riserHeightMm: lengthSchema.describe('Bottom to top of the riser, mm'),
  treadWidthMm: lengthSchema.describe('Left to right of the tread, mm'),
  treadDepthMm: lengthSchema.describe('Front to back of the tread, mm'),
});

const schema = z.strictObject({
  kind: z.literal('stairFlight'),
  tiled: z.enum(['both', 'risers', 'treads']).default('both').describe('Risers without treads, or the other way round'),
  steps: z.array(stepSchema).min(1).max(40).describe('From below'),
});

type StairStep = z.infer<typeof stepSchema>;

const riser = ({ riserWidthMm, riserHeightMm }: StairStep, number: number, top: EdgeRole): SetFace => ({
  key: `riser-${number}`,
  part: 'riser',
  number,
  kind: 'wall',
  shape: { kind: 'rectangle', widthMm: riserWidthMm, heightMm: riserHeightMm },
  roles: { top },
});

const tread = ({ treadWidthMm, treadDepthMm }: StairStep, number: number): SetFace => ({
  key: `tread-${number}`,
  part: 'tread',
  number,
  kind: 'floor',
  shape: { kind: 'rectangle', widthMm: treadWidthMm, heightMm: treadDepthMm },
  roles: { bottom: 'exposed' },
});

/** A riser goes on over its nosing; a tread meets the riser behind it, which was laid before it. */
function joinsOf(number: number, count: number): SetJoin[] {
  const nosing: SetJoin = { a: [`riser-${number}`, 'top'], b: [`tread-${number}`, 'bottom'], meets: 'outside' };
  const behind: SetJoin = { a: [`tread-${number}`, 'top'], b: [`riser-${number + 1}`, 'bottom'], meets: 'inside', through: 'b' };
  return number < count ? [nosing, behind] : [nosing];
}

/** Risers alone, or treads alone, are seen over each other: what is tiled between two of them is nothing. */
const inLine = (part: 'riser' | 'tread', count: number): SetJoin[] =>
  Array.from({ length: count - 1 }, (_, k) => ({ a: [`${part}-${k + 1}`, 'top'], b: [`${part}-${k + 2}`, 'bottom'], meets: 'inLine' }));

/** A flight of stairs, each riser and each tread with its own sizes; of both, or of one of them alone. */
export const stairFlight = {
  id: 'stairFlight',
  schema,
  defaults: {
    kind: 'stairFlight',
    tiled: 'both',
    steps: [1, 2, 3].map(() => ({ riserWidthMm: 900, riserHeightMm: 175, treadWidthMm: 900, treadDepthMm: 270 })),
  },
  faces: ({ steps, tiled }) => ({
    faces: steps.flatMap((step, k) => [
      ...(tiled === 'treads' ? [] : [riser(step, k + 1, tiled === 'both' ? 'continues' : 'exposed')]),
      ...(tiled === 'risers' ? [] : [tread(step, k + 1)]),
    ]),
    joins:
      tiled === 'both'
        ? steps.flatMap((_, k) => joinsOf(k + 1, steps.length))
        : inLine(tiled === 'risers' ? 'riser' : 'tread', steps.length),
  }),
} as const satisfies SetKind<z.infer<typeof schema>>;
