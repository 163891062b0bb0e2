import { z } from 'zod';
import { lengthSchema } from '../../units/lengthSchema.ts';
import type { SetFace, SetJoin, SetKind } from './setKind.ts';

const schema = z.strictObject({
  kind: z.literal('room'),
  widthMm: lengthSchema.describe('Left to right, mm'),
  depthMm: lengthSchema.describe('Front to back, mm'),
  heightMm: lengthSchema.describe('How high the walls are tiled, mm'),
});

const AROUND = ['bottom', 'right', 'top', 'left'] as const;

/** A floor and its four walls. */
export const room = {
  id: 'room',
  schema,
  defaults: { kind: 'room', widthMm: 2400, depthMm: 1800, heightMm: 1200 },
  faces: ({ widthMm, depthMm, heightMm }) => ({
    faces: [
      { key: 'floor', part: 'floor', number: 0, kind: 'floor', shape: { kind: 'rectangle', widthMm, heightMm: depthMm }, roles: {} },
      ...AROUND.map((_, k): SetFace => {
        const shape = { kind: 'rectangle', widthMm: k % 2 === 0 ? widthMm : depthMm, heightMm } as const;
        return { key: `wall-${k + 1}`, part: 'wall', number: k + 1, kind: 'wall', shape, roles: { top: 'exposed' } };
      }),
    ],
    // The floor goes under the walls; the far wall runs through, those beside it butt against it, the near one against them.
    joins: AROUND.flatMap((edge, k): SetJoin[] => [
      { a: ['floor', edge], b: [`wall-${k + 1}`, 'bottom'], meets: 'inside', through: 'a' },
      { a: [`wall-${k + 1}`, 'left'], b: [`wall-${((k + 1) % 4) + 1}`, 'right'], meets: 'inside', through: k < 2 ? 'b' : 'a' },
    ]),
  }),
} as const satisfies SetKind<z.infer<typeof schema>>;
