import { HAIR_MM } from '../../tolerances.ts';
import { oncePer } from '../../oncePer.ts';
import { z } from 'zod';
import { rectangleRing } from '../../geometry/ring.ts';
import type { Size } from '../../tile/product.ts';
import { gapSchema, lengthSchema } from '../../units/lengthSchema.ts';
import { drawAshlar } from '../ashlar/drawAshlar.ts';
import { FIRST_STONES } from '../ashlar/firstStones.ts';
import { coverOf, type AshlarRules, type Stone } from '../ashlar/stones.ts';
import type { PatternKind } from '../patternKind.ts';
import type { Module, RepeatPiece } from '../repeat.ts';
import { tilePiece } from '../tilePiece.ts';

const stoneSchema = z.tuple([z.int(), z.int(), z.int().min(1), z.int().min(1)]);

const schema = z.strictObject({
  kind: z.literal('ashlar'),
  moduleMm: lengthSchema.describe('The module, a joint included, mm'),
  columns: z.int().min(4).max(120).describe('Modules across before it comes again'),
  rows: z.int().min(4).max(120).describe('Modules up before it comes again'),
  longestJoint: z.int().min(2).max(40).describe('Modules a joint may run straight for'),
  largest: z.int().min(1).max(8).describe('Modules of the longest side of a stone'),
  seed: z.int().min(0).max(9999).describe('Another number, another draw'),
  kerfMm: gapSchema.default(2.5).describe('Kerf of the saw that the stones are drawn for, mm; that of the job when they were drawn'),
  stones: z.array(stoneSchema).max(14_400).nullable().describe('Set by hand: column, row, width, height in modules; null as drawn'),
  locked: z.array(stoneSchema).max(14_400).describe('Stones that stay when others are drawn again'),
});

/** A chosen ashlar. */
export type Ashlar = z.infer<typeof schema>;

/** A side that is shorter than the tile by less than the kerf can't be cut off it. */
const fitsSide = (mm: number, tileMm: number, kerfMm: number): boolean => Math.abs(mm - tileMm) < HAIR_MM || mm <= tileMm - kerfMm;

/** Whether a piece can be cut from a tile: as it lies, or turned a quarter. */
const canCut = (w: number, h: number, { widthMm, heightMm }: Size, kerfMm: number): boolean =>
  (fitsSide(w, widthMm, kerfMm) && fitsSide(h, heightMm, kerfMm)) || (fitsSide(w, heightMm, kerfMm) && fitsSide(h, widthMm, kerfMm));

/** A module that tiles of a size part into, about 50 mm: so many of them and a joint make up its shorter side. */
export function moduleFor({ widthMm, heightMm, jointMm }: Module): number {
  const side = Math.min(widthMm, heightMm) + jointMm;
  return side / Math.max(2, Math.round(side / 50));
}

/** Every size in modules that can be cut from the tile with the saw's kerf. */
export function cuttableSizes(
  { moduleMm, largest, kerfMm }: Pick<Ashlar, 'moduleMm' | 'largest' | 'kerfMm'>,
  module: Module,
): (readonly [number, number])[] {
  const sides = Array.from({ length: largest }, (_, k) => k + 1);
  const mm = (modules: number): number => modules * moduleMm - module.jointMm;
  return sides
    .flatMap((w) => sides.map((h) => [w, h] as const))
    .filter(([w, h]) => mm(Math.min(w, h)) > 0 && canCut(mm(w), mm(h), module, kerfMm));
}

/** Stones that are smaller than the tile, but by less than a kerf either way: no saw takes so little off. By size, mm. */
export function stonesUnderKerf(pattern: Ashlar, module: Module, kerfMm: number): Size[] {
  const sizes = new Map(stonesOf(pattern, module).map(([, , w, h]) => [`${w},${h}`, [w, h] as const]));
  return [...sizes.values()]
    .map(([w, h]): Size => ({ widthMm: w * pattern.moduleMm - module.jointMm, heightMm: h * pattern.moduleMm - module.jointMm }))
    .filter(({ widthMm, heightMm }) => !canCut(widthMm, heightMm, module, kerfMm));
}

