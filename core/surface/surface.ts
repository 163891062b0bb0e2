import { z } from 'zod';
import { gapSchema } from '../units/lengthSchema.ts';
import { baseLineSchema } from './baseLine.ts';
import { buildUpSchema } from './buildUp.ts';
import { carriedJointSchema, MOST_CARRIED } from './carriedJoint.ts';
import { doorwaySchema } from './doorway.ts';
import { edgeRoleSchema, gapsSchema, MOST_SEEN } from './edge.ts';
import { fixtureSchema } from './fixture.ts';
import { levelsSchema } from './levels/levels.ts';
import { shapeSchema } from './shapes/registry.ts';

/** What a surface is. */
export const SURFACE_KINDS = ['floor', 'wall', 'countertop'] as const;

/** What a surface is. */
export type SurfaceKind = (typeof SURFACE_KINDS)[number];

/** How many things may stand on a surface or come through it. */
export const MOST_FIXTURES = 200;

/** The measured part of a surface, before any tile is chosen. */
export const measuredSchema = z.strictObject({
  shape: shapeSchema,
  roles: z.record(z.string(), edgeRoleSchema).describe('Role of each edge by name; a wall where none is given'),
  gapsMm: gapsSchema,
  edgeGapsMm: z.record(z.string(), gapSchema).default({}).describe('Gap at one edge by name, where it is not that of its role, mm'),
  seen: z
    .record(z.string(), z.number().min(0).max(MOST_SEEN))
    .default({})
    .describe('How much one edge is looked at, by name, where it is not as its role says: 0 never, 1 as any wall, 3 first'),
  doorways: z.array(doorwaySchema).max(20).default([]),
  fixtures: z.array(fixtureSchema).max(MOST_FIXTURES).default([]),
  carriedJoints: z
    .array(carriedJointSchema)
    .max(MOST_CARRIED)
    .optional()
    .describe('Joints, cracks and changes of the substrate that are carried through'),
  base: baseLineSchema.nullable().default(null).describe('What a wall stands on, read at points'),
  levels: levelsSchema.nullable().default(null).describe('Readings down to the substrate from a level line'),
  buildUp: buildUpSchema.nullable().default(null).describe('What lies between the substrate and the finish'),
  again: z.array(z.string()).max(500).default([]).describe('What is still to be measured again since this was copied'),
});

/** A surface as measured. */
export type Measured = z.infer<typeof measuredSchema>;
