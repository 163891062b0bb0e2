import { z } from 'zod';
import { circleRing, type Circle } from '../geometry/circleRing.ts';
import type { Point } from '../geometry/point.ts';
import { rectangleRing, type Box, type Ring } from '../geometry/ring.ts';
import { gapSchema, lengthSchema } from '../units/lengthSchema.ts';

const outlineSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('rectangle'), widthMm: lengthSchema, heightMm: lengthSchema }),
  z.strictObject({ kind: z.literal('round'), diameterMm: lengthSchema }),
]);

/** Something that stands on or comes through a surface, placed from two edges as it is measured. */
export const fixtureSchema = z.strictObject({
  id: z.string().min(1).max(40),
  name: z.string().min(1).max(60),
  outline: outlineSchema,
  fromX: z.enum(['left', 'right']).describe('The side it is measured from'),
  xMm: gapSchema.describe('From that side to its near side; to its centre when round, mm'),
  fromY: z.enum(['bottom', 'top']).describe('The other edge it is measured from'),
  yMm: gapSchema.describe('From that edge to its near side; to its centre when round, mm'),
  tiledUnder: z.boolean().default(false).describe('Tiles run through under it'),
  clearanceMm: gapSchema.default(3).describe('Gap left round it, mm'),
});

/** A fixture; see the schema for what each figure means. */
export type Fixture = z.infer<typeof fixtureSchema>;

/** The circle of a round fixture, grown by `growMm`; null for other outlines. */
export function fixtureCircle(fixture: Fixture, body: Box, growMm = 0): Circle | null {
  const { outline } = fixture;
  return outline.kind === 'round' ? { centre: anchorOf(fixture, body), radiusMm: outline.diameterMm / 2 + growMm } : null;
}

/** Where a fixture lies, grown by `growMm` all round, within the box of the surface's body. */
export function fixtureRing(fixture: Fixture, body: Box, growMm = 0): Ring {
  const { outline } = fixture;
  const [x, y] = anchorOf(fixture, body);
  if (outline.kind === 'round') return circleRing([x, y], outline.diameterMm / 2 + growMm);
  const left = fixture.fromX === 'left' ? x : x - outline.widthMm;
  const bottom = fixture.fromY === 'bottom' ? y : y - outline.heightMm;
  return rectangleRing(left - growMm, bottom - growMm, outline.widthMm + 2 * growMm, outline.heightMm + 2 * growMm);
}

/** The position the two measures of a fixture lead to. */
const anchorOf = (fixture: Fixture, body: Box): Point => [
  fixture.fromX === 'left' ? body.minX + fixture.xMm : body.maxX - fixture.xMm,
  fixture.fromY === 'bottom' ? body.minY + fixture.yMm : body.maxY - fixture.yMm,
];