/** The rules that a cell is drawn by. */
export const ashlarRules = (pattern: Ashlar, module: Module): AshlarRules => ({
  columns: pattern.columns,
  rows: pattern.rows,
  longestJoint: pattern.longestJoint,
  sizes: cuttableSizes(pattern, module),
});

/** The stones of a cell: set by hand, or as drawn. Drawing can take long, so it is done once for the same pattern. */
export function stonesOf(pattern: Ashlar, module: Module): readonly Stone[] {
  if (pattern.stones) return pattern.stones;
  const rules = ashlarRules(pattern, module);
  const drawn = drawnFor(pattern);
  const key = JSON.stringify(rules);
  const stones = drawn.get(key) ?? drawAshlar(rules, pattern.seed);
  drawn.set(key, stones);
  return stones;
}

/** What was drawn for a pattern, by its rules: they hang on the tile too. */
const drawnFor = oncePer<Ashlar, Map<string, readonly Stone[]>>(() => new Map());

/**
 * Random modular ashlar, cut from one tile: a stone of a x b modules measures a m - j by b m - j. Drawn by
 * rules and a seed, or set by hand; the cell wraps round, so that its edges keep the rules too.
 */
export const ashlar = {
  id: 'ashlar',
  schema,
  defaults: {
    kind: 'ashlar',
    moduleMm: 50,
    columns: 16,
    rows: 12,
    longestJoint: 8,
    largest: 3,
    seed: 1,
    kerfMm: 2.5,
    stones: FIRST_STONES.map(([x, y, w, h]) => [x, y, w, h]),
    locked: [],
  },
  takes: ['rectangle'],
  slower: 1.7,
  startDecidesEnds: false,
  hardCuts: 'hardestLast',
  isMounted: false,
  liesBy: null,
  misfit: (module, pattern) => {
    if (cuttableSizes(pattern, module).length === 0) return 'moduleTooLarge';
    if (!isCovered(pattern)) return 'stonesLeaveGaps';
    // Stones that are set stay set when the saw changes; that a kerf is too wide for them is a finding.
    const sizes = new Set(cuttableSizes({ ...pattern, largest: 8, kerfMm: 0 }, module).map(String));
    return (pattern.stones ?? []).every(([, , w, h]) => sizes.has(`${w},${h}`)) ? null : 'moduleTooLarge';
  },
  repeat: (module, pattern) => {
    const m = pattern.moduleMm;
    const pieces = stonesOf(pattern, module).map(([x, y, w, h]): RepeatPiece => {
      const [wide, high] = [w * m - module.jointMm, h * m - module.jointMm];
      const turned = !(fitsSide(wide, module.widthMm, 0) && fitsSide(high, module.heightMm, 0));
      const whole = Math.abs(wide - module.widthMm) < HAIR_MM && Math.abs(high - module.heightMm) < HAIR_MM;
      const piece = tilePiece(rectangleRing(x * m, y * m, wide, high), { turnDeg: turned ? 90 : 0 });
      return whole ? piece : { ...piece, cutFrom: { widthMm: module.widthMm, heightMm: module.heightMm } };
    });
    return {
      vectors: [
        [pattern.columns * m, 0],
        [0, pattern.rows * m],
      ],
      pieces,
      coursesPerCell: 1,
      upright: false,
    };
  },
} as const satisfies PatternKind<Ashlar>;

/** Whether stones set by hand cover the cell, each square once. */
function isCovered({ stones, columns, rows }: Ashlar): boolean {
  if (!stones) return true;
  if (stones.reduce((sum, [, , w, h]) => sum + w * h, 0) !== columns * rows) return false;
  try {
    return !coverOf(stones, { columns, rows }).includes(-1);
  } catch {
    return false;
  }
}
