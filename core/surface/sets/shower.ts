import { z } from 'zod';
import { lengthSchema } from '../../units/lengthSchema.ts';
import type { EdgeRole } from '../edge.ts';
import type { SetFace, SetJoin, SetKind } from './setKind.ts';

const wallSchema = z.strictObject({
  widthMm: lengthSchema.describe('Left to right, mm'),
  heightMm: lengthSchema.describe('Base to top, mm'),
});

const schema = z.strictObject({
  kind: z.literal('shower'),
  walls: z.array(wallSchema).min(2).max(8).describe('From the left as one looks in'),
});

/** Shower walls, unfolded side by side from the left; they stand on a tray and end in the open. */
export const shower = {
  id: 'shower',
  schema,
  defaults: {
    kind: 'shower',
    walls: [
      { widthMm: 900, heightMm: 2100 },
      { widthMm: 1200, heightMm: 2100 },
      { widthMm: 900, heightMm: 2100 },
    ],
  },
  faces: ({ walls }) => ({
    faces: walls.map((wall, k): SetFace => {
      const roles: Record<string, EdgeRole> = { bottom: 'worktop', top: 'exposed' };
      if (k === 0) roles['left'] = 'exposed';
      if (k === walls.length - 1) roles['right'] = 'exposed';
      return { key: `wall-${k + 1}`, part: 'wall', number: k + 1, kind: 'wall', shape: { kind: 'rectangle', ...wall }, roles };
    }),
    // The wall that is looked at, in the middle, runs through; those beside it butt against it, each against the one further in.
    joins: walls.slice(1).map((_, k): SetJoin => {
      const through = k < Math.floor((walls.length - 1) / 2) ? 'b' : 'a';
      return { a: [`wall-${k + 1}`, 'right'], b: [`wall-${k + 2}`, 'left'], meets: 'inside', through };
    }),
  }),
} as const satisfies SetKind<z.infer<typeof schema>>;
