import { ROUNDING } from '../tolerances.ts';
import { z } from 'zod';
import { circleRing, type Circle } from '../geometry/circleRing.ts';
import { cross, dot, motion, quarterTurn, subtract, unit, type Point } from '../geometry/point.ts';
import { boxOf, rectangleRing, type Ring } from '../geometry/ring.ts';
import { insetEdges } from '../geometry/insetEdges.ts';
import { gapSchema, lengthSchema } from '../units/lengthSchema.ts';
import { FIXTURE_KINDS } from './fixtureCatalogue.ts';
import { outlineOf, shapeSchema } from './shapes/registry.ts';

/** The outlines that a fixture or an inset can have. */
export const outlineSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('rectangle'), widthMm: lengthSchema, heightMm: lengthSchema }),
  z.strictObject({ kind: z.literal('round'), diameterMm: lengthSchema }),
  z.strictObject({ kind: z.literal('shape'), shape: shapeSchema }).describe('Any shape a surface can have'),
]);

/** One of the two measures that place it. */
export const measureSchema = z.strictObject({
  edge: z.string().describe('The edge it is measured from'),
  mm: gapSchema.describe('Square to that edge, to the near side; to the centre when round, mm'),
});

const coverSchema = z.strictObject({ widthMm: lengthSchema, heightMm: lengthSchema });

/** Something that stands on or comes through a surface, placed from two edges as it is measured. */
export const fixtureSchema = z.strictObject({
  id: z.string().min(1).max(40),
  kind: z.enum(FIXTURE_KINDS).default('cutOut'),
  name: z.string().min(1).max(60),
  outline: outlineSchema,
  from: z.tuple([measureSchema, measureSchema]).describe('The two edges it is measured from; it lies square to the first'),
  tiledUnder: z.boolean().default(false).describe('Tiles run through under it'),
  clearanceMm: gapSchema.default(3).describe('Gap left round it, mm'),
  seenAsMiddle: z.boolean().optional().describe('Whether the eye takes its centre for the middle; as its kind usually is where left out'),
  cover: coverSchema.nullable().default(null).describe('Plate or flange that hides the cut round it; null for none'),
});

/** A fixture; see the schema for what each figure means. */
export type Fixture = z.infer<typeof fixtureSchema>;

/** A straight line between two corners that something is measured from, the surface on its left. */
export interface MeasuringLine {
  readonly from: Point;
  readonly to: Point;
}

/** Where a fixture lies: its centre, and how it is turned, degrees. */
export interface FixturePlace {
  readonly centre: Point;
  readonly turnDeg: number;
}

/** Edges that run within this sine of parallel place nothing between them. */
const PARALLEL_SINE = 0.1;

/** The edge `id` of an outline as one straight line from its first corner to its last; null when there is none. */
export function lineOfEdge(ring: Ring, edgeIds: readonly string[], id: string): MeasuringLine | null {
  const count = ring.length;
  const first = edgeIds.findIndex((other, k) => other === id && edgeIds[(k + count - 1) % count] !== id);
  if (first === -1) return null;
  let last = first;
  while (edgeIds[(last + 1) % count] === id && last + 1 < first + count) last++;
  return { from: ring[first], to: ring[(last + 1) % count] };
}

/** Where two measures put a fixture; null when the two edges run the same way. */
export function placeFixture(
  { outline, from }: Pick<Fixture, 'outline' | 'from'>,
  lines: readonly [MeasuringLine, MeasuringLine],
): FixturePlace | null {
  const turnDeg = fixtureTurn(lines[0]);
  const inwards = lines.map((line) => quarterTurn(unit(subtract(line.to, line.from))));
  const sine = cross(inwards[0], inwards[1]);
  if (Math.abs(sine) < PARALLEL_SINE) return null;
  const { turn } = motion(turnDeg, [0, 0]);
  const corners = outline.kind === 'round' ? [] : localRing(outline).map(turn);
  const [a, b] = lines.map((line, k) => {
    const nearest = corners.length === 0 ? 0 : Math.min(...corners.map((corner) => dot(corner, inwards[k])));
    return from[k].mm - nearest + dot(line.from, inwards[k]);
  });
  const centre: Point = [(a * inwards[1][1] - b * inwards[0][1]) / sine, (b * inwards[0][0] - a * inwards[1][0]) / sine];
  return { centre, turnDeg };
}

