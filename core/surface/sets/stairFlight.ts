import { z } from 'zod';
import { lengthSchema } from '../../units/lengthSchema.ts';
import type { SetFace, SetJoin, SetKind } from './setKind.ts';

const stepSchema = z.strictObject({
  riserWidthMm: lengthSchema.describe('Left to right of the riser, mm'),
  riserHeightMm: lengthSchema.describe('Bottom to top of the riser, mm'),
  treadWidthMm: lengthSchema.describe('Left to right of the tread, mm'),
  treadDepthMm: lengthSchema.describe('Front to back of the tread, mm'),
});

const schema = z.strictObject({ kind: z.literal('stairFlight'), steps: z.array(stepSchema).min(1).max(40).describe('From below') });

/** A flight of stairs, each riser and each tread with its own sizes. */
export const stairFlight = {
  id: 'stairFlight',
  schema,
  defaults: {
    kind: 'stairFlight',
    steps: [1, 2, 3].map(() => ({ riserWidthMm: 900, riserHeightMm: 175, treadWidthMm: 900, treadDepthMm: 270 })),
  },
  faces: ({ steps }) => ({
    faces: steps.flatMap((step, k): SetFace[] => [
      {
        key: `riser-${k + 1}`,
        part: 'riser',
        number: k + 1,
        kind: 'wall',
        shape: { kind: 'rectangle', widthMm: step.riserWidthMm, heightMm: step.riserHeightMm },
        roles: { top: 'continues' },
      },
      {
        key: `tread-${k + 1}`,
        part: 'tread',
        number: k + 1,
        kind: 'floor',
        shape: { kind: 'rectangle', widthMm: step.treadWidthMm, heightMm: step.treadDepthMm },
        roles: { bottom: 'exposed' },
      },
    ]),
    joins: steps.flatMap((_, k): SetJoin[] => {
      const nosing: SetJoin = { a: [`riser-${k + 1}`, 'top'], b: [`tread-${k + 1}`, 'bottom'], meets: 'outside' };
      return k + 1 < steps.length ? [nosing, { a: [`tread-${k + 1}`, 'top'], b: [`riser-${k + 2}`, 'bottom'], meets: 'inside' }] : [nosing];
    }),
  }),
} as const satisfies SetKind<z.infer<typeof schema>>;
