import { z } from 'zod';
import { distance } from '../geometry/point.ts';
import { gapSchema } from '../units/lengthSchema.ts';
import { outlineOf, type Shape } from './shapes/registry.ts';

const endSchema = z.strictObject({ surface: z.string().min(1).max(40), edge: z.string() });

/** How two surfaces meet at an edge; those in line don't touch: one lies over or behind the other with a step between. */
export const MEETINGS = ['inside', 'outside', 'flat', 'inLine'] as const;

/** Two surfaces that share an edge: an inside corner, an outside corner, or one plane. */
export const linkSchema = z.strictObject({
  id: z.string().min(1).max(40),
  a: endSchema,
  b: endSchema,
  meets: z
    .enum(MEETINGS)
    .describe(
      'inside: two walls of a room; outside: counter to nosing; flat: one plane; inLine: riser over riser, joints in line by the middles of the edges',
    ),
  through: z
    .enum(['a', 'b'])
    .optional()
    .describe('Which face runs through: inside, the other ends at its tile; outside, it laps over the other; neither where left out'),
  finishMm: gapSchema.optional().describe('Tile and bed that are reckoned with at this corner, mm; as tile and notch tell where left out'),
  runsOn: z.boolean().optional().describe('What is cut off a piece at an upright corner begins the course beyond it; no where left out'),
});

/** An edge that two surfaces share, or two edges that are seen in line. */
export type Link = z.infer<typeof linkSchema>;

/** Length of an edge from corner to corner, along curves, mm; null where the shape has no such edge. */
export function edgeLength(shape: Shape, edgeId: string): number | null {
  const { ring, edgeIds } = outlineOf(shape);
  const lengths = ring.flatMap((from, k) => (edgeIds[k] === edgeId ? [distance(from, ring[(k + 1) % ring.length])] : []));
  return lengths.length === 0 ? null : lengths.reduce((sum, mm) => sum + mm, 0);
}
