import { z } from 'zod';
import { doorwaySchema } from './doorway.ts';
import { edgeRoleSchema, gapsSchema } from './edge.ts';
import { fixtureSchema } from './fixture.ts';
import { shapeSchema } from './shapes/registry.ts';

/** What a surface is. */
export const SURFACE_KINDS = ['floor', 'wall', 'countertop'] as const;

/** The measured part of a surface, before any tile is chosen. */
export const measuredSchema = z.strictObject({
  shape: shapeSchema,
  roles: z.record(z.string(), edgeRoleSchema).describe('Role of each edge by name; a wall where none is given'),
  gapsMm: gapsSchema,
  doorways: z.array(doorwaySchema).max(20).default([]),
  fixtures: z.array(fixtureSchema).max(200).default([]),
});

/** A surface as measured. */
export type Measured = z.infer<typeof measuredSchema>;