/** The two measures that would put a fixture's centre at a position; never below zero. */
export function measuresAt(
  { outline }: Pick<Fixture, 'outline'>,
  lines: readonly [MeasuringLine, MeasuringLine],
  centre: Point,
): [number, number] {
  const { turn } = motion(fixtureTurn(lines[0]), [0, 0]);
  const corners = outline.kind === 'round' ? [[0, 0] as const] : localRing(outline).map(turn);
  const measure = (line: MeasuringLine): number => {
    const inward = quarterTurn(unit(subtract(line.to, line.from)));
    return Math.max(0, dot(subtract(centre, line.from), inward) + Math.min(...corners.map((corner) => dot(corner, inward))));
  };
  return [measure(lines[0]), measure(lines[1])];
}

/** The turn that sets a fixture square to an edge, as near to upright as it can be, degrees. */
export function fixtureTurn({ from, to }: MeasuringLine): number {
  const deg = (Math.atan2(to[1] - from[1], to[0] - from[0]) * 180) / Math.PI;
  const turn = deg - 90 * Math.round(deg / 90);
  return Math.abs(turn) < ROUNDING ? 0 : turn;
}

/** The outline about its own centre, unturned. */
function localRing(outline: Exclude<Fixture['outline'], { kind: 'round' }>): Ring {
  if (outline.kind === 'rectangle') {
    return rectangleRing(-outline.widthMm / 2, -outline.heightMm / 2, outline.widthMm, outline.heightMm);
  }
  const { ring } = outlineOf(outline.shape);
  const { minX, minY, maxX, maxY } = boxOf(ring);
  return ring.map(([x, y]): Point => [x - (minX + maxX) / 2, y - (minY + maxY) / 2]);
}

/** The circle of a round fixture, grown by `growMm`; null for other outlines. */
export function fixtureCircle({ outline }: Fixture, { centre }: FixturePlace, growMm = 0): Circle | null {
  return outline.kind === 'round' ? { centre, radiusMm: outline.diameterMm / 2 + growMm } : null;
}

/** Where a fixture lies, grown by `growMm` all round with sharp corners. */
export function fixtureRing({ outline }: Pick<Fixture, 'outline'>, { centre, turnDeg }: FixturePlace, growMm = 0): Ring {
  if (outline.kind === 'round') return circleRing(centre, outline.diameterMm / 2 + growMm);
  const { turn } = motion(turnDeg, centre);
  return grown(localRing(outline), growMm).map(turn);
}

function grown(ring: Ring, growMm: number): Ring {
  if (growMm === 0) return ring;
  const [first] = insetEdges(
    ring,
    ring.map(() => -growMm),
  );
  return first?.[0] ?? ring;
}

/** The size of a fixture as drawn, unturned, mm. */
export function fixtureSize(outline: Fixture['outline']): { readonly widthMm: number; readonly heightMm: number } {
  if (outline.kind === 'round') return { widthMm: outline.diameterMm, heightMm: outline.diameterMm };
  const { minX, minY, maxX, maxY } = boxOf(localRing(outline));
  return { widthMm: maxX - minX, heightMm: maxY - minY };
}

/** Whether a plate or flange covers the gap round a fixture on every side. */
export function coverHidesCut({ outline, cover, clearanceMm }: Pick<Fixture, 'outline' | 'cover' | 'clearanceMm'>): boolean {
  if (!cover) return false;
  const { widthMm, heightMm } = fixtureSize(outline);
  return cover.widthMm >= widthMm + 2 * clearanceMm && cover.heightMm >= heightMm + 2 * clearanceMm;
}
