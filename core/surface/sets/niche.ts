import { z } from 'zod';
import { lengthSchema } from '../../units/lengthSchema.ts';
import type { EdgeRole } from '../edge.ts';
import type { SetFace, SetJoin, SetKind } from './setKind.ts';

const schema = z.strictObject({
  kind: z.literal('niche'),
  widthMm: lengthSchema.describe('Left to right at the back, mm'),
  heightMm: lengthSchema.describe('Bottom to top at the back, mm'),
  leftDepthMm: lengthSchema,
  rightDepthMm: lengthSchema,
  sillDepthMm: lengthSchema,
  headDepthMm: lengthSchema,
});

type Niche = z.infer<typeof schema>;

/**
 * A niche: its back and four sides, unfolded round it, the fronts outwards.
 *
 *            +------+           head
 *      +-----+------+-----+
 *      | left| back |right|
 *      +-----+------+-----+
 *            +------+           sill
 */
export const niche = {
  id: 'niche',
  schema,
  defaults: { kind: 'niche', widthMm: 600, heightMm: 300, leftDepthMm: 95, rightDepthMm: 95, sillDepthMm: 95, headDepthMm: 95 },
  faces: (form) => ({ faces: facesOf(form), joins: JOINS }),
} as const satisfies SetKind<Niche>;

function facesOf({ widthMm, heightMm, leftDepthMm, rightDepthMm, sillDepthMm, headDepthMm }: Niche): SetFace[] {
  const face = (part: SetFace['part'], width: number, height: number, front: Record<string, EdgeRole>): SetFace => {
    return { key: part, part, number: 0, kind: 'wall', shape: { kind: 'rectangle', widthMm: width, heightMm: height }, roles: front };
  };
  return [
    face('back', widthMm, heightMm, {}),
    face('leftSide', leftDepthMm, heightMm, { left: 'exposed' }),
    face('rightSide', rightDepthMm, heightMm, { right: 'exposed' }),
    face('sill', widthMm, sillDepthMm, { bottom: 'exposed' }),
    face('head', widthMm, headDepthMm, { top: 'exposed' }),
  ];
}

/** The first runs through: it is laid before the other, which ends at its tile. */
const inside = (a: SetJoin['a'], b: SetJoin['b']): SetJoin => ({ a, b, meets: 'inside', through: 'a' });

/** The back goes first, then the sill, the sides that stand on it, and the head on top of them. */
const JOINS: readonly SetJoin[] = [
  inside(['back', 'left'], ['leftSide', 'right']),
  inside(['back', 'right'], ['rightSide', 'left']),
  inside(['back', 'bottom'], ['sill', 'top']),
  inside(['back', 'top'], ['head', 'bottom']),
  inside(['sill', 'left'], ['leftSide', 'bottom']),
  inside(['leftSide', 'top'], ['head', 'left']),
  inside(['sill', 'right'], ['rightSide', 'bottom']),
  inside(['rightSide', 'top'], ['head', 'right']),
];
