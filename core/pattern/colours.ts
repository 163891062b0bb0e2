import { z } from 'zod';
import { boxOf, type Box } from '../geometry/ring.ts';
import { cellShift, type Repeat } from './repeat.ts';

const seedSchema = z.int().min(0).max(9999).describe('Another number, another draw');

/** How tiles of several colours are mixed; tile 0 is the surface's own, the others follow in their order. */
export const colourRuleSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('one') }),
  z.strictObject({ kind: z.literal('checkers') }),
  z.strictObject({
    kind: z.literal('rows'),
    rows: z.array(z.int().min(1).max(50)).min(1).max(12).describe('Courses of each tile in turn'),
  }),
  z.strictObject({ kind: z.literal('random'), shares: z.array(z.number().min(0).max(1000)).min(1).max(12), seed: seedSchema }),
  z.strictObject({ kind: z.literal('gradient'), towardsDeg: z.number().min(-360).max(360), seed: seedSchema }),
  z.strictObject({ kind: z.literal('byTurn') }).describe('By the way a piece lies: the three faces of cubes, up and down'),
]);

/** The mix of tiles in one field. */
export const coloursSchema = z.strictObject({
  rule: colourRuleSchema,
  others: z.array(z.string().min(1).max(40)).max(11).describe('Tiles of the same size that are mixed in, by id'),
  byHand: z
    .record(z.string().regex(/^\d+\/-?\d+\/-?\d+$/), z.int().min(0).max(11))
    .default({})
    .describe('Pieces that were given a tile by hand: piece/i/j of the repeat, and which tile'),
});

/** How tiles are mixed. */
export type Colours = z.infer<typeof coloursSchema>;

/** One rule of mixing. */
export type ColourRule = Colours['rule'];

/** All of one tile. */
export const ONE_COLOUR: Colours = { rule: { kind: 'one' }, others: [], byHand: {} };

/** Where a piece of a repeat lies: which piece, in which cell. */
interface CellPlace {
  readonly piece: number;
  readonly i: number;
  readonly j: number;
}

/** The name of a place in `byHand`. */
export const placeName = ({ piece, i, j }: CellPlace): string => `${piece}/${i}/${j}`;

/** Which tile of the mix lies at a place: 0 for the field's own. `box` is round the field, in the pattern's frame, mm. */
export function colourAt({ rule, others, byHand }: Colours, repeat: Repeat, place: CellPlace, box: Box): number {
  const set = byHand[placeName(place)];
  if (set !== undefined && set <= others.length) return set;
  const count = others.length + 1;
  if (count === 1) return 0;
  const course = place.j * repeat.coursesPerCell + repeat.pieces[place.piece].course;
  switch (rule.kind) {
    case 'one':
      return 0;
    case 'checkers':
      return modulo(place.i + (count - 1) * course + inCourse(repeat, place.piece), count);
    case 'rows':
      return tileOfRow(rule.rows, course, count);
    case 'random':
      return drawn(rule.shares, chanceAt(place, rule.seed), count);
    case 'gradient':
      return gradientAt(repeat, place, box, rule, count);
    case 'byTurn':
      return modulo(ofOwnPart(repeat, place.piece).indexOf(place.piece), count);
  }
}

const modulo = (n: number, by: number): number => ((n % by) + by) % by;

/** How many pieces of its own course come before it in the cell. */
const inCourse = (repeat: Repeat, piece: number): number =>
  ofOwnPart(repeat, piece).filter((other) => other < piece && repeat.pieces[other].course === repeat.pieces[piece].course).length;

/** The pieces of a cell that are the same part of the pattern as one of them, by their place. */
const ofOwnPart = ({ pieces }: Repeat, piece: number): number[] =>
  pieces.flatMap(({ part }, k) => (part === pieces[piece].part ? [k] : []));

function tileOfRow(rows: readonly number[], course: number, count: number): number {
  const runs = Array.from({ length: count }, (_, k) => rows[k] ?? 1);
  let rest = modulo(
    course,
    runs.reduce((sum, run) => sum + run, 0),
  );
  for (const [tile, run] of runs.entries()) {
    if (rest < run) return tile;
    rest -= run;
  }
  return 0;
}

/** A tile for a chance of 0 to 1, by the shares of the mix; shares that are missing count as one. */
function drawn(shares: readonly number[], chance: number, count: number): number {
  const weights = Array.from({ length: count }, (_, k) => shares[k] ?? 1);
  const all = weights.reduce((sum, weight) => sum + weight, 0);
  let rest = chance * all;
  for (const [tile, weight] of weights.entries()) {
    if (rest < weight) return tile;
    rest -= weight;
  }
  return 0;
}

/** From the first tile to the last across the field, the ones between in turn, thrown into each other by chance. */
function gradientAt(repeat: Repeat, place: CellPlace, box: Box, rule: Extract<ColourRule, { kind: 'gradient' }>, count: number): number {
  const own = boxOf(repeat.pieces[place.piece].ring);
  const [dx, dy] = cellShift(repeat, place.i, place.j);
  const way = (rule.towardsDeg * Math.PI) / 180;
  const along = (x: number, y: number): number => x * Math.cos(way) + y * Math.sin(way);
  const ends = [along(box.minX, box.minY), along(box.maxX, box.minY), along(box.minX, box.maxY), along(box.maxX, box.maxY)];
  const [low, high] = [Math.min(...ends), Math.max(...ends)];
  const share = (along((own.minX + own.maxX) / 2 + dx, (own.minY + own.maxY) / 2 + dy) - low) / Math.max(1, high - low);
  const at = Math.min(0.9999, Math.max(0, share)) * (count - 1);
  return Math.floor(at) + (chanceAt(place, rule.seed) < at - Math.floor(at) ? 1 : 0);
}

/** A number from 0 to 1 that belongs to a place and a seed, whichever other places are asked for. */
export function chanceAt({ piece, i, j }: CellPlace, seed: number): number {
  let mixed =
    (Math.imul(piece + 1, 0x9e3779b1) ^
      Math.imul(i + 7919, 0x85ebca6b) ^
      Math.imul(j + 104729, 0xc2b2ae35) ^
      Math.imul(seed + 1, 0x27d4eb2f)) >>>
    0;
  mixed = Math.imul(mixed ^ (mixed >>> 15), 0x2c1b3c6d) >>> 0;
  mixed = Math.imul(mixed ^ (mixed >>> 12), 0x297a2d39) >>> 0;
  return ((mixed ^ (mixed >>> 15)) >>> 0) / 2 ** 32;
}
