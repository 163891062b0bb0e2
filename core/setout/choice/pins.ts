import { HAIR_MM } from '../../tolerances.ts';
import { z } from 'zod';
import { lengthSchema, offsetSchema } from '../../units/lengthSchema.ts';

const at = z.tuple([offsetSchema, offsetSchema]).describe('On the surface, mm');

/** What a person asks of a setout, whatever else is best. */
export const pinSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('fullPiece'), at }).describe('The piece that lies here is full'),
  z.strictObject({ kind: z.literal('jointUp'), at }).describe('A joint across the courses runs through here'),
  z.strictObject({ kind: z.literal('jointAlong'), at }).describe('A joint between courses runs through here'),
  z.strictObject({ kind: z.literal('crossing'), at }).describe('Corners of pieces meet here'),
  z.strictObject({ kind: z.literal('wholeMotif'), at }).describe('The sheet that lies here shows whole'),
  z
    .strictObject({ kind: z.literal('noCutUnder'), edge: z.string().max(80), mm: lengthSchema })
    .describe('No piece along this edge is narrower'),
]);

/** One thing asked of a setout. */
export type Pin = z.infer<typeof pinSchema>;

/** Several. */
export const pinsSchema = z.array(pinSchema).max(20);

/** The kinds that are set by pointing. */
export const POINTED_PINS = ['fullPiece', 'jointUp', 'jointAlong', 'crossing', 'wholeMotif'] as const;

/** One of them. */
export type PointedPin = (typeof POINTED_PINS)[number];

/** A pin is kept where it is missed by no more, mm. */
export const KEPT_MM = HAIR_MM;
