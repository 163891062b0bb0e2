import { z } from 'zod';
import { changedOver, placedPiece } from '../placedPiece.ts';
import type { PatternKind } from '../patternKind.ts';
import type { Point } from '../../geometry/point.ts';
import type { Module } from '../repeat.ts';

const schema = z.strictObject({
  kind: z.literal('basketWeave'),
  lay: z.enum(['lying', 'upright']).describe('Which way the strips of the first block run'),
  strips: z.int().min(2).max(12).describe('Strips side by side in a block'),
});

type BasketWeave = z.infer<typeof schema>;

/** The joint between the strips of a block that makes it as wide as a strip is long, mm; below zero where they don't fit. */
export function weaveJoint({ widthMm, heightMm }: Module, strips: number): number {
  return (Math.max(widthMm, heightMm) - strips * Math.min(widthMm, heightMm)) / (strips - 1);
}

/**
 * Blocks of n strips, turned to and fro. A block is as wide as a strip is long: n w + (n-1) j = h is
 * wanted; where it is not so, the inner joints take the difference. Vectors (2(h+j), 0), (h+j, h+j).
 */
export const basketWeave = {
  id: 'basketWeave',
  schema,
  defaults: { kind: 'basketWeave', lay: 'lying', strips: 2 },
  takes: ['rectangle'],
  slower: 1.3,
  startDecidesEnds: false,
  hardCuts: 'hardestLast',
  isMounted: true,
  liesBy: 'longSide',
  misfit: (module) => (fittingStrips(module) === null ? 'tooSquare' : null),
  innerJoint: (module, { strips }) => weaveJoint(module, strips),
  repeat: (module, { lay, strips }) => {
    const block = Math.max(module.widthMm, module.heightMm);
    const step = block + module.jointMm;
    const inner = Math.min(module.widthMm, module.heightMm) + weaveJoint(module, strips);
    const each = Array.from({ length: strips }, (_, k) => k * inner);
    const pieces = [
      ...each.map((at) => placedPiece(module, 0, at, 'x', 0)),
      ...each.map((at) => placedPiece(module, step + at, 0, 'y', 0)),
    ];
    const upright = lay === 'upright';
    const vectors: readonly [Point, Point] = upright
      ? [
          [0, 2 * step],
          [step, step],
        ]
      : [
          [2 * step, 0],
          [step, step],
        ];
    return {
      vectors,
      pieces: upright ? changedOver(module, pieces) : pieces,
      coursesPerCell: 1,
      upright,
      unit: { minX: 0, minY: 0, maxX: block, maxY: block },
    };
  },
} as const satisfies PatternKind<BasketWeave>;

/** The strips whose block comes nearest to a square with the joint wanted; null for tiles too square to weave. */
export function fittingStrips(module: Module): number | null {
  const { widthMm, heightMm, jointMm } = module;
  const [long, short] = [Math.max(widthMm, heightMm), Math.min(widthMm, heightMm)];
  const nearest = Math.round((long + jointMm) / (short + jointMm));
  const strips = Math.min(12, weaveJoint(module, Math.max(2, nearest)) < 0 ? nearest - 1 : nearest);
  return strips < 2 ? null : strips;
}
