import { z } from 'zod';
import type { Point } from '../geometry/point.ts';
import { gapSchema } from '../units/lengthSchema.ts';

/** What an edge meets, and how it is looked at. */
export const EDGE_ROLES = ['wall', 'focal', 'hidden', 'worktop', 'exposed', 'threshold', 'continues'] as const;

/** One of the edge roles. */
export type EdgeRole = (typeof EDGE_ROLES)[number];

/** Schema of a role. */
export const edgeRoleSchema = z.enum(EDGE_ROLES);

/** The gap left at each role of edge, mm. */
export const gapsSchema = z.strictObject({
  wall: gapSchema.default(5),
  focal: gapSchema.default(5),
  hidden: gapSchema.default(5),
  worktop: gapSchema.default(3),
  exposed: gapSchema.default(0),
  threshold: gapSchema.default(5),
  continues: gapSchema.default(2),
});

/** Perimeter gaps by role, mm. */
export type Gaps = z.infer<typeof gapsSchema>;

/** Gaps for a new surface: room to move at walls, none where an edge profile closes the field. */
export const DEFAULT_GAPS: Gaps = { wall: 5, focal: 5, hidden: 5, worktop: 3, exposed: 0, threshold: 5, continues: 2 };

/**
 * How much a look at this edge counts when setouts are weighed against each other; set by hand up to MOST_SEEN. A free end or a
 * doorway is seen before a tray, a tub or a worktop, and those before any wall (trade practice): full pieces stand there.
 */
export const VISIBILITY: Readonly<Record<EdgeRole, number>> = {
  focal: 3,
  exposed: 2,
  threshold: 2,
  continues: 2,
  worktop: 1.5,
  wall: 1,
  hidden: 0.2,
};

/** As much as an edge can be looked at. */
export const MOST_SEEN = 5;

/** Roles whose gap is filled with sealant; an exposed end is closed by its profile, one that continues by the joint. */
export const SEALED_ROLES: ReadonlySet<EdgeRole> = new Set(['wall', 'focal', 'hidden', 'worktop', 'threshold']);

/** One straight stretch of the outline, the surface on its left. */
export interface Edge {
  /** Name of the edge; a stretch beside a doorway keeps its wall's name, and so do the stretches of a curve. */
  readonly id: string;
  readonly from: Point;
  readonly to: Point;
  readonly role: EdgeRole;
  /** How much a look at it counts: that of its role, or as it was set by hand. */
  readonly seen: number;
  /** The joint that is left before the first tile, mm. */
  readonly gapMm: number;
  /** Where tiles end, in from the edge: its gap, and what stands before that (the tile of the face that runs through, a bullnose), mm. */
  readonly endMm: number;
  /** Whether it is the reveal of a doorway: too short to set out by. */
  readonly isReveal: boolean;
}
