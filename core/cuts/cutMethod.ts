import { actualSize, type Product } from '../tile/product.ts';
import type { CutPiece } from './cutPiece.ts';
import { narrowestSnapMm } from './cutTool.ts';

/** Things to mind at a cut, in the order in which they come up. */
export const CUT_CARES = ['glass', 'long', 'narrow', 'corners', 'relief', 'core', 'half', 'curve', 'wayUp', 'dress'] as const;

/** A thing to mind at a cut. */
export type CutCare = (typeof CUT_CARES)[number];

/** Tiles longer than this bend and break when one hand holds them at the saw, mm (trade practice). */
const LONG_MM = 800;

/** What to mind when a piece is cut, from its marks and its tile (trade practice). */
export function caresOf({ kind, marks, sizeMm, edgeShows, hasWayUp, of, tool }: CutPiece, product: Product): CutCare[] {
  const types = new Set(marks.map(({ type }) => type));
  const { widthMm, heightMm } = actualSize(product);
  const holds: Readonly<Record<CutCare, boolean>> = {
    glass: product.material === 'glass',
    long: of === 'tile' && Math.max(widthMm, heightMm) > LONG_MM,
    narrow: tool !== 'nippers' && Math.min(sizeMm.widthMm, sizeMm.heightMm) < narrowestSnapMm(product.thicknessMm),
    corners: types.has('notch') || types.has('slot') || types.has('window'),
    relief: types.has('slot') || types.has('bite'),
    // Half a hole is ground, unless its tool is a bit after all.
    core: marks.some((mark) => mark.type === 'circle' && mark.coreMm !== null) && (kind !== 'halfHole' || tool === 'core bit'),
    half: types.has('bite') || kind === 'halfHole',
    curve: types.has('path'),
    wayUp: hasWayUp,
    dress: edgeShows,
  };
  return CUT_CARES.filter((care) => holds[care]);
}
