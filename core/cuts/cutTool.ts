import type { Product } from '../tile/product.ts';
import type { CutKind } from '../tile/cutKinds.ts';
import { SHAPED_KINDS, type Mark } from './cutKind.ts';

/** What a cut is made with. */
export type Tool = 'snapCutter' | 'wetSaw' | 'coreBit' | 'grinder' | 'nippers' | 'knife';

/** What breaks along a scored line. */
export const SNAP_MATERIALS: ReadonlySet<Product['material']> = new Set(['ceramic', 'porcelain', 'cement']);

/** Narrowest strip a snap cutter breaks off cleanly, mm: about 20, and twice the thickness for thick pieces. */
export const narrowestSnapMm = (thicknessMm: number): number => Math.max(20, 2 * thicknessMm);

/** Thicker tiles do not break along a scored line, mm: pavers go to the saw. */
const THICKEST_SNAPPED_MM = 16;

/**
 * The tool for the cuts of one piece. `narrowestMm` is the narrower part of the tile on either
 * side of a straight cut.
 */
export function toolFor(kind: CutKind, marks: readonly Mark[], product: Product, narrowestMm: number): Tool {
  const round = marks.find((mark) => mark.type === 'circle');
  if (round) return round.coreMm === null ? 'grinder' : 'coreBit';
  if (marks.some(({ type }) => type === 'bite')) return 'grinder';
  if (kind === 'curve') return product.material === 'glass' ? 'wetSaw' : 'grinder';
  const straight =
    !SHAPED_KINDS.has(kind) && marks.every((mark) => mark.type === 'line' || mark.type === 'corner' || mark.type === 'chord');
  const snaps =
    SNAP_MATERIALS.has(product.material) &&
    product.thicknessMm <= THICKEST_SNAPPED_MM &&
    narrowestMm >= narrowestSnapMm(product.thicknessMm);
  return straight && snaps ? 'snapCutter' : 'wetSaw';
}

/** The tool for a chip of a sheet: nippers bite small straight and curved cuts; a hole within a chip wants a bit. */
export const chipTool = (kind: CutKind, { thicknessMm }: Product, longestSideMm: number): Tool =>
  kind === 'hole' ? 'coreBit' : thicknessMm > THICKEST_NIPPED_MM || longestSideMm > LARGEST_NIPPED_MM ? 'wetSaw' : 'nippers';

/** Larger chips break where they please, mm. */
const LARGEST_NIPPED_MM = 50;

/** Nippers bite chips up to about this thickness, mm. */
const THICKEST_NIPPED_MM = 8;
